package goodbones.server.files;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;

/** A file that pages of a client link to. */
@Entity
class ClientFile {
  @Id private String id = "";
  private String siteId = "";
  private String fileName = "";
  private String mediaType = "";
  private int size;
  private int fileVersion;
  private boolean away;
  @Lob private byte[] bytes = {};

  protected ClientFile() {}

  ClientFile(String id, String siteId, String fileName, FileKind kind, byte[] bytes) {
    this.id = id;
    this.siteId = siteId;
    this.fileName = fileName;
    this.mediaType = kind.mediaType();
    this.size = bytes.length;
    this.bytes = bytes.clone();
  }

  void replace(byte[] anew) {
    bytes = anew.clone();
    size = anew.length;
    fileVersion++;
  }

  void describe(String name, boolean offeredNoMore) {
    fileName = name;
    away = offeredNoMore;
  }

  FileView view() {
    return new FileView(id, siteId, fileName, mediaType, size, fileVersion, away);
  }

  byte[] bytes() {
    return bytes.clone();
  }
}
