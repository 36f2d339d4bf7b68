package goodbones.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.colour.Colour;
import goodbones.document.Kind;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.testing.HouseFinishes;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class FinishesEditorTest {
  private static final Finishes HOUSE = HouseFinishes.house();

  private static String worth(Finishes finishes, String name) {
    SiteFinishes site = new SiteFinishes(finishes, Map.of());
    return site.worth(site.byName(name).orElseThrow().id()).css();
  }

  private static void undoes(FinishesEdit edit) {
    FinishesEditor.Edited edited = FinishesEditor.apply(HOUSE, edit);
    assertThat(edited.finishes()).isNotEqualTo(HOUSE);
    assertThat(FinishesEditor.apply(edited.finishes(), edited.inverse()).finishes())
        .isEqualTo(HOUSE);
  }

  @Test
  void everyEditHasItsInverse() {
    undoes(FinishesEditor.rename(HOUSE, "color.accent", "color.brand"));
    undoes(FinishesEditor.value(HOUSE, "color.accent", StyleValue.literal("#aa0000")));
    undoes(FinishesEditor.remove("size.display"));
    undoes(FinishesEditor.replace(HOUSE, "color.accent", "color.text"));
    undoes(new FinishesEdit.PutNamedStyle("small-caps", Optional.empty(), -1));
    undoes(new FinishesEdit.PutScheme("dark", Optional.empty(), -1));
    undoes(
        new FinishesEdit.PutDefault(
            Kind.TEXT, StyleKey.parse("max-width"), Optional.of(StyleValue.literal("600px"))));
    undoes(new FinishesEdit.PutFile(List.of(new TokenGroup("color", "{}")), ""));
  }

  @Test
  void renamingBreaksNoReference() {
    Finishes renamed =
        FinishesEditor.apply(HOUSE, FinishesEditor.rename(HOUSE, "color.accent", "brand.main"))
            .finishes();
    assertThat(worth(renamed, "color.label")).isEqualTo("#1f6f63");
    assertThat(
            new SiteFinishes(renamed, Map.of())
                .written(renamed.token("color.label").orElseThrow().value()))
        .isEqualTo("{brand.main}");
  }

  @Test
  void replacingRetiresTheOldOneAndPointsAllToTheNew() {
    Finishes after =
        FinishesEditor.apply(HOUSE, FinishesEditor.replace(HOUSE, "color.accent", "color.text"))
            .finishes();
    Token old = after.token("color.accent").orElseThrow();
    assertThat(old.retired()).isTrue();
    assertThat(after.referringTo("color.accent")).isEmpty();
    assertThat(worth(after, "color.accent")).isEqualTo("#22282b");
    assertThat(worth(after, "edge.plain")).isEqualTo("1px solid #22282b");
  }

  @Test
  void anAliasMayTakeThePlaceOfWhatItLedTo() {
    Finishes after =
        FinishesEditor.apply(HOUSE, FinishesEditor.replace(HOUSE, "color.accent", "color.label"))
            .finishes();
    assertThat(worth(after, "color.label")).isEqualTo("#1f6f63");
    assertThat(worth(after, "color.accent")).isEqualTo("#1f6f63");
  }

  @Test
  void whatCannotBeLookedUpAfterwardsIsRefused() {
    assertThatThrownBy(() -> FinishesEditor.apply(HOUSE, FinishesEditor.remove("color.accent")))
        .hasMessageContaining("color.accent");
    assertThatThrownBy(
            () ->
                FinishesEditor.apply(
                    HOUSE,
                    FinishesEditor.value(HOUSE, "color.accent", StyleValue.token("color.label"))))
        .hasMessageContaining("color.accent → color.label → color.accent");
    assertThatThrownBy(
            () ->
                FinishesEditor.apply(
                    HOUSE, FinishesEditor.rename(HOUSE, "color.accent", "color.text")))
        .hasMessageContaining("already");
    assertThatThrownBy(() -> FinishesEditor.rename(HOUSE, "color.accent", "a{b"))
        .hasMessageContaining("words with dots");
    assertThatThrownBy(() -> FinishesEditor.replace(HOUSE, "color.accent", "size.text"))
        .hasMessageContaining("color");
    NamedStyle ring = new NamedStyle("label", "Label", Optional.of("small-caps"), Map.of());
    assertThatThrownBy(
            () ->
                FinishesEditor.apply(
                    HOUSE, new FinishesEdit.PutNamedStyle("label", Optional.of(ring), -1)))
        .hasMessageContaining("“Label” → “Small caps label” → “Label”");
  }

  @Test
  void aFluidSizeRunsStraightBetweenTwoWidths() {
    String css = Fluid.css(20, 40, 390, 1280);
    assertThat(css).startsWith("clamp(20px, ").endsWith(", 40px)");
    assertThat(StyleValue.parse(css)).isInstanceOf(StyleValue.Literal.class);
    assertThat(goodbones.document.ValueType.LENGTH.accepts(css)).isTrue();
    assertThat(Fluid.px(css, 300, 800)).isEqualTo(20);
    assertThat(Fluid.px(css, 390, 800)).isCloseTo(20, org.assertj.core.api.Assertions.within(0.01));
    assertThat(Fluid.px(css, 835, 800)).isCloseTo(30, org.assertj.core.api.Assertions.within(0.01));
    assertThat(Fluid.px(css, 3000, 800)).isEqualTo(40);
    assertThatThrownBy(() -> Fluid.css(40, 20, 390, 1280)).hasMessageContaining("smaller");
  }

  @Test
  void aBrandFillsTheRolesSoThatTextReads() {
    for (List<String> colours :
        List.of(
            List.of("#16303f", "#e2a13a", "#e8f0f1"),
            List.of("#ffcc00"),
            List.of("#ff0000", "#00ff00"),
            List.of("#ffffff"))) {
      Map<String, StyleValue> values =
          new Brand(
                  colours.stream().map(Colour::parse).toList(), "Lora, serif", "Lora, serif", 1120)
              .values();
      Colour surface = Colour.parse(values.get("color.surface").toString());
      Colour accent = Colour.parse(values.get("color.accent").toString());
      for (Colour ground : List.of(Colour.WHITE, surface)) {
        assertThat(Colour.parse(values.get("color.text").toString()).contrastOn(ground))
            .as("%s", colours)
            .isGreaterThanOrEqualTo(4.5);
        assertThat(Colour.parse(values.get("color.label").toString()).contrastOn(ground))
            .as("%s", colours)
            .isGreaterThanOrEqualTo(4.5);
      }
      assertThat(Colour.parse(values.get("color.on.accent").toString()).contrastOn(accent))
          .isGreaterThanOrEqualTo(4.5);
      assertThat(
              Colour.parse(values.get("color.on.accent").toString())
                  .contrastOn(Colour.parse(values.get("color.accent.deep").toString())))
          .isGreaterThanOrEqualTo(4.5);
    }
    assertThatThrownBy(() -> new Brand(List.of(), "a", "b", 1120))
        .hasMessageContaining("three colours");
    assertThat(ReadySet.all()).hasSizeGreaterThan(3);
  }
}
