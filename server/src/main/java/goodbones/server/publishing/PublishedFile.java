package goodbones.server.publishing;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Lob;
import java.io.Serializable;

/** A file as the simulated host keeps it. */
@Entity
class PublishedFile {
  /** Which site, and the file's path in it. */
  @Embeddable
  record Key(String siteId, String path) implements Serializable {}

  @EmbeddedId private Key id = new Key("", "");
  private String mediaType = "";
  @Lob private byte[] bytes = {};

  protected PublishedFile() {}

  PublishedFile(Key id, String mediaType, byte[] bytes) {
    this.id = id;
    this.mediaType = mediaType;
    this.bytes = bytes.clone();
  }

  String path() {
    return id.path();
  }

  String mediaType() {
    return mediaType;
  }

  byte[] bytes() {
    return bytes.clone();
  }
}
