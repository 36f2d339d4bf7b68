package goodbones.library;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Aspect;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalOrder;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.testing.Laid;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** How local changes lie on a revision. */
class OverlayTest {
  private static final NodeId SECTION = NodeId.of("s");

  private static Node text(String id) {
    return Node.of(NodeId.of(id), Kind.TEXT, "")
        .withContent("words", new FieldValue.Words("words of " + id));
  }

  private static Node section(String... ids) {
    return Node.of(SECTION, Kind.SECTION, "")
        .withChildren(java.util.Arrays.stream(ids).map(OverlayTest::text).toList());
  }

  private static Placement inserting(String id, String... order) {
    return Placement.of("piece")
        .with(
            new LocalKey(NodeId.of(id), Aspect.PLACED),
            new LocalValue.PlacedUnder(SECTION, Optional.of(text(id))))
        .withOrder(
            SECTION,
            Optional.of(
                new LocalOrder(java.util.Arrays.stream(order).map(NodeId::of).toList(), 0)));
  }

  private static List<String> shown(Node revision, Placement placement) {
    return Laid.show(revision, placement).children().stream().map(n -> n.id().value()).toList();
  }

  @Test
  void anInsertStandsAfterItsNearestPredecessorThatIsStillThere() {
    Placement placement = inserting("own", "a", "b", "own", "c");
    assertThat(shown(section("a", "b", "c"), placement)).containsExactly("a", "b", "own", "c");
    assertThat(shown(section("a", "c"), placement)).containsExactly("a", "own", "c");
    assertThat(shown(section("c", "b", "a"), placement)).containsExactly("c", "b", "own", "a");
    assertThat(shown(section("c"), placement)).containsExactly("own", "c");
    assertThat(shown(section("a", "new", "b"), placement)).containsExactly("a", "new", "b", "own");
  }

  @Test
  void theLibrarysOwnChildrenKeepItsOrder() {
    Placement placement = inserting("own", "c", "own", "b", "a");
    assertThat(shown(section("a", "b", "c"), placement)).containsExactly("a", "b", "c", "own");
  }

  @Test
  void aLocalDesktopValueLeavesThePhonesAlone() {
    StyleKey phone = StyleKey.parse("font-size@phone");
    Node revision =
        section("a").change(NodeId.of("a"), n -> n.withStyle(phone, StyleValue.literal("14px")));
    Placement placement =
        Placement.of("piece")
            .with(
                new LocalKey(NodeId.of("a"), Aspect.style(StyleKey.parse("font-size"))),
                new LocalValue.StyleIs(Optional.of(StyleValue.literal("22px"))));
    assertThat(Laid.show(revision, placement).children().get(0).styles())
        .containsEntry(phone, StyleValue.literal("14px"))
        .containsEntry(StyleKey.parse("font-size"), StyleValue.literal("22px"));
  }

  @Test
  void aChangeOfANodeThatIsNotThereHasNoEffect() {
    Placement placement =
        Placement.of("piece")
            .with(
                new LocalKey(NodeId.of("gone"), Aspect.content("words")),
                new LocalValue.ContentIs(new FieldValue.Words("x")));
    assertThat(Laid.show(section("a"), placement)).isEqualTo(section("a"));
  }

  @Test
  void theOrderInWhichChangesWereMadeDoesNotMatter() {
    Map<LocalKey, LocalValue> one = new LinkedHashMap<>();
    one.put(new LocalKey(NodeId.of("b"), Aspect.REMOVED), new LocalValue.IsRemoved());
    one.put(
        new LocalKey(NodeId.of("a"), Aspect.content("words")),
        new LocalValue.ContentIs(new FieldValue.Words("ours")));
    Map<LocalKey, LocalValue> other = new LinkedHashMap<>();
    List.copyOf(one.entrySet()).stream()
        .sorted((x, y) -> -1)
        .forEach(e -> other.put(e.getKey(), e.getValue()));
    Placement first = Placement.of("piece").saying(one);
    Placement second = Placement.of("piece").saying(other);
    assertThat(first).isEqualTo(second);
    assertThat(shown(section("a", "b"), first)).containsExactly("a");
  }

  @Test
  void aMovedNodeStandsOnceAndItsOldPlaceIsEmpty() {
    Node column = Node.of(NodeId.of("c"), Kind.COLUMN, "").withChildren(List.of(text("t")));
    Node row = Node.of(NodeId.of("r"), Kind.ROW, "").withChildren(List.of(column));
    Node revision = Node.of(SECTION, Kind.SECTION, "").withChildren(List.of(row));
    Placement placement =
        Placement.of("piece")
            .with(
                new LocalKey(NodeId.of("t"), Aspect.PLACED),
                new LocalValue.PlacedUnder(SECTION, Optional.empty()))
            .withOrder(
                SECTION, Optional.of(new LocalOrder(List.of(NodeId.of("r"), NodeId.of("t")), 0)));
    Node shown = Laid.show(revision, placement);
    assertThat(shown(revision, placement)).containsExactly("r", "t");
    assertThat(shown.find(NodeId.of("c")).orElseThrow().children()).isEmpty();
    assertThat(shown.all()).hasSize(4);
  }
}
