package goodbones.server.pictures;

import jakarta.persistence.Embeddable;
import jakarta.persistence.Embedded;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;

/** A file that a picture had before the one that it has. */
@Entity
@Table(name = "picture_before")
class FileBefore {
  @Embeddable
  record Key(String pictureId, int fileVersion) implements Serializable {}

  @EmbeddedId private Key id = new Key("", 0);
  @Embedded private StoredFile file = new StoredFile();

  protected FileBefore() {}

  FileBefore(Picture picture) {
    this.id = new Key(picture.id(), picture.fileVersion());
    this.file = picture.file();
  }

  Key id() {
    return id;
  }

  StoredFile file() {
    return file;
  }
}
