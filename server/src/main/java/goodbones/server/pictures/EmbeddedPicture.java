package goodbones.server.pictures;

import java.util.Base64;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A PNG or JPEG picture that an SVG file holds in a {@code data:} address (RFC 2397). */
final class EmbeddedPicture {
  private static final Pattern DATA =
      Pattern.compile("data:image/(?:png|jpeg|jpg);base64,([A-Za-z0-9+/=\\s]+)");

  private EmbeddedPicture() {}

  /**
   * Looks into one.
   *
   * @return how many pixels it has; 0 if it is not what it says, or is beyond the limits of
   *     pictures that come in by themselves
   */
  static long pixels(String address) {
    Matcher data = DATA.matcher(address);
    if (!data.matches()) {
      return 0;
    }
    try {
      byte[] bytes = Base64.getMimeDecoder().decode(data.group(1));
      return PictureFile.raster("embedded", bytes)
          .map(picture -> (long) picture.width() * picture.height())
          .orElse(0L);
    } catch (IllegalArgumentException unsound) {
      return 0;
    } catch (goodbones.server.problems.BadInput refused) {
      return 0;
    }
  }
}
