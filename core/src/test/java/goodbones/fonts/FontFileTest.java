package goodbones.fonts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowable;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Font files put together byte by byte from the tables of ISO/IEC 14496-22. */
class FontFileTest {
  private static final int TRUE_TYPE = 0x00010000;

  /** Version, average width, weight, and so on, as the table OS/2 has them. */
  private static byte[] os2(int weight, int rights, int familyKind, int serif) {
    ByteBuffer table = ByteBuffer.allocate(78);
    table.putShort(2, (short) 500);
    table.putShort(4, (short) weight);
    table.putShort(8, (short) rights);
    table.put(32, (byte) familyKind);
    table.put(33, (byte) serif);
    table.putShort(62, (short) 1);
    return table.array();
  }

  private static byte[] head(int unitsPerEm) {
    return ByteBuffer.allocate(54).putShort(18, (short) unitsPerEm).array();
  }

  /** Names of platform 3, encoding 1, in US English. */
  private static byte[] names(Map<Integer, String> names) {
    int texts = 6 + 12 * names.size();
    int length = names.values().stream().mapToInt(text -> 2 * text.length()).sum();
    ByteBuffer table = ByteBuffer.allocate(texts + length);
    table.putShort((short) 0).putShort((short) names.size()).putShort((short) texts);
    int at = 0;
    for (Map.Entry<Integer, String> name : names.entrySet()) {
      byte[] text = name.getValue().getBytes(StandardCharsets.UTF_16BE);
      table.putShort((short) 3).putShort((short) 1).putShort((short) 0x409);
      table.putShort(name.getKey().shortValue()).putShort((short) text.length);
      table.putShort((short) at);
      table.put(texts + at, text);
      at += text.length;
    }
    return table.array();
  }

  private static byte[] weights(int least, int usual, int greatest) {
    ByteBuffer table = ByteBuffer.allocate(16 + 20);
    table.putShort(4, (short) 16).putShort(8, (short) 1).putShort(10, (short) 20);
    table.put(16, "wght".getBytes(StandardCharsets.ISO_8859_1));
    table.putInt(20, least << 16).putInt(24, usual << 16).putInt(28, greatest << 16);
    return table.array();
  }

  private static Map<String, byte[]> tables() {
    Map<String, byte[]> tables = new LinkedHashMap<>();
    tables.put("OS/2", os2(700, 0, 2, 11));
    tables.put("head", head(1000));
    tables.put("name", names(Map.of(1, "Ridge Sans", 13, "SIL Open Font License")));
    return tables;
  }

  private static byte[] file(Map<String, byte[]> tables) {
    int at = 12 + 16 * tables.size();
    int length = at + tables.values().stream().mapToInt(table -> table.length).sum();
    ByteBuffer file = ByteBuffer.allocate(length);
    file.putInt(TRUE_TYPE).putShort((short) tables.size()).position(12);
    for (Map.Entry<String, byte[]> table : tables.entrySet()) {
      file.put(table.getKey().getBytes(StandardCharsets.ISO_8859_1)).putInt(0);
      file.putInt(at).putInt(table.getValue().length);
      file.put(at, table.getValue());
      at += table.getValue().length;
    }
    return file.array();
  }

  @Test
  void aFileTellsItsFamilyWeightWidthAndLicence() {
    FontFile font = FontFile.read(file(tables()));
    assertThat(font)
        .isEqualTo(
            new FontFile(
                "ttf",
                "Ridge Sans",
                700,
                700,
                700,
                true,
                0.5,
                FontClass.SANS,
                "SIL Open Font License",
                true));
  }

  @Test
  void aFileOfSeveralWeightsIsNamedForNoneOfThem() {
    Map<String, byte[]> tables = tables();
    tables.put("name", names(Map.of(1, "Ridge Sans Light", 16, "Ridge Sans Thin")));
    tables.put("fvar", weights(100, 400, 900));
    FontFile font = FontFile.read(file(tables));
    assertThat(font.family()).isEqualTo("Ridge Sans");
    assertThat(font.least()).isEqualTo(100);
    assertThat(font.greatest()).isEqualTo(900);
    assertThat(font.licence()).isEmpty();
  }

  /** PANOSE 1.0: 3 is script, 4 decorative; of 2, Latin text, serif styles 2 to 5 and 6 to 7. */
  @Test
  void itsClassIsReadFromThePanoseNumbers() {
    Map<FontClass, int[]> panose =
        Map.of(
            FontClass.SCRIPT, new int[] {3, 0},
            FontClass.DISPLAY, new int[] {4, 0},
            FontClass.SERIF, new int[] {2, 3},
            FontClass.SLAB, new int[] {2, 6},
            FontClass.SANS, new int[] {2, 12});
    panose.forEach(
        (type, numbers) -> {
          Map<String, byte[]> tables = tables();
          tables.put("OS/2", os2(400, 0, numbers[0], numbers[1]));
          assertThat(FontFile.read(file(tables)).type()).isEqualTo(type);
        });
  }

  /** OS/2, fsType: 2 is restricted licence embedding. */
  @Test
  void itSaysWhereItMayNotBeServed() {
    Map<String, byte[]> tables = tables();
    tables.put("OS/2", os2(400, 2, 2, 11));
    assertThat(FontFile.read(file(tables)).mayBeEmbedded()).isFalse();
  }

  @Test
  void whatIsNoFontIsRefusedWithTheReason() {
    byte[] png = "\u0089PNG\r\n\u001a\n0000".getBytes(StandardCharsets.ISO_8859_1);
    Map<byte[], String> reasons = new LinkedHashMap<>();
    reasons.put(new byte[3], "it is empty or cut off");
    reasons.put(png, "it does not begin as a font does");
    reasons.put("wOFF00000000".getBytes(StandardCharsets.ISO_8859_1), "an older WOFF file");
    reasons.put("ttcf00000000".getBytes(StandardCharsets.ISO_8859_1), "a collection of several");
    Map<String, byte[]> nameless = tables();
    nameless.put("name", names(Map.of()));
    reasons.put(file(nameless), "does not say the name of its family");
    Map<String, byte[]> headless = tables();
    headless.remove("head");
    reasons.put(file(headless), "it has no table head");
    Map<String, byte[]> flat = tables();
    flat.put("head", head(0));
    reasons.put(file(flat), "it is damaged");
    reasons.forEach(
        (bytes, why) ->
            assertThatThrownBy(() -> FontFile.read(bytes))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(why)
                .hasMessageContaining("bring in a WOFF2, TTF or OTF file"));
  }

  /** A WOFF 2.0 header may say any length of what is packed. */
  @Test
  void aPackedFileThatSaysMoreThanItHoldsIsRefused() {
    for (int packed : new int[] {-1, Integer.MIN_VALUE, Integer.MAX_VALUE}) {
      ByteBuffer file = ByteBuffer.allocate(64);
      file.putInt(0, 0x774F4632).putShort(12, (short) 1).putInt(20, packed);
      file.put(48, (byte) 6).put(49, (byte) 96);
      assertThatThrownBy(() -> FontFile.read(file.array()))
          .isInstanceOf(IllegalArgumentException.class)
          .hasMessageContaining("damaged or cut off");
    }
  }

  /** Whatever is wrong with a file, it is refused in words or read; nothing else is thrown. */
  @Test
  void damagedFilesAreRefusedInWords() {
    byte[] whole = file(tables());
    Random random = new Random(11);
    for (int round = 0; round < 20_000; round++) {
      byte[] damaged = Arrays.copyOf(whole, 1 + random.nextInt(whole.length));
      for (int i = random.nextInt(6); i > 0; i--) {
        damaged[random.nextInt(damaged.length)] = (byte) random.nextInt(256);
      }
      Throwable thrown = catchThrowable(() -> FontFile.read(damaged));
      if (thrown != null) {
        assertThat(thrown).as("round %d", round).isInstanceOf(IllegalArgumentException.class);
        assertThat(thrown).hasMessageStartingWith("This is not a font that can be used");
      }
    }
  }
}
