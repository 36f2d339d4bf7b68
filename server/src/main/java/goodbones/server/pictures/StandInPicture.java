package goodbones.server.pictures;

import goodbones.document.FieldValue;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Objects;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The picture that shows where a real one goes is there before the port is open. */
@Component
class StandInPicture implements SmartInitializingSingleton {
  private final Pictures pictures;

  StandInPicture(Pictures pictures) {
    this.pictures = pictures;
  }

  @Override
  @Transactional
  public void afterSingletonsInstantiated() {
    if (!pictures.exists(FieldValue.Picture.STAND_IN_ID)) {
      pictures.add(FieldValue.Picture.STAND_IN_ID, "", "stand-in.svg", drawing());
    }
  }

  private static byte[] drawing() {
    try (InputStream file = StandInPicture.class.getResourceAsStream("/pictures/stand-in.svg")) {
      return Objects.requireNonNull(file, "stand-in.svg is part of the application").readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
