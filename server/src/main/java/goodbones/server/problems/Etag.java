package goodbones.server.problems;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/**
 * What something said when somebody saw it, in short: an entity tag (RFC 9110, 8.8.3). A write
 * names the one that it was made on, so that nothing is overwritten that nobody saw.
 */
public final class Etag {
  private static final int BYTES = 12;

  private Etag() {}

  /** The tag of what some values say together; the same for the same values in the same order. */
  public static String of(Object... values) {
    try {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      for (Object value : values) {
        byte[] bytes = String.valueOf(value).getBytes(StandardCharsets.UTF_8);
        digest.update((bytes.length + ":").getBytes(StandardCharsets.UTF_8));
        digest.update(bytes);
      }
      return HexFormat.of().formatHex(digest.digest(), 0, BYTES);
    } catch (NoSuchAlgorithmException never) {
      throw new IllegalStateException("every Java has SHA-256", never);
    }
  }

  /**
   * @param seen what the write was made on
   * @param now what stands
   * @param what it is, at the beginning of a sentence
   * @throws Stale if they are not the same
   */
  public static void require(String seen, String now, String what) {
    if (!seen.equals(now)) {
      throw new Stale(what);
    }
  }
}
