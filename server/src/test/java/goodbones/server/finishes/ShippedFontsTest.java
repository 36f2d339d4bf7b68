package goodbones.server.finishes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import goodbones.fonts.FontCatalogue;
import goodbones.fonts.FontFamily;
import goodbones.fonts.FontFile;
import java.io.IOException;
import java.io.InputStream;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What the catalogue says of each family is what its file says of itself. */
class ShippedFontsTest {
  static Stream<FontFamily> families() {
    return FontCatalogue.families().stream();
  }

  private static byte[] bytes(String name) throws IOException {
    try (InputStream in = ShippedFontsTest.class.getResourceAsStream(name)) {
      return Objects.requireNonNull(in, name).readAllBytes();
    }
  }

  @ParameterizedTest
  @MethodSource("families")
  void theFileIsThereWithItsLicenceAndItsNumbers(FontFamily family) throws IOException {
    String slug = family.name().toLowerCase(Locale.ROOT).replace(' ', '-');
    FontFile file = FontFile.read(bytes("/fonts/" + slug + ".woff2"));
    assertThat(file.format()).isEqualTo("woff2");
    assertThat(file.family()).startsWith(family.name());
    assertThat(file.least()).isEqualTo(family.least());
    assertThat(file.greatest()).isEqualTo(family.greatest());
    assertThat(file.width()).isCloseTo(family.width(), within(0.001));
    assertThat(file.mayBeEmbedded()).isTrue();
    assertThat(new String(bytes("/fonts/licences/" + slug + ".txt"), "UTF-8"))
        .contains("SIL OPEN FONT LICENSE Version 1.1");
  }
}
