package goodbones.server.fonts;

import goodbones.fonts.FontCatalogue;
import goodbones.fonts.FontFace;
import goodbones.fonts.FontFamily;
import goodbones.fonts.FontFile;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.NotFound;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The open fonts that ship with the application, and the clients' own font files. */
@Service
public class Fonts {
  private static final int LICENCE_LIMIT = 500;
  private final ClientFontRepository own;

  Fonts(ClientFontRepository own) {
    this.own = own;
  }

  /**
   * All font files that a site can be set in; its own stand before those that ship.
   *
   * @param folder the address of the folder that they are served from, with its closing slash
   */
  @Transactional(readOnly = true)
  public List<FontFace> faces(String siteId, String folder) {
    List<FontFace> faces = new ArrayList<>();
    own.findBySiteIdOrderByFamilyAscLeastAsc(siteId).forEach(f -> faces.add(f.face(folder)));
    for (FontFamily family : FontCatalogue.families()) {
      faces.add(
          new FontFace(
              family.name(), folder + file(family), "woff2", family.least(), family.greatest()));
    }
    return faces;
  }

  private static String file(FontFamily family) {
    return family.name().toLowerCase(Locale.ROOT).replace(' ', '-') + ".woff2";
  }

  @Transactional(readOnly = true)
  public List<ClientFontView> ofSite(String siteId) {
    return own.findBySiteIdOrderByFamilyAscLeastAsc(siteId).stream().map(ClientFont::view).toList();
  }

  /**
   * Takes in a font file of a client's own. It is served as it is.
   *
   * @param licence what the client may do with it, and where that is written
   * @throws BadInput if it is no font file, may not be served, or nothing is said of its licence
   */
  @Transactional
  public ClientFontView add(String siteId, byte[] bytes, String licence) {
    FontFile file;
    try {
      file = FontFile.read(bytes);
    } catch (IllegalArgumentException refused) {
      throw new BadInput("file", String.valueOf(refused.getMessage()));
    }
    if (!file.mayBeEmbedded()) {
      throw new BadInput(
          "file",
          "“"
              + file.family()
              + "” says of itself that it may not be served with pages; ask its maker for a web"
              + " licence and the file that comes with it");
    }
    String note = licence.strip();
    if (note.isEmpty()) {
      throw new BadInput(
          "licence",
          "Note the licence of “"
              + file.family()
              + "”, such as “web licence bought 3 May, up to 50,000 views”"
              + (file.licence().isEmpty() ? "" : "; the file says: " + shortened(file.licence())));
    }
    if (note.length() > LICENCE_LIMIT) {
      throw new BadInput("licence", "The note on the licence may have at most 500 characters");
    }
    String id = "f" + UUID.randomUUID().toString().replace("-", "");
    return own.save(new ClientFont(id, siteId, file, note, bytes)).view();
  }

  private static String shortened(String text) {
    return text.length() <= 160 ? text : text.substring(0, 159) + "…";
  }

  /**
   * Takes a font file of a client's own away.
   *
   * @throws NotFound if that site has no such file
   */
  @Transactional
  public void remove(String siteId, String id) {
    ClientFont font =
        own.findById(id)
            .filter(f -> f.siteId().equals(siteId))
            .orElseThrow(() -> new NotFound("font of this site", id));
    own.delete(font);
  }

  /**
   * @throws NotFound if there is no such file
   */
  @Transactional(readOnly = true)
  public byte[] bytes(String file) {
    boolean ships = FontCatalogue.families().stream().anyMatch(f -> file(f).equals(file));
    if (!ships) {
      return own.findByFileName(file)
          .map(ClientFont::bytes)
          .orElseThrow(() -> new NotFound("font", file));
    }
    try (InputStream in = Fonts.class.getResourceAsStream("/fonts/" + file)) {
      if (in == null) {
        throw new NotFound("font", file);
      }
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The media type of a font file (RFC 8081). */
  public static String mediaType(String file) {
    return "font/" + file.substring(file.lastIndexOf('.') + 1);
  }
}
