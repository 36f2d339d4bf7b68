package goodbones.fonts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumSet;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class FontCatalogueTest {
  @Test
  void everyClassHasAFamilyAndThereAreAtLeastTwelve() {
    assertThat(FontCatalogue.families()).hasSizeGreaterThanOrEqualTo(12);
    assertThat(FontCatalogue.families().stream().map(FontFamily::type).collect(Collectors.toSet()))
        .isEqualTo(EnumSet.allOf(FontClass.class));
    assertThat(FontCatalogue.families())
        .allSatisfy(
            f -> assertThat(goodbones.document.ValueType.FAMILY.accepts(f.stack())).isTrue());
  }

  @Test
  void aMissingFamilyHasAStandInOfItsClassThatHasTheWeight() {
    assertThat(FontCatalogue.classOf("Adobe Caslon Pro", "")).isEqualTo(FontClass.SERIF);
    assertThat(FontCatalogue.classOf("Some Slab", "serif")).isEqualTo(FontClass.SLAB);
    assertThat(FontCatalogue.classOf("Unheard", "Georgia, serif")).isEqualTo(FontClass.SERIF);
    assertThat(FontCatalogue.classOf("Unheard", "sans-serif")).isEqualTo(FontClass.SANS);
    assertThat(FontCatalogue.nearest(FontClass.MONO, 900, 0).name()).isEqualTo("Source Code Pro");
    assertThat(FontCatalogue.nearest(FontClass.SERIF, 300, 0.51).name())
        .isEqualTo("Source Serif 4");
    assertThat(FontCatalogue.nearest(FontClass.SANS, 400, 0.6).name()).isEqualTo("Work Sans");
    assertThat(
            FontCatalogue.nearest(FontClass.SANS, 400, FontCatalogue.widthOf("Grot Narrow")).name())
        .isEqualTo("Source Sans 3");
    assertThat(
            FontCatalogue.nearest(FontClass.SANS, 400, FontCatalogue.widthOf("Grot Wide")).name())
        .isEqualTo("Work Sans");
  }

  @Test
  void whatIsNoFontIsRefusedWithWords() {
    assertThatThrownBy(() -> FontFile.read(new byte[3])).hasMessageContaining("empty");
    assertThatThrownBy(() -> FontFile.read("<html>a page, not a font".getBytes()))
        .hasMessageContaining("WOFF2, TTF or OTF");
    Random random = new Random(3);
    for (int i = 0; i < 300; i++) {
      byte[] noise = new byte[200];
      random.nextBytes(noise);
      System.arraycopy(new byte[] {0x77, 0x4F, 0x46, 0x32}, 0, noise, 0, 4);
      if (i % 2 == 0) {
        System.arraycopy(new byte[] {0, 1, 0, 0}, 0, noise, 0, 4);
      }
      assertThatThrownBy(() -> FontFile.read(noise))
          .isInstanceOf(IllegalArgumentException.class)
          .hasMessageContaining("bring in");
    }
  }
}
