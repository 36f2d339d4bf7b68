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
import goodbones.layout.Arithmetic;
import goodbones.layout.Box;
import goodbones.layout.Measured;
import goodbones.layout.Screen;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import goodbones.testing.CataloguePages;
import goodbones.testing.Runs;
import goodbones.testing.Surveyed;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class NothingIsWrappedInVainTest {
  private static final int PAGES = Runs.of(50, 900);

  private int next;

  /** Plain boxes put around some of what stands on a page. */
  private Node wrapped(Node node, Random random) {
    List<Node> children = new ArrayList<>();
    for (Node child : node.children()) {
      Node inner = wrapped(child, random);
      boolean fits =
          Catalogue.mayHold(node.kind(), Kind.BOX) && Catalogue.mayHold(Kind.BOX, inner.kind());
      children.add(
          fits && random.nextInt(3) == 0
              ? Node.of(NodeId.of("w" + next++), Kind.BOX, "").withChildren(List.of(inner))
              : inner);
    }
    return node.withChildren(children);
  }

  private static Map<NodeId, Box> boxes(Node page, Device device) {
    return Arithmetic.boxes(
        page,
        new Cascade(page, Shown.of(page), Surveyed.LOOK),
        Screen.of(device),
        Measured.GUESSED);
  }

  @Test
  void withoutWhatIsFoundEverythingStandsWhereItStood() {
    Random random = new Random(5);
    SurveyedSite site = Surveyed.site();
    int found = 0;
    for (int i = 0; i < PAGES; i++) {
      Node page = wrapped(new CataloguePages(random, 5 + i % 16).page(40), random);
      for (Finding finding :
          new NothingIsWrappedInVain().in(new SurveyedDocument("p", false, Shown.of(page)), site)) {
        Edit mend = finding.mend().orElseThrow();
        Node after = Editor.apply(page, mend).root();
        found++;
        for (Device device : Device.values()) {
          Map<NodeId, Box> before = boxes(page, device);
          boxes(after, device)
              .forEach(
                  (id, box) -> {
                    Box was = java.util.Objects.requireNonNull(before.get(id));
                    assertThat(List.of(box.x() - was.x(), box.y() - was.y()))
                        .as("%s at %s on %s without %s", id, device, page.find(id), finding.node())
                        .allSatisfy(moved -> assertThat(moved).isCloseTo(0, within(0.01)));
                    assertThat(List.of(box.width() - was.width(), box.height() - was.height()))
                        .as("%s at %s on %s without %s", id, device, page.find(id), finding.node())
                        .allSatisfy(grown -> assertThat(grown).isCloseTo(0, within(0.01)));
                  });
        }
      }
    }
    assertThat(found).isGreaterThan(PAGES);
  }
}
