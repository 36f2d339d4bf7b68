package goodbones.server.pictures;

import com.fasterxml.jackson.annotation.JsonProperty;
import goodbones.document.FieldValue;
import goodbones.server.problems.Etag;
import java.util.List;

/**
 * A picture without its file. Width and height are in px.
 *
 * @param siteId whose it is; empty for the house's
 * @param version counted up with every new file
 * @param alt its alternative text; empty if it has none
 * @param decoration whether it says nothing on purpose
 * @param focusX what is to be seen of it when it is cropped, as a share of its width, 0 to 1
 * @param away whether it is offered no more
 */
public record PictureView(
    String id,
    String siteId,
    String fileName,
    String mediaType,
    int width,
    int height,
    int version,
    String alt,
    boolean decoration,
    List<String> tags,
    double focusX,
    double focusY,
    boolean away) {

  /** As it is stored. */
  PictureView(
      String id,
      String siteId,
      String fileName,
      String mediaType,
      int width,
      int height,
      int version,
      String alt,
      boolean decoration,
      String tags,
      double focusX,
      double focusY,
      boolean away) {
    this(
        id,
        siteId,
        fileName,
        mediaType,
        width,
        height,
        version,
        alt,
        decoration,
        tags.isEmpty() ? List.of() : List.of(tags.split(" ")),
        focusX,
        focusY,
        away);
  }

  /** The tag of what is said of it and of its file. */
  @JsonProperty(required = true)
  public String etag() {
    return Etag.of(fileName, version, alt, decoration, tags, focusX, focusY, away);
  }

  public PictureView {
    tags = List.copyOf(tags);
  }

  /**
   * Whether pages of a client may have it: the client's own and the house's, but for the stand-in.
   */
  public boolean isFor(String site) {
    return (siteId.isEmpty() || siteId.equals(site)) && !standsIn();
  }

  /** Whether it is made of pixels, so that it is sharp up to its own size only. */
  public boolean madeOfPixels() {
    return mediaType.equals("image/png") || mediaType.equals("image/jpeg");
  }

  public boolean standsIn() {
    return id.equals(FieldValue.Picture.STAND_IN_ID);
  }
}
