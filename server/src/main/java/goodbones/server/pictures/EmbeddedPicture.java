package goodbones.server.pictures;

import java.util.Base64;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A PNG or JPEG picture that an SVG file holds in a {@code data:} address (RFC 2397). */
final class EmbeddedPicture {
  private static final Pattern DATA =
      Pattern.compile("data:image/(?:png|jpeg|jpg);base64,([A-Za-z0-9+/=\\s]+)");

  private EmbeddedPicture() {}

  /** Whether it is what it says, within the limits of pictures that come in by themselves. */
  static boolean isSound(String address) {
    Matcher data = DATA.matcher(address);
    if (!data.matches()) {
      return false;
    }
    try {
      byte[] bytes = Base64.getMimeDecoder().decode(data.group(1));
      return PictureFile.raster("embedded", bytes).isPresent();
    } catch (IllegalArgumentException unsound) {
      return false;
    } catch (goodbones.server.problems.BadInput refused) {
      return false;
    }
  }
}
