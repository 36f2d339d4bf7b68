package goodbones.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Editor;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.layout.Arithmetic;
import goodbones.layout.Box;
import goodbones.layout.Measured;
import goodbones.layout.Screen;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import goodbones.testing.Built;
import goodbones.testing.CataloguePages;
import goodbones.testing.Runs;
import goodbones.testing.Surveyed;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class EdgesLineUpTest {
  private static final int PAGES = Runs.of(40, 400);

  private int next;

  /**
   * Texts one below the other in some of what holds others, one of them or their box off a little.
   */
  private Node nudged(Node node, Random random) {
    List<Node> children = new ArrayList<>();
    node.children().forEach(child -> children.add(nudged(child, random)));
    if (Catalogue.mayHold(node.kind(), Kind.BOX) && random.nextInt(3) == 0) {
      List<Node> texts = new ArrayList<>();
      for (int i = 0; i < 4; i++) {
        texts.add(Built.text("off" + next++, "So it is"));
      }
      int off = random.nextInt(3);
      texts.set(off, off(texts.get(off), random));
      children.add(off(Built.node("off" + next++, Kind.BOX, texts.get(0), texts.get(1)), random));
      children.addAll(texts.subList(2, 4));
    }
    return node.withChildren(children);
  }

  private static Node off(Node node, Random random) {
    StyleProperty side =
        random.nextBoolean() ? StyleProperty.PADDING_LEFT : StyleProperty.MARGIN_LEFT;
    return node.withStyle(StyleKey.of(side), StyleValue.literal(random.nextInt(6) + "px"));
  }

  private static Map<NodeId, Box> boxes(Node page) {
    return Arithmetic.boxes(
        page,
        new Cascade(page, Shown.of(page), Surveyed.LOOK),
        Screen.of(Device.DESKTOP),
        Measured.GUESSED);
  }

  private static double left(Node page, NodeId id) {
    Cascade cascade = new Cascade(page, Shown.of(page), Surveyed.LOOK);
    Node node = page.find(id).orElseThrow();
    double padding =
        node.kind() == Kind.TEXT || node.kind() == Kind.HEADING || node.kind() == Kind.LABEL
            ? Double.parseDouble(
                cascade
                    .won(node, StyleProperty.PADDING_LEFT, Device.DESKTOP, State.NORMAL)
                    .css()
                    .replace("px", ""))
            : 0;
    return boxes(page).get(id).x() + padding;
  }

  @Test
  void whatIsMendedStandsByAsMuchElsewhereAsWasSaid() {
    Random random = new Random(11);
    int found = 0;
    int mended = 0;
    for (int i = 0; i < PAGES; i++) {
      Node page = nudged(new CataloguePages(random, 5 + i % 16).page(40), random);
      for (Finding finding :
          new EdgesLineUp().in(new SurveyedDocument("p", false, Shown.of(page)), Surveyed.site())) {
        found++;
        if (finding.mend().isEmpty()) {
          continue;
        }
        mended++;
        NodeId node = finding.node().orElseThrow();
        Edit mend = finding.mend().orElseThrow();
        double by =
            Double.parseDouble(finding.message().replaceAll(".* ([\\d.]+) px beside.*", "$1"));
        double moved = left(Editor.apply(page, mend).root(), node) - left(page, node);
        assertThat(Math.abs(moved)).as(finding.message() + mend).isCloseTo(by, within(0.06));
      }
    }
    assertThat(found).isGreaterThan(50);
    assertThat(mended).isGreaterThan(20);
  }

  /** Texts one below the other, each as far from the edge as is said, in px. */
  private static List<String> found(int... insets) {
    Node[] texts = new Node[insets.length];
    for (int i = 0; i < insets.length; i++) {
      texts[i] = Built.text("t" + i, "So it is", "padding-left", insets[i] + "px");
    }
    Node page = Built.node("p", Kind.PAGE, Built.node("s", Kind.SECTION, texts));
    return new EdgesLineUp()
        .in(new SurveyedDocument("p", false, Shown.of(page)), Surveyed.site()).stream()
            .map(finding -> finding.node().orElseThrow().value())
            .toList();
  }

  @Test
  void onlyWhatIsALittleBesideTheLineOfMoreOthersIsFound() {
    assertThat(found(20, 20, 20)).isEmpty();
    assertThat(found(20, 23, 20)).containsExactly("t1");
    assertThat(found(20, 21, 20)).isEmpty();
    assertThat(found(20, 25, 20)).isEmpty();
    assertThat(found(20, 23)).isEmpty();
    assertThat(found(20, 23, 20, 23, 20)).containsExactly("t1");
  }

  @Test
  void sectionsBeginOnOneLine() {
    Node[] sections = new Node[3];
    for (int i = 0; i < 3; i++) {
      sections[i] =
          Built.styled(
              Built.node("s" + i, Kind.SECTION, Built.text("t" + i, "So it is")),
              "padding-left",
              i == 2 ? "61px" : "64px");
    }
    Node page = Built.node("p", Kind.PAGE, sections);
    assertThat(
            new EdgesLineUp().in(new SurveyedDocument("p", false, Shown.of(page)), Surveyed.site()))
        .singleElement()
        .satisfies(
            finding -> {
              assertThat(finding.node()).as("what begins it").contains(NodeId.of("t2"));
              assertThat(finding.mend())
                  .as("the section’s own padding is to blame")
                  .contains(
                      new Edit.SetStyle(
                          NodeId.of("s2"),
                          StyleKey.of(StyleProperty.PADDING_LEFT),
                          Optional.of(StyleValue.literal("64px"))));
              assertThat(finding.message()).contains("3 px beside the line of 2 others");
            });
  }
}
