package goodbones.structure;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.PageEditor;
import goodbones.library.Shown;
import goodbones.propagation.Rebasing;
import goodbones.style.SiteFinishes;
import goodbones.testing.HouseFinishes;
import goodbones.testing.Shelf;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A page calls what it places by names of its own, so that two of one piece are told apart. */
class PlacementNamesTest {
  private final Shelf shelf = new Shelf();
  private final Adopted adopted = new Adopted(Map.of("outer", 1, "inner", 1));
  private final PageEditor editor = new PageEditor(adopted, shelf, new Rebasing(shelf, adopted));
  private int next;

  private static NodeId id(String value) {
    return NodeId.of(value);
  }

  private static Node placing(String id, String piece) {
    return Node.placing(id(id), "", piece).withPlacement(Placement.of(piece).withBound(1));
  }

  /** Two of one piece, which shows nothing but a section of another. */
  private Node page() {
    shelf.keep(
        "inner",
        Node.of(id("s"), Kind.SECTION, "Words")
            .withChildren(List.of(Node.of(id("t"), Kind.TEXT, ""))));
    shelf.keep("outer", placing("in", "inner"));
    return Node.of(id("page"), Kind.PAGE, "")
        .withChildren(List.of(placing("one", "outer"), placing("two", "outer")));
  }

  private Bench bench(Node page) {
    return new Bench(
        page,
        Shown.of(page, adopted, shelf),
        new SiteFinishes(HouseFinishes.house(), Map.of()),
        () -> id("new" + next++),
        shelf,
        adopted);
  }

  private List<String> names(Node page) {
    return Shown.of(page, adopted, shelf).root().children().stream().map(Node::name).toList();
  }

  private Node renamed(Node page, String node, String name) {
    return editor.apply(page, new Edit.Rename(bench(page).named(id(node)), name)).root();
  }

  @Test
  void whatIsOutermostInAPlacementIsNamedByThePage() {
    Node page = page();
    assertThat(names(page)).containsExactly("Words", "Words");
    Node named = renamed(page, "two/in/s", "Prices");
    assertThat(names(named)).containsExactly("Words", "Prices");
    assertThat(names(renamed(named, "two/in/s", ""))).containsExactly("Words", "Words");
  }

  @Test
  void whatStandsFurtherInIsNamedByThePiece() {
    assertThat(bench(page()).named(id("two/in/t"))).isEqualTo(id("two/in/t"));
  }

  @Test
  void aCopyThatIsUnlinkedKeepsItsName() {
    Node page = renamed(page(), "two/in/s", "Prices");
    for (boolean all : List.of(false, true)) {
      Node copied = editor.apply(page, new Landing(bench(page)).unlink(id("two/in/s"), all)).root();
      assertThat(names(copied)).as("all the way down: " + all).containsExactly("Words", "Prices");
    }
    Node outer = editor.apply(page, new Landing(bench(page)).unlink(id("two"), false)).root();
    assertThat(names(outer)).containsExactly("Words", "Prices");
  }
}
