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

  /** Whether the file is one that was written from what is allowed. */
  private boolean rebuilt = true;

  protected Picture() {}

  Picture(String id, String fileName, String mediaType, int width, int height, byte[] bytes) {
    this.id = id;
    this.fileName = fileName;
    this.mediaType = mediaType;
    this.width = width;
    this.height = height;
    this.bytes = bytes.clone();
  }

  void rebuild(PictureFile file) {
    mediaType = file.mediaType();
    width = file.width();
    height = file.height();
    bytes = file.bytes();
    rebuilt = true;
  }

  /** Keeps the file as one that no page shows. */
  void setAside() {
    mediaType = "application/octet-stream";
    rebuilt = true;
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
