package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.library.Adopted;
import goodbones.library.PageEditor;
import goodbones.library.Shown;
import goodbones.library.SiteFillings;
import goodbones.testing.Shelf;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;

/**
 * A piece with fares in it, in another piece, on a page: a heading, a note that is optional, a
 * list. Small cases are told on it.
 */
abstract class FaresScene {
  static final StyleKey COLOUR = StyleKey.parse("color");
  static final NodeId P = id("p");
  final Shelf shelf = new Shelf();
  int revision = 1;
  SiteFillings fillings = SiteFillings.NONE;
  Node page;

  /** B: a heading, an optional note, a list of two fares. C holds B. */
  @BeforeEach
  void shelve() {
    Node note = text("note", "Book early");
    Node pattern =
        Node.of(id("pt"), Kind.PATTERN, "")
            .withChildren(List.of(box("fare", text("route", "Route"), text("price", "0"))));
    Node list =
        box("list", pattern, item("i1", "route", "To the isle"), item("i2", "route", "And back"));
    shelf.keep(
        "B",
        box(
            "br",
            text("head", "Fares"),
            note.withOptions(note.options().withOptional(true)),
            list));
    shelf.keep("C", box("cr", text("cz", "Three"), shelf.placing(id("b"), "B")));
    page =
        Node.of(id("page"), Kind.PAGE, "")
            .withChildren(
                List.of(Node.placing(P, "", "C").withPlacement(Placement.of("C").withBound(1))));
  }

  static NodeId id(String value) {
    return NodeId.of(value);
  }

  static FieldValue words(String text) {
    return new FieldValue.Words(text);
  }

  static Node text(String id, String words) {
    return Node.of(id(id), Kind.TEXT, "").withContent("words", words(words));
  }

  static Node box(String id, Node... children) {
    return Node.of(id(id), Kind.BOX, "").withChildren(List.of(children));
  }

  static Node item(String id, String node, String text) {
    Node item = Node.item(id(id));
    LocalKey key = new LocalKey(id(node), Aspect.content("words"));
    return item.withPlacement(
        item.placement().orElseThrow().with(key, new LocalValue.ContentIs(words(text))));
  }

  Adopted adopted() {
    return new Adopted(Map.of("C", revision), fillings);
  }

  PageEditor editor() {
    return new PageEditor(adopted(), shelf, new Rebasing(shelf, adopted()));
  }

  Edit onPage(Edit edit) {
    Edited edited = editor().apply(page, edit);
    page = edited.root();
    fillings = fillings.with(edited.fillings());
    return edited.inverse();
  }

  static Edit write(String node, String text) {
    return new Edit.SetContent(id(node), "words", Optional.of(words(text)));
  }

  static Edit paint(String node, String colour) {
    return new Edit.SetStyle(id(node), COLOUR, Optional.of(StyleValue.literal(colour)));
  }

  Node current(String piece) {
    return shelf.revision(piece, shelf.current(piece)).root();
  }

  /** Releases B, edited; C follows. */
  void release(Edit... edits) {
    Node edited = current("B");
    for (Edit edit : edits) {
      edited = shelf.editor().apply(edited, edit).root();
    }
    release(edited);
  }

  void release(Node root) {
    shelf.release("B", root, asked -> Optional.empty());
  }

  Rebased rebase() {
    int to = shelf.current("C");
    return Rebase.of(P, placement(), revision, to, shelf, new Adopted(Map.of("C", to), fillings));
  }

  /** Carries C's newest revision to the page. */
  void follow(Settlement answer) {
    Rebased rebased = rebase();
    Map<String, Settlement> decisions = new HashMap<>();
    rebased.allQuestions().forEach(question -> decisions.put(question.id(), answer));
    Placement after = rebased.bound(decisions);
    page = page.change(P, node -> node.withPlacement(after));
    revision = shelf.current("C");
  }

  Placement placement() {
    return page.children().get(0).placement().orElseThrow();
  }

  Shown shown() {
    return Shown.of(page, adopted(), shelf);
  }

  Optional<String> wordsAt(String node) {
    return shown()
        .root()
        .find(id(node))
        .map(n -> ((FieldValue.Words) n.content().get("words")).text());
  }

  List<String> fares() {
    return shown().root().find(id("p/b/list")).orElseThrow().children().stream()
        .map(fare -> ((FieldValue.Words) fare.children().get(0).content().get("words")).text())
        .toList();
  }

  Optional<String> colourAt(String node) {
    return shown()
        .root()
        .find(id(node))
        .flatMap(n -> Optional.ofNullable(n.styles().get(COLOUR)))
        .map(StyleValue::toString);
  }

  String seen() {
    StringBuilder text = new StringBuilder();
    shown()
        .root()
        .walk(node -> text.append(node.kind()).append(node.content()).append(node.styles()));
    return text.toString();
  }
}
