package goodbones.structure;

import static goodbones.testing.Benches.after;
import static goodbones.testing.Benches.bench;
import static goodbones.testing.Built.find;
import static goodbones.testing.Built.node;
import static goodbones.testing.Built.setting;
import static goodbones.testing.Built.styled;
import static goodbones.testing.Built.text;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Settings that change their level, and that nothing looks different where it is said so. */
class SettingsTest {
  private static final NodeId BOX = NodeId.of("box");

  private static Settings settings(Node page) {
    return new Settings(bench(page));
  }

  private static Node page(Node... inBox) {
    return node("page", Kind.PAGE, node("section", Kind.SECTION, node("box", Kind.BOX, inBox)));
  }

  private static List<StyleProperty> gatherable(Node page) {
    return settings(page).gatherable(BOX).stream().map(Settings.Gathered::property).toList();
  }

  @Test
  void whatAllChildrenSayAlikeIsGatheredAtTheContainer() {
    Node page =
        page(
            text("t", "Seeds", "color", "{color.accent}", "text-align", "center"),
            text("u", "Tools", "color", "{color.accent}", "text-align", "end"));
    List<Settings.Gathered> found = settings(page).gatherable(BOX);
    assertThat(found).extracting(Settings.Gathered::property).containsExactly(StyleProperty.COLOR);
    Node gathered = after(page, found.get(0).edit());
    assertThat(setting(gathered, "box", "color")).isEqualTo("{color.accent}");
    assertThat(setting(gathered, "t", "color")).isEmpty();
    assertThat(setting(gathered, "u", "color")).isEmpty();
    assertThat(setting(gathered, "u", "text-align")).isEqualTo("end");
  }

  @Test
  void whatOneChildAloneOrNoContainerCanSayIsNotGathered() {
    assertThat(gatherable(page(text("t", "Seeds", "color", "#123456")))).isEmpty();
    assertThat(
            gatherable(
                page(
                    text("t", "Seeds", "max-width", "300px"),
                    text("u", "Tools", "max-width", "300px"))))
        .isEmpty();
  }

  /** The finishes give headings a weight of their own, which would win over the container's. */
  @Test
  void whatWouldChangeALookIsNotGathered() {
    Node first = styled(node("h", Kind.HEADING), "font-weight", "300", "letter-spacing", "1px");
    Node second = styled(node("i", Kind.HEADING), "font-weight", "300", "letter-spacing", "1px");
    assertThat(gatherable(page(first, second))).containsExactly(StyleProperty.LETTER_SPACING);
  }

  @Test
  void theSameDistanceBetweenAllChildrenBecomesTheGap() {
    Node page =
        page(
            text("t", "Seeds", "margin-top", "8px", "margin-bottom", "10px"),
            text("u", "Tools", "margin-top", "6px", "margin-bottom", "10px"),
            text("v", "Bulbs", "margin-top", "6px", "margin-bottom", "3px"));
    List<Settings.Gathered> found = settings(page).gatherable(BOX);
    assertThat(found).hasSize(1);
    Node gathered = after(page, found.get(0).edit());
    assertThat(setting(gathered, "box", "row-gap")).isEqualTo("16px");
    assertThat(setting(gathered, "box", "padding-top")).isEqualTo("8px");
    assertThat(setting(gathered, "box", "padding-bottom")).isEqualTo("3px");
    assertThat(List.of("t", "u", "v"))
        .allSatisfy(id -> assertThat(find(gathered, id).styles()).isEmpty());
  }

  @Test
  void distancesThatDifferOrAreNoPixelsStayWhereTheyAre() {
    assertThat(
            gatherable(
                page(
                    text("t", "Seeds", "margin-bottom", "10px"),
                    text("u", "Tools", "margin-bottom", "12px"),
                    text("v", "Bulbs"))))
        .isEmpty();
    assertThat(gatherable(page(text("t", "Seeds", "margin-bottom", "1em"), text("u", "Tools"))))
        .isEmpty();
    assertThat(gatherable(page(text("t", "Seeds"), text("u", "Tools")))).isEmpty();
  }

  @Test
  void aSettingIsCarriedUpARungAndDownAgain() {
    StyleKey key = StyleKey.parse("padding-top@phone");
    Node page =
        page(styled(node("inner", Kind.BOX, text("t", "Seeds")), "padding-top@phone", "12px"));
    Node up = after(page, settings(page).up(NodeId.of("inner"), key));
    assertThat(setting(up, "box", "padding-top@phone")).isEqualTo("12px");
    assertThat(setting(up, "inner", "padding-top@phone")).isEmpty();
    Node down = after(up, settings(up).down(BOX, key));
    assertThat(down).isEqualTo(page);
  }

  @Test
  void downEveryChildTakesItThatDoesNotSayItItself() {
    Node page =
        after(
            page(text("t", "Seeds"), text("u", "Tools", "color", "#111111")),
            new Edit.SetStyle(
                BOX, StyleKey.parse("color"), Optional.of(StyleValue.literal("#222222"))));
    Node down = after(page, settings(page).down(BOX, StyleKey.parse("color")));
    assertThat(setting(down, "t", "color")).isEqualTo("#222222");
    assertThat(setting(down, "u", "color")).isEqualTo("#111111");
    assertThat(setting(down, "box", "color")).isEmpty();
  }

  @Test
  void whatCannotBeCarriedIsRefusedWithTheReason() {
    Node page = page(text("t", "Seeds", "letter-spacing", "1px"));
    Settings settings = settings(page);
    assertThatThrownBy(() -> settings.up(NodeId.of("t"), StyleKey.parse("color")))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("does not set its text colour itself");
    Node pictured =
        page(styled(node("p", Kind.PICTURE), "object-fit", "contain"), text("t", "Seeds"));
    assertThatThrownBy(() -> settings(pictured).up(NodeId.of("p"), StyleKey.parse("object-fit")))
        .hasMessageContaining("A box has no picture fit");
    Node spaced = after(page, settings.up(NodeId.of("t"), StyleKey.parse("letter-spacing")));
    Node empty =
        spaced.withChildren(
            List.of(
                node("section", Kind.SECTION, styled(node("box", Kind.BOX), "row-gap", "4px"))));
    assertThatThrownBy(() -> settings(empty).down(BOX, StyleKey.parse("row-gap")))
        .hasMessageContaining("Nothing in it can take the row gap over");
    assertThatThrownBy(() -> settings(page).up(NodeId.of("page"), StyleKey.parse("letter-spacing")))
        .hasMessageContaining("stays where it is");
  }
}
