package goodbones.server.problems;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Arrays;
import java.util.stream.Stream;

/** The records that a sealed interface permits, at any depth, and what tells them apart. */
public final class Choices {
  private Choices() {}

  /** The records in the order in which the interface permits them. */
  public static Stream<Class<?>> of(Class<?> choice) {
    return choice.isSealed()
        ? Arrays.stream(choice.getPermittedSubclasses()).flatMap(Choices::of)
        : Stream.of(choice);
  }

  /** What a request says to mean a record. */
  public static String word(Class<?> record) {
    return record.getDeclaredAnnotation(JsonTypeName.class).value();
  }
}
