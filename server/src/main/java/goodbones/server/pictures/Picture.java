package goodbones.server.pictures;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;

/** A picture with its file. */
@Entity
public class Picture {
  @Id private String id = "";
  private String fileName = "";
  private String mediaType = "";
  private int width;
  private int height;
  @Lob private byte[] bytes = {};

  protected Picture() {}

  Picture(String id, String fileName, String mediaType, int width, int height, byte[] bytes) {
    this.id = id;
    this.fileName = fileName;
    this.mediaType = mediaType;
    this.width = width;
    this.height = height;
    this.bytes = bytes.clone();
  }

  public String id() {
    return id;
  }

  public String fileName() {
    return fileName;
  }

  public String mediaType() {
    return mediaType;
  }

  public int width() {
    return width;
  }

  public int height() {
    return height;
  }

  public byte[] bytes() {
    return bytes.clone();
  }
}
