package goodbones.server.fonts;

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
    this.format = cssFormat(file.format());
    this.fileName = id + "." + file.format();
    this.licence = licence;
    this.bytes = bytes.clone();
  }

  /** The word of CSS Fonts 4, section 4.3.1, for a file's ending. */
  private static String cssFormat(String ending) {
    return switch (ending) {
      case "ttf" -> "truetype";
      case "otf" -> "opentype";
      default -> ending;
    };
  }

  FontFace face(String folder) {
    return new FontFace(family, folder + fileName, format, least, greatest);
  }

  String siteId() {
    return siteId;
  }

  ClientFontView view() {
    return new ClientFontView(id, family, least, greatest, format, licence);
  }

  byte[] bytes() {
    return bytes.clone();
  }
}
