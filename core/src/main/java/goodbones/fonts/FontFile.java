package goodbones.fonts;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.brotli.dec.BrotliInputStream;

/**
 * What a font file says of itself: OpenType and TrueType files (ISO/IEC 14496-22, tables name,
 * OS/2, head, fvar) and WOFF 2.0 (W3C WOFF File Format 2.0, sections 4 and 5).
 *
 * @param format ttf, otf or woff2
 * @param weight the weight of the file, or of its default where it holds several
 * @param least the lightest weight that it holds
 * @param greatest the heaviest
 * @param width the average width of a character, in em
 * @param licence what the file says of its licence; empty if nothing
 * @param mayBeEmbedded false where the file's own rights forbid serving it
 */
public record FontFile(
    String format,
    String family,
    int weight,
    int least,
    int greatest,
    boolean italic,
    double width,
    FontClass type,
    String licence,
    boolean mayBeEmbedded) {
  /** A file of several weights is often named for the one that it opens with. */
  private static final String WEIGHT_WORD =
      " (Thin|ExtraLight|UltraLight|Light|Regular|Medium|SemiBold|DemiBold|Bold|ExtraBold|Black)$";

  private static final int SIZE_LIMIT = 30_000_000;
  private static final List<String> KNOWN_TAGS =
      List.of(
          ("cmap head hhea hmtx maxp name OS/2 post cvt_ fpgm glyf loca prep CFF_ VORG EBDT EBLC gasp"
                  + " hdmx kern LTSH PCLT VDMX vhea vmtx BASE GDEF GPOS GSUB EBSC JSTF MATH CBDT CBLC"
                  + " COLR CPAL SVG_ sbix acnt avar bdat bloc bsln cvar fdsc feat fmtx fvar gvar hsty"
                  + " just lcar mort morx opbd prop trak Zapf Silf Glat Gloc Feat Sill")
              .replace('_', ' ')
              .split(" (?=\\S)"));

  /**
   * Reads a font file.
   *
   * @throws IllegalArgumentException if it is none, or is damaged; the message says how to mend it
   */
  public static FontFile read(byte[] bytes) {
    if (bytes.length < 12) {
      throw refused("it is empty or cut off");
    }
    ByteBuffer file = ByteBuffer.wrap(bytes);
    int magic = file.getInt(0);
    try {
      return switch (magic) {
        case 0x00010000, 0x74727565 -> of("ttf", tables(file));
        case 0x4F54544F -> of("otf", tables(file));
        case 0x774F4632 -> of("woff2", unpacked(file));
        case 0x774F4646 -> throw refused("it is an older WOFF file");
        case 0x74746366 -> throw refused("it is a collection of several fonts");
        default -> throw refused("it does not begin as a font does");
      };
    } catch (BufferUnderflowException | IndexOutOfBoundsException | IOException e) {
      throw refused("it is damaged or cut off");
    }
  }

  private static IllegalArgumentException refused(String why) {
    return new IllegalArgumentException(
        "This is not a font that can be used: " + why + "; bring in a WOFF2, TTF or OTF file");
  }

  private static Map<String, ByteBuffer> tables(ByteBuffer file) {
    Map<String, ByteBuffer> tables = new HashMap<>();
    int count = file.getShort(4) & 0xffff;
    for (int i = 0; i < count; i++) {
      int entry = 12 + 16 * i;
      int offset = file.getInt(entry + 8);
      int length = file.getInt(entry + 12);
      tables.put(tag(file, entry), file.slice(offset, length));
    }
    return tables;
  }

  private static String tag(ByteBuffer file, int at) {
    byte[] tag = new byte[4];
    file.get(at, tag);
    return new String(tag, StandardCharsets.ISO_8859_1);
  }

  private record Entry(String tag, int length) {}

  private static Map<String, ByteBuffer> unpacked(ByteBuffer file) throws IOException {
    int count = file.getShort(12) & 0xffff;
    int compressed = file.getInt(20);
    file.position(48);
    List<Entry> entries = new java.util.ArrayList<>();
    long total = 0;
    for (int i = 0; i < count; i++) {
      int flags = file.get() & 0xff;
      String tag;
      if ((flags & 63) == 63) {
        tag = tag(file, file.position());
        file.position(file.position() + 4);
      } else {
        tag = KNOWN_TAGS.get(flags & 63);
      }
      int length = base128(file);
      boolean outline = tag.equals("glyf") || tag.equals("loca");
      boolean transformed = outline ? flags >> 6 == 0 : flags >> 6 != 0;
      int stored = transformed ? base128(file) : length;
      entries.add(new Entry(tag, stored));
      total += stored;
    }
    if (total > SIZE_LIMIT || total < 0) {
      throw refused("it is too large");
    }
    if (compressed < 0 || compressed > file.remaining()) {
      throw new BufferUnderflowException();
    }
    byte[] packed = new byte[compressed];
    file.get(packed);
    byte[] all = new BrotliInputStream(new ByteArrayInputStream(packed)).readNBytes((int) total);
    ByteBuffer data = ByteBuffer.wrap(all);
    Map<String, ByteBuffer> tables = new HashMap<>();
    int at = 0;
    for (Entry entry : entries) {
      tables.put(entry.tag(), data.slice(at, entry.length()));
      at += entry.length();
    }
    return tables;
  }

  /** UIntBase128 of WOFF 2.0, section 4.1. */
  private static int base128(ByteBuffer file) {
    int value = 0;
    for (int i = 0; i < 5; i++) {
      int b = file.get() & 0xff;
      value = value << 7 | b & 0x7f;
      if ((b & 0x80) == 0) {
        return value;
      }
    }
    throw new BufferUnderflowException();
  }

  private static FontFile of(String format, Map<String, ByteBuffer> tables) {
    ByteBuffer os2 = table(tables, "OS/2");
    ByteBuffer head = table(tables, "head");
    Map<Integer, String> names = names(table(tables, "name"));
    String family = names.getOrDefault(16, names.getOrDefault(1, ""));
    if (family.isBlank()) {
      throw refused("it does not say the name of its family");
    }
    int weight = os2.getShort(4) & 0xffff;
    int[] range =
        Optional.ofNullable(tables.get("fvar"))
            .map(FontFile::weights)
            .orElse(new int[] {weight, weight});
    int unitsPerEm = head.getShort(18) & 0xffff;
    if (unitsPerEm == 0) {
      throw refused("it is damaged, as it says nothing of its size");
    }
    int rights = os2.getShort(8) & 0xf;
    return new FontFile(
        format,
        plain(range[0] < range[1] ? family.replaceFirst(WEIGHT_WORD, "") : family),
        weight,
        range[0],
        range[1],
        (os2.getShort(62) & 1) != 0,
        os2.getShort(2) / (double) unitsPerEm,
        type(os2, family),
        names.getOrDefault(13, names.getOrDefault(14, "")),
        rights != 2);
  }

  private static ByteBuffer table(Map<String, ByteBuffer> tables, String tag) {
    ByteBuffer table = tables.get(tag);
    if (table == null) {
      throw refused("it has no table " + tag);
    }
    return table;
  }

  /** A name that can stand in CSS as it is written here. */
  private static String plain(String family) {
    String plain = family.replaceAll("[^A-Za-z0-9 -]", " ").replaceAll(" +", " ").strip();
    return plain.isEmpty() || !Character.isLetter(plain.charAt(0)) ? "Font " + plain : plain;
  }

  /** Family, licence, where the licence stands, and typographic family (OpenType, name table). */
  private static final Set<Integer> USED = Set.of(1, 13, 14, 16);

  private static Map<Integer, String> names(ByteBuffer table) {
    Map<Integer, String> names = new HashMap<>();
    Set<Integer> inEnglish = new HashSet<>();
    int count = table.getShort(2) & 0xffff;
    int texts = table.getShort(4) & 0xffff;
    for (int i = 0; i < count; i++) {
      int entry = 6 + 12 * i;
      int platform = table.getShort(entry);
      int language = table.getShort(entry + 4) & 0xffff;
      int id = table.getShort(entry + 6) & 0xffff;
      // Sixty thousand records may be laid on the same bytes; only four are of use.
      if (!USED.contains(id) || inEnglish.contains(id)) {
        continue;
      }
      byte[] text = new byte[table.getShort(entry + 8) & 0xffff];
      table.get(texts + (table.getShort(entry + 10) & 0xffff), text);
      Charset charset = platform == 1 ? StandardCharsets.ISO_8859_1 : StandardCharsets.UTF_16BE;
      boolean english = platform != 3 || language == 0x409;
      if (english) {
        inEnglish.add(id);
      }
      if (english || !names.containsKey(id)) {
        names.put(id, new String(text, charset));
      }
    }
    return names;
  }

  /** The range of the axis wght; 16.16 fixed point. */
  private static int[] weights(ByteBuffer fvar) {
    int offset = fvar.getShort(4) & 0xffff;
    int count = fvar.getShort(8) & 0xffff;
    int size = fvar.getShort(10) & 0xffff;
    for (int i = 0; i < count; i++) {
      int at = offset + size * i;
      if (tag(fvar, at).equals("wght")) {
        return new int[] {fvar.getInt(at + 4) >> 16, fvar.getInt(at + 12) >> 16};
      }
    }
    return new int[] {400, 400};
  }

  /** From the PANOSE numbers: family kind, serif style, proportion; else from the name. */
  private static FontClass type(ByteBuffer os2, String name) {
    int kind = os2.get(32);
    int serif = os2.get(33);
    if (kind == 3) {
      return FontClass.SCRIPT;
    } else if (kind == 4) {
      return FontClass.DISPLAY;
    } else if (kind == 2 && os2.get(35) == 9) {
      return FontClass.MONO;
    } else if (kind == 2 && serif >= 11) {
      return FontClass.SANS;
    } else if (kind == 2 && serif >= 2) {
      return serif >= 6 && serif <= 7 ? FontClass.SLAB : FontClass.SERIF;
    }
    return FontCatalogue.classOf(name, "");
  }
}
