package goodbones.structure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.library.Adopted;
import goodbones.library.PageEditor;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.propagation.Rebasing;
import goodbones.style.SiteFinishes;
import goodbones.testing.Everything;
import goodbones.testing.HouseFinishes;
import goodbones.testing.Shelf;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Lists of like things: made, taken apart, and lengthened where they are placed. */
class ListingTest {
  private static final SiteFinishes FINISHES = new SiteFinishes(HouseFinishes.house(), Map.of());
  private final Shelf shelf = new Shelf();
  private int next;

  private static NodeId id(String value) {
    return NodeId.of(value);
  }

  private static Node text(String id, String words) {
    return Node.of(id(id), Kind.TEXT, "").withContent("words", new FieldValue.Words(words));
  }

  private static Node box(String id, Node... children) {
    return Node.of(id(id), Kind.BOX, "").withChildren(List.of(children));
  }

  private static final StyleKey COLOUR = StyleKey.parse("color");

  private static Node piece() {
    Node red = text("c2", "Two").withStyle(COLOUR, StyleValue.literal("red"));
    return box(
        "root",
        box("a", text("a2", "One"), text("a3", "1")),
        box("b", red, text("b3", "2")),
        text("t", "Below"));
  }

  private Bench bench(Node document, Showing showing) {
    return new Bench(
        document,
        Shown.of(document, showing, shelf),
        FINISHES,
        () -> id("new" + next++),
        shelf,
        showing);
  }

  private static String seen(Node node) {
    StringBuilder text = new StringBuilder();
    node.walk(each -> text.append(each.kind()).append(each.content()).append(each.styles()));
    return text.toString();
  }

  private Node listed() {
    Edit edit = new Listing(bench(piece(), Showing.BOUND)).make(id("a"));
    return shelf.editor().apply(piece(), edit).root();
  }

  @Test
  void whatIsBuiltAlikeBecomesAListAndLooksTheSame() {
    Node listed = listed();
    Node shown = shelf.editor().shown(listed).root();
    assertThat(shown.children()).as("a box around the list, and what is not alike").hasSize(2);
    Node list = shown.children().get(0);
    assertThat(seen(list))
        .isEqualTo("BOX{}{}" + seen(piece().children().get(0)) + seen(piece().children().get(1)));
    Node own = listed.children().get(0);
    assertThat(own.isList()).isTrue();
    Edit apart = new Listing(bench(listed, Showing.BOUND)).plain(own.id());
    Node plain = shelf.editor().apply(listed, apart).root();
    assertThat(seen(plain.children().get(0))).isEqualTo(seen(list));
    assertThat(plain.children().get(0).isList()).isFalse();
  }

  @Test
  void aListIsMadeInAPieceOnlyAndOfWhatCanBeRepeated() {
    Node page = Node.of(id("page"), Kind.PAGE, "").withChildren(List.of(piece()));
    assertThatThrownBy(() -> new Listing(bench(page, Showing.BOUND)).make(id("a")))
        .hasMessageContaining("belongs to a piece");
    assertThatThrownBy(() -> new Listing(bench(piece(), Showing.BOUND)).make(id("root")))
        .hasMessageContaining("cannot be repeated");
    assertThatThrownBy(() -> new Listing(bench(piece(), Showing.BOUND)).plain(id("a")))
        .hasMessageContaining("no list");
  }

  @Test
  void aPlacementGetsItemsOfItsOwnAndCopiesThem() {
    shelf.keep("p", listed());
    Node page =
        Node.of(id("page"), Kind.PAGE, "")
            .withChildren(
                List.of(
                    Node.placing(id("at"), "", "p").withPlacement(Placement.of("p").withBound(1))));
    Adopted adopted = new Adopted(Map.of("p", 1));
    PageEditor editor = new PageEditor(adopted, shelf, new Rebasing(shelf, adopted));
    Node list = editor.shown(page).root().children().get(0).children().get(0);
    Node second = list.children().get(1);
    page =
        editor
            .apply(
                page,
                new Edit.SetContent(
                    second.children().get(1).id(),
                    "words",
                    Optional.of(new FieldValue.Words("Ours"))))
            .root();
    Edit twice = new Landing(bench(page, adopted)).duplicate(List.of(second.id()));
    page = editor.apply(page, twice).root();
    Node now = editor.shown(page).root().find(list.id()).orElseThrow();
    assertThat(now.children()).hasSize(3);
    assertThat(seen(now.children().get(2))).isEqualTo(seen(now.children().get(1)));
    assertThat(seen(now.children().get(2))).contains("Ours").contains("red");
    page = editor.apply(page, new Landing(bench(page, adopted)).addItem(list.id())).root();
    now = editor.shown(page).root().find(list.id()).orElseThrow();
    assertThat(seen(now.children().get(3))).contains("One").doesNotContain("Ours");
    Node copied = now.children().get(2);
    page =
        editor.apply(page, new Landing(bench(page, adopted)).remove(List.of(copied.id()))).root();
    assertThat(editor.shown(page).root().find(list.id()).orElseThrow().children()).hasSize(3);
  }

  @Test
  void anItemThatIsTakenElsewhereIsPlain() {
    Node listed = listed();
    Bench bench = bench(listed, Showing.BOUND);
    Node first = bench.root().children().get(0).children().get(0);
    List<Node> copied = Clip.of(bench, List.of(first.id())).at(bench, Everything.HERE).nodes();
    assertThat(copied.get(0).kind()).isEqualTo(Kind.BOX);
    assertThat(seen(copied.get(0))).isEqualTo(seen(first));
    assertThatThrownBy(
            () ->
                new Landing(bench)
                    .into(
                        bench.root().children().get(0).id(),
                        Optional.empty(),
                        new Landing.Brought(copied)))
        .hasMessageContaining("add an item");
  }
}
