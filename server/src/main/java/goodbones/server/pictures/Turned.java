package goodbones.server.pictures;

import java.io.IOException;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageReader;
import net.coobird.thumbnailator.util.exif.ExifUtils;
import net.coobird.thumbnailator.util.exif.Orientation;

/** How a camera was held, as its pictures say it (Exif 2.32, 4.6.4, Orientation). */
final class Turned {
  private static final Set<Orientation> QUARTER =
      EnumSet.of(
          Orientation.LEFT_TOP,
          Orientation.RIGHT_TOP,
          Orientation.RIGHT_BOTTOM,
          Orientation.LEFT_BOTTOM);

  private Turned() {}

  /** Empty if the picture does not say, or says it unreadably; then it is seen as it is stored. */
  static Optional<Orientation> of(ImageReader reader) {
    try {
      return reader.getFormatName().equalsIgnoreCase("jpeg")
          ? Optional.ofNullable(ExifUtils.getExifOrientation(reader, 0))
          : Optional.empty();
    } catch (IOException | RuntimeException unreadable) {
      return Optional.empty();
    }
  }

  /** Whether what is stored as its width is seen as its height. */
  static boolean byQuarter(ImageReader reader) {
    return of(reader).filter(QUARTER::contains).isPresent();
  }
}
