package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalOrder;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.library.AsksFirst;
import goodbones.library.Exchange;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.library.Translation;
import goodbones.structure.Bench;
import goodbones.structure.Keeping;
import goodbones.structure.Landing;
import goodbones.style.SiteFinishes;
import goodbones.testing.HouseFinishes;
import goodbones.testing.Runs;
import goodbones.testing.Shelf;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Keeping a part of a piece as a piece, and unlinking what stands in one, change paths and nothing
 * that is seen: on a page with local changes all over, every change goes along, and the way back is
 * the identity.
 */
class RelocationsTest {
  private static final int SCENES = Runs.of(700, 10_000);
  private static final SiteFinishes FINISHES = new SiteFinishes(HouseFinishes.house(), Map.of());

  private static Bench bench(Scene scene, Node piece, Random random) {
    Shelf shelf = scene.shelf;
    return new Bench(
        piece,
        shelf.editor().shown(piece),
        FINISHES,
        () -> NodeId.of("fresh-" + Math.abs(random.nextLong())),
        shelf,
        Showing.BOUND);
  }

  /** The tree as a person sees it: what is said of every node, without ids. */
  private static String seen(Shown shown) {
    StringBuilder text = new StringBuilder();
    describe(shown.root(), text);
    return text.toString();
  }

  private static void describe(Node node, StringBuilder text) {
    text.append(node.kind())
        .append(node.content())
        .append(node.styles())
        .append(node.namedStyles())
        .append(node.scheme())
        .append(node.hiddenOn())
        .append('(');
    node.children().forEach(child -> describe(child, text));
    text.append(')');
  }

  private static Optional<Node> relocated(Scene scene, Random random) {
    Shelf shelf = scene.shelf;
    Node piece = shelf.revision(Scene.PIECE, 1).root();
    Bench bench = bench(scene, piece, random);
    List<Node> inside = bench.shown().root().all();
    Node node = inside.get(random.nextInt(inside.size()));
    try {
      boolean formChosen =
          scene.placement().changes().keySet().stream()
              .anyMatch(key -> key.aspect() instanceof Aspect.VariantShown);
      if (node.id().isInside() && formChosen) {
        // What the page's choice of an inner form changes there is known to the page alone.
        return Optional.empty();
      }
      if (node.id().isInside() && random.nextBoolean()) {
        Edit edit = new Landing(bench).unlink(node.id(), random.nextBoolean());
        return Optional.of(shelf.editor().apply(piece, edit).root());
      }
      String id = "kept-" + scene.seed;
      Keeping.Kept kept = new Keeping(bench).keep(node.id(), id);
      shelf.keep(id, kept.root());
      return Optional.of(shelf.editor().apply(piece, kept.edit()).root());
    } catch (Refused | AsksFirst refused) {
      return Optional.empty();
    }
  }

  @Test
  void everyChangeGoesAlongAndTheWayBackIsTheIdentity() {
    int compared = 0;
    int moved = 0;
    for (long seed = 1; seed <= SCENES; seed++) {
      Scene scene = new Scene(seed, 0);
      Random random = new Random(seed);
      Optional<Node> other = relocated(scene, random);
      if (other.isEmpty()) {
        continue;
      }
      compared++;
      String before = seen(scene.shown(scene.page, 1));
      assertThat(seen(scene.shelf.editor().shown(other.get())))
          .as("the piece of seed %d", seed)
          .isEqualTo(seen(scene.shelf.editor().shown(scene.shelf.revision(Scene.PIECE, 1).root())));
      scene.shelf.release(Scene.PIECE, other.get(), asked -> Optional.empty());
      Placement now = scene.placement().withBound(1);
      Rebased there = Rebase.of(Scene.PLACEMENT, now, 1, 2, scene.shelf, scene.adopted(2));
      // A list that comes out of its piece is one no more; what a page has in it is asked about.
      boolean ofList =
          there.questions().stream()
              .allMatch(q -> q.keys().stream().anyMatch(key -> isOfItems(key, now)));
      assertThat(ofList).as("seed %d: %s", seed, there.questions()).isTrue();
      Map<String, Settlement> stay = new HashMap<>();
      there.allQuestions().forEach(question -> stay.put(question.id(), Settlement.STAY));
      Placement after = there.bound(stay);
      moved +=
          Translation.layer(scene.shelf, after, 2).changes().keySet().equals(now.changes().keySet())
              ? 0
              : 1;
      assertThat(seen(scene.shown(scene.with(after), 2))).as("seed %d", seed).isEqualTo(before);
      if (!there.questions().isEmpty()) {
        continue;
      }
      Rebased back = Rebase.of(Scene.PLACEMENT, after, 2, 1, scene.shelf, scene.adopted(1));
      assertThat(back.questions()).as("seed %d, back", seed).isEmpty();
      assertThat(back.bound(Map.of())).as("seed %d, back", seed).isEqualTo(now);
    }
    assertThat(compared).isGreaterThan(SCENES / 2);
    assertThat(moved).isGreaterThan(SCENES / 10);
  }

  /** Another piece in the place of one, and the first one again: nothing is lost, nothing moves. */
  @Test
  void exchangingThereAndBackIsTheIdentity() {
    int carried = 0;
    for (long seed = 1; seed <= SCENES; seed++) {
      if (seed % 3 == 0) {
        continue;
      }
      Scene scene = new Scene(seed, 0);
      Exchange exchange = new Exchange(scene.shelf);
      Placement now = scene.placement().withBound(1);
      Placement group = Placement.of("group").withBound(scene.shelf.current("group"));
      Placement there = exchange.of(now, 1, group);
      carried += there.changes().isEmpty() ? 0 : 1;
      Placement own = Placement.of(Scene.PIECE).withBound(1);
      Placement back = exchange.of(there, there.bound(), own);
      assertThat(back.withLeft(List.of())).as("seed %d", seed).isEqualTo(now);
    }
    assertThat(carried).isGreaterThan(SCENES / 20);
  }

  /** Which items there are, or something in one that only the page has. */
  private static boolean isOfItems(LocalKey key, Placement placement) {
    return key.aspect() instanceof Aspect.Items
        || placement.layer().changes().values().stream()
            .flatMap(
                value ->
                    value instanceof LocalValue.ItemsAre is ? is.own().stream() : Stream.empty())
            .anyMatch(item -> ("/" + key.node() + "/").contains("/" + item + "/"));
  }

  /** Case 8 of the rules of depth. */
  @Test
  void aKeptPartTakesWhatWasSaidOfItAlong() {
    NodeId s = NodeId.of("s");
    NodeId x = NodeId.of("x");
    Node piece =
        Node.of(NodeId.of("root"), Kind.SECTION, "")
            .withChildren(
                List.of(
                    Node.of(s, Kind.BOX, "").withChildren(List.of(Node.of(x, Kind.HEADING, ""))),
                    Node.of(NodeId.of("t"), Kind.TEXT, "")));
    Shelf shelf = new Shelf();
    shelf.keep("c", piece);
    shelf.keep("d", piece.children().get(0));
    Node placing =
        Node.placing(NodeId.of("d1"), "", "d").withPlacement(Placement.of("d").withBound(1));
    shelf.release(
        "c",
        piece.withChildren(List.of(placing, piece.children().get(1))),
        asked -> Optional.empty());
    LocalValue moved = new LocalValue.PlacedUnder(s, Optional.empty());
    Placement page =
        Placement.of("c")
            .withBound(1)
            .saying(
                Map.of(
                    LocalKey.parse("s removed"), new LocalValue.IsRemoved(),
                    LocalKey.parse("s visibility"), new LocalValue.HiddenOn(List.of()),
                    LocalKey.parse("t placed"), moved))
            .withOrder(s, Optional.of(new LocalOrder(List.of(x, NodeId.of("t")), 1)));
    Placement stored = Rebase.of(NodeId.of("p"), page, 1, 2, shelf, Showing.BOUND).bound(Map.of());
    assertThat(stored).as("what stands is not rewritten").isEqualTo(page.withBound(2));
    Layer after = Translation.layer(shelf, stored, 2);
    assertThat(after.changes().keySet().stream().map(LocalKey::toString))
        .containsExactly("d1 removed", "d1/s visibility", "t placed");
    assertThat(after.changes().get(LocalKey.parse("t placed")))
        .isEqualTo(new LocalValue.PlacedUnder(NodeId.of("d1/s"), Optional.empty()));
    assertThat(after.order())
        .containsEntry(NodeId.of("d1/s"), List.of(NodeId.of("d1/x"), NodeId.of("t")));
  }
}
