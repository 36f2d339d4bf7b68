package goodbones.server.pictures;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.io.Serializable;

/** A picture's file made smaller; its media type is that of the whole. */
@Entity
@Table(name = "picture_size")
class PictureSize {
  /**
   * Of which file, and how wide in px.
   *
   * @param fileVersion of the file that it was made from
   */
  @Embeddable
  record Key(String pictureId, int fileVersion, int width) implements Serializable {}

  @EmbeddedId private Key id = new Key("", 0, 0);
  @Lob private byte[] bytes = {};

  protected PictureSize() {}

  PictureSize(Key id, byte[] bytes) {
    this.id = id;
    this.bytes = bytes.clone();
  }

  byte[] bytes() {
    return bytes.clone();
  }
}
