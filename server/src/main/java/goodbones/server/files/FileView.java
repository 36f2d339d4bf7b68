package goodbones.server.files;

import com.fasterxml.jackson.annotation.JsonProperty;
import goodbones.server.problems.Etag;
import java.util.Locale;

/**
 * A file that pages of a client link to, without its content.
 *
 * @param size in bytes
 * @param version counted up with every new file
 * @param away whether it is offered no more
 */
public record FileView(
    String id,
    String siteId,
    String fileName,
    String mediaType,
    int size,
    int version,
    boolean away) {
  private static final int KB = 1024;

  /** The tag of what it is called, whether it is offered, and of its content. */
  @JsonProperty(required = true)
  public String etag() {
    return Etag.of(fileName, version, away);
  }

  /** What kind of file it is and how large, as visitors are told, such as “PDF, 120 KB”. */
  public String kind() {
    String ending = fileName.substring(fileName.lastIndexOf('.') + 1).toUpperCase(Locale.ROOT);
    return ending
        + ", "
        + (size < KB * KB
            ? Math.max(1, Math.round(size / (double) KB)) + " KB"
            : String.format(Locale.ROOT, "%.1f MB", size / (double) (KB * KB)));
  }
}
