package goodbones.document;

import static goodbones.testing.Built.node;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class IconsTest {
  /** SVG 2, 9.3.9: a path begins with a move, and holds commands, numbers and what parts them. */
  private static final Pattern PATH =
      Pattern.compile("[Mm][\\d .,-]+([MmZzLlHhVvCcSsQqTtAa][\\d .,-]*)*");

  @Test
  void everyIconHasAnOutlineAndManyAreSolidToo() {
    assertThat(Icons.all()).hasSizeGreaterThan(100);
    for (Icons.Icon icon : Icons.all()) {
      assertThat(icon.name()).matches("[a-z0-9-]{2,40}");
      assertThat(icon.outline()).as(icon.name()).isNotEmpty();
      assertThat(Stream.concat(icon.outline().stream(), icon.solid().stream()))
          .as(icon.name())
          .allMatch(path -> PATH.matcher(path).matches());
    }
    assertThat(Icons.all()).filteredOn(icon -> !icon.solid().isEmpty()).hasSizeGreaterThan(50);
  }

  @Test
  void whatHasNoSolidFormIsDrawnInOutline() {
    Icons.Icon outlined =
        Icons.all().stream().filter(icon -> icon.solid().isEmpty()).findFirst().orElseThrow();
    assertThat(outlined.paths(true)).isEqualTo(outlined.outline());
    Icons.Icon star = Icons.named("star").orElseThrow();
    assertThat(star.paths(true)).isEqualTo(star.solid()).isNotEqualTo(star.paths(false));
  }

  @Test
  void anIconIsSaidByItsNameAndRefusedIfThereIsNone() {
    assertThat(FieldValue.Icon.of("star solid")).isEqualTo(new FieldValue.Icon("star", true));
    assertThat(FieldValue.Icon.of("map-pin")).hasToString("map-pin");
    assertThat(FieldValue.Icon.of("star solid")).hasToString("star solid");
    assertThat(faults("map-pin")).isEmpty();
    assertThat(faults("dragon"))
        .extracting(Fault::message)
        .containsExactly("There is no icon “dragon”; choose one of those shown");
  }

  private static List<Fault> faults(String name) {
    return Catalogue.faults(
        node("i", Kind.ICON).withContent("icon", new FieldValue.Icon(name, false)));
  }

  @Test
  void itsSettingsAreCalledAfterWhatTheyDoToIt() {
    assertThat(Catalogue.label(Kind.ICON, StyleProperty.FONT_SIZE)).isEqualTo("Icon size");
    assertThat(Catalogue.label(Kind.TEXT, StyleProperty.FONT_SIZE)).isEqualTo("Text size");
    assertThat(
            Catalogue.faults(
                node("i", Kind.ICON)
                    .withStyle(StyleKey.of(StyleProperty.LINE_HEIGHT), StyleValue.literal("1.4"))))
        .extracting(Fault::message)
        .containsExactly("An icon has no line height");
  }
}
