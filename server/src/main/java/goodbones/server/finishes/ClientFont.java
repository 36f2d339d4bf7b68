package goodbones.server.finishes;

import goodbones.fonts.FontFace;
import goodbones.fonts.FontFile;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;

/** A font file of a client's own. */
@Entity
class ClientFont {
  @Id private String id = "";
  private String siteId = "";
  private String family = "";
  private int least;
  private int greatest;
  private String format = "";
  private String fileName = "";
  private String licence = "";
  @Lob private byte[] bytes = {};

  protected ClientFont() {}

  ClientFont(String id, String siteId, FontFile file, String licence, byte[] bytes) {
    this.id = id;
    this.siteId = siteId;
    this.family = file.family();
    this.least = file.least();
    this.greatest = file.greatest();
    this.format = file.format();
    this.fileName = id + "." + ending(file.format());
    this.licence = licence;
    this.bytes = bytes.clone();
  }

  private static String ending(String format) {
    return switch (format) {
      case "woff2" -> "woff2";
      case "opentype" -> "otf";
      default -> "ttf";
    };
  }

  FontFace face(String folder) {
    return new FontFace(family, folder + fileName, format, least, greatest);
  }

  ClientFontView view() {
    return new ClientFontView(id, family, least, greatest, format, licence);
  }

  byte[] bytes() {
    return bytes.clone();
  }
}
