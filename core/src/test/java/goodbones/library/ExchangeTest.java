package goodbones.library;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.propagation.Rebase;
import goodbones.propagation.Rebased;
import goodbones.propagation.Rebasing;
import goodbones.propagation.Replacement;
import goodbones.propagation.Rollout;
import goodbones.propagation.SiteNow;
import goodbones.propagation.TakeBacks;
import goodbones.propagation.Verdict;
import goodbones.style.SiteFinishes;
import goodbones.testing.HouseFinishes;
import goodbones.testing.Shelf;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Another piece in the place of one: words go along, and come back. */
class ExchangeTest {
  private static final NodeId P = NodeId.of("p");
  private final Shelf shelf = new Shelf();
  private final Adopted adopted = new Adopted(Map.of("wide", 1, "slim", 1));
  private Node page =
      Node.of(NodeId.of("page"), Kind.PAGE, "")
          .withChildren(
              List.of(
                  Node.placing(P, "", "wide").withPlacement(Placement.of("wide").withBound(1))));

  private static Node element(String id, Kind kind, String name) {
    return Node.of(NodeId.of(id), kind, name).withContent("words", new FieldValue.Words(id));
  }

  private static Node list(String id, String pattern, String... items) {
    Node made =
        Node.of(NodeId.of(id + "-pt"), Kind.PATTERN, "")
            .withChildren(List.of(element(pattern, Kind.TEXT, "")));
    Node list = Node.of(NodeId.of(id), Kind.BOX, "").withChildren(List.of(made));
    for (String item : items) {
      list =
          list.withChildren(
              java.util.stream.Stream.concat(
                      list.children().stream(),
                      java.util.stream.Stream.of(Node.item(NodeId.of(item))))
                  .toList());
    }
    return list;
  }

  private static Node piece(String id, Node... children) {
    return Node.of(NodeId.of(id), Kind.SECTION, "").withChildren(List.of(children));
  }

  @BeforeEach
  void shelve() {
    shelf.keep(
        "wide",
        piece(
            "w",
            element("w-label", Kind.LABEL, ""),
            element("w-title", Kind.HEADING, "Title"),
            element("w-one", Kind.TEXT, ""),
            element("w-two", Kind.TEXT, ""),
            list("w-list", "w-line", "w1", "w2")));
    shelf.keep(
        "slim",
        piece(
            "s",
            element("s-other", Kind.HEADING, ""),
            element("s-title", Kind.HEADING, "title"),
            element("s-text", Kind.TEXT, ""),
            list("s-list", "s-line", "s1")));
  }

  private PageEditor editor() {
    return new PageEditor(adopted, shelf, new Rebasing(shelf, adopted));
  }

  private void write(String node, String words) {
    page =
        editor()
            .apply(
                page,
                new Edit.SetContent(
                    NodeId.of(node), "words", Optional.of(new FieldValue.Words(words))))
            .root();
  }

  private Placement placement() {
    return page.children().get(0).placement().orElseThrow();
  }

  private void exchange(String piece) {
    Placement other = Placement.of(piece).withBound(1);
    Placement after = new Exchange(shelf).of(placement(), 1, other);
    page = editor().apply(page, new Edit.SetPlacement(P, after)).root();
  }

  private String words(String node) {
    Node found = editor().shown(page).root().find(NodeId.of(node)).orElseThrow();
    return ((FieldValue.Words) found.content().get("words")).text();
  }

  @Test
  void wordsGoAlongByNameThenByKindInReadingOrder() {
    write("p/w-title", "The title");
    write("p/w-one", "First");
    write("p/w-two", "Second");
    write("p/w-label", "Small");
    exchange("slim");
    assertThat(words("p/s-title")).isEqualTo("The title");
    assertThat(words("p/s-text")).isEqualTo("First");
    assertThat(words("p/s-other")).isEqualTo("s-other");
    Map<LocalKey, LocalValue> tray = new Exchange(shelf).tray(placement(), 1).get("wide");
    assertThat(tray.keySet().stream().map(LocalKey::toString))
        .as("what has no place stays with the placement")
        .containsExactly("w-label content words", "w-two content words");
  }

  @Test
  void thereAndBackIsTheIdentity() {
    write("p/w-title", "The title");
    write("p/w-two", "Second");
    write("p/w2/w-line", "A line");
    Placement before = placement();
    exchange("slim");
    exchange("wide");
    assertThat(placement().withLeft(List.of())).isEqualTo(before);
    assertThat(new Exchange(shelf).tray(placement(), 1)).isEmpty();
  }

  @Test
  void whatIsWrittenMeanwhileComesBackToo() {
    write("p/w-title", "The title");
    write("p/w-two", "Second");
    exchange("slim");
    write("p/s-title", "A better title");
    exchange("wide");
    assertThat(words("p/w-title")).isEqualTo("A better title");
    assertThat(words("p/w-two")).isEqualTo("Second");
  }

  @Test
  void itemsGoAlongAndTheSurplusBecomesThePlacementsOwn() {
    write("p/w1/w-line", "One");
    write("p/w2/w-line", "Two");
    exchange("slim");
    Node list = editor().shown(page).root().find(NodeId.of("p/s-list")).orElseThrow();
    assertThat(list.children()).hasSize(2);
    assertThat(words("p/s1/s-line")).isEqualTo("One");
    assertThat(words("p/w2/s-line")).isEqualTo("Two");
    Edit back = editor().apply(page, new Edit.Remove(P)).inverse();
    assertThat(back).as("it is removed and undone like any placement").isNotNull();
  }

  private static Node placing(String id, String piece) {
    return Node.placing(NodeId.of(id), "", piece).withPlacement(Placement.of(piece).withBound(1));
  }

  private static LocalKey words(NodeId node) {
    return new LocalKey(node, Aspect.content("words"));
  }

  @Test
  void whatPagesFilledInAPieceThatWasExchangedInAnotherGoesAlong() {
    shelf.keep("holder", piece("h", placing("in", "wide")));
    LocalValue mine = new LocalValue.ContentIs(Optional.of(new FieldValue.Words("Mine")));
    Placement page =
        Placement.of("holder")
            .withBound(1)
            .with(words(NodeId.of("in/w-title")), mine)
            .with(words(NodeId.of("in/w-label")), mine);
    Node exchanged =
        new Replacement(shelf, "wide")
            .in(
                shelf.revision("holder", 1).root(),
                Showing.BOUND,
                Placement.of("slim").withBound(1))
            .root();
    shelf.release("holder", exchanged, asked -> Optional.empty());
    Rebased rebased = Rebase.of(P, page, 1, 2, shelf, Showing.BOUND);
    assertThat(rebased.verdicts())
        .containsEntry(words(NodeId.of("in/s-title")), Verdict.STANDS)
        .containsEntry(words(NodeId.of("in/w-label")), Verdict.GONE);
    assertThat(rebased.questions()).hasSize(1);
  }

  @Test
  void aReplacementTakenBackTakesWordsWrittenSinceAlong() {
    write("p/w-title", "The title");
    write("p/w-label", "The label");
    Placement before = placement();
    Replacement.Outcome outcome =
        new Replacement(shelf, "wide").in(page, adopted, Placement.of("slim").withBound(1));
    Replacement.Replaced replaced = outcome.replaced().get(0);
    assertThat(replaced.carried()).isEqualTo(1);
    assertThat(replaced.kept()).containsOnlyKeys(words(NodeId.of("w-label")));
    Rollout rollout =
        new Rollout(
            "wide",
            1,
            List.of(),
            List.of(new Rollout.WrittenStep("site", "page", P, before, replaced.after())),
            List.of(),
            "slim",
            List.of());
    assertThat(takenBack(rollout, outcome.root())).isEqualTo(before);
    page = outcome.root();
    write("p/s-title", "Written since");
    Placement back = takenBack(rollout, page);
    assertThat(back.pieceId()).isEqualTo("wide");
    assertThat(back.layer().changes().get(words(NodeId.of("w-title"))))
        .isEqualTo(new LocalValue.ContentIs(Optional.of(new FieldValue.Words("Written since"))));
    assertThat(back.changes()).containsKey(words(NodeId.of("w-label")));
  }

  private Placement takenBack(Rollout rollout, Node now) {
    SiteNow site =
        new SiteNow(
            "site",
            new SiteFinishes(HouseFinishes.house(), Map.of()),
            adopted,
            List.of(new SiteNow.PageNow("page", 1, now)));
    TakeBacks.Outcome outcome =
        TakeBacks.of(shelf, List.of(rollout), List.of(site), asked -> Optional.empty());
    assertThat(outcome.open()).isFalse();
    return Placements.of(outcome.sites().get(0).pages().get(0).root()).get(P);
  }

  /**
   * Not an exchange, but the same shelf: what holds a placement can be moved like anything else.
   */
  @Test
  void aColumnWithAPieceInItChangesSides() {
    Node row =
        Node.of(NodeId.of("row"), Kind.ROW, "")
            .withChildren(
                List.of(
                    Node.of(NodeId.of("left"), Kind.COLUMN, "")
                        .withChildren(List.of(element("text", Kind.TEXT, ""))),
                    Node.of(NodeId.of("right"), Kind.COLUMN, "")
                        .withChildren(List.of(placing("inner", "box")))));
    shelf.keep("box", Node.of(NodeId.of("b"), Kind.BOX, ""));
    shelf.keep("wide", piece("h", row));
    NodeId rowThere = NodeId.of("p/row");
    page = editor().apply(page, new Edit.Move(NodeId.of("p/right"), rowThere, 0)).root();
    assertThat(editor().shown(page).root().find(rowThere).orElseThrow().children())
        .extracting(Node::id)
        .containsExactly(NodeId.of("p/right"), NodeId.of("p/left"));
  }
}
