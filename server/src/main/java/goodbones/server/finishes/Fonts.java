package goodbones.server.finishes;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The open fonts that ship with the application for clients' pages. */
@Component
public class Fonts {
  private static final Map<String, String> FILES =
      Map.of(
          "Literata", "literata.woff2",
          "Nunito Sans", "nunito-sans.woff2",
          "Rokkitt", "rokkitt.woff2",
          "Source Sans 3", "source-sans-3.woff2");

  /**
   * Where each family's file is served.
   *
   * @param folder the address of the folder, with its closing slash
   */
  public Map<String, String> urls(String folder) {
    return FILES.entrySet().stream()
        .collect(Collectors.toMap(Map.Entry::getKey, e -> folder + e.getValue()));
  }

  /** The name of a family's file. */
  public String file(String family) {
    return java.util.Objects.requireNonNull(FILES.get(family), family);
  }

  public byte[] bytes(String file) {
    try (InputStream in = Fonts.class.getResourceAsStream("/fonts/" + file)) {
      if (in == null || !FILES.containsValue(file)) {
        throw new goodbones.server.problems.NotFound("font", file);
      }
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
