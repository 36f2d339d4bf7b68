package goodbones.server.pictures;

import jakarta.persistence.Embeddable;
import jakarta.persistence.Lob;

/** A picture's file as it is kept; width and height are in px. */
@Embeddable
public class StoredFile {
  private String fileName = "";
  private String mediaType = "";
  private int width;
  private int height;
  @Lob private byte[] bytes = {};

  protected StoredFile() {}

  StoredFile(String fileName, String mediaType, int width, int height, byte[] bytes) {
    this.fileName = fileName;
    this.mediaType = mediaType;
    this.width = width;
    this.height = height;
    this.bytes = bytes.clone();
  }

  StoredFile(String fileName, PictureFile file) {
    this(fileName, file.mediaType(), file.width(), file.height(), file.bytes());
  }

  StoredFile named(String name) {
    return new StoredFile(name, mediaType, width, height, bytes);
  }

  StoredFile aside() {
    return new StoredFile(fileName, "application/octet-stream", width, height, bytes);
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
