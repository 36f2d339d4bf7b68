package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Members;
import goodbones.library.Showing;
import goodbones.testing.Laid;
import goodbones.testing.Runs;
import goodbones.testing.Trees;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** Rebase ends, on settled histories of many revisions and on any input, cyclic ones included. */
@Timeout(120)
class RebaseEndsTest {
  private static Node node(String id, Kind kind, Node... children) {
    return Node.of(NodeId.of(id), kind, "").withChildren(List.of(children));
  }

  private static Node root(Node... children) {
    return node("root", Kind.SECTION, children);
  }

  private static LocalKey placed(String id) {
    return new LocalKey(NodeId.of(id), Aspect.PLACED);
  }

  private static LocalValue under(String id) {
    return new LocalValue.PlacedUnder(NodeId.of(id), Optional.empty());
  }

  /**
   * A stood beside C(B) and was moved under B here; the library moved B under A and dropped C; then
   * it dropped all. Staying must break the loop although B's old place is gone.
   */
  @Test
  void aLoopIsBrokenAlthoughTheOldParentIsGone() {
    Node first = root(node("A", Kind.BOX), node("C", Kind.BOX, node("B", Kind.BOX)));
    Node second = root(node("A", Kind.BOX, node("B", Kind.BOX)));
    Placement here = Placement.of("piece").saying(Map.of(placed("A"), under("B")));

    Rebased rebased = Rebases.of(NodeId.of("p"), here, 1, List.of(first, second));
    assertThat(rebased.questions()).extracting(Question::verdict).containsExactly(Verdict.SHAPE);
    Placement stayed = rebased.settled(Map.of(rebased.questions().get(0).id(), Settlement.STAY));
    assertThat(Laid.show(second, stayed)).isEqualTo(root(node("B", Kind.BOX, node("A", Kind.BOX))));

    Rebased gone = Rebases.of(NodeId.of("p"), stayed, 2, List.of(second, root()));
    assertThat(gone.questions()).extracting(Question::verdict).containsOnly(Verdict.GONE);
    Map<String, Settlement> keep = new HashMap<>();
    gone.questions().forEach(question -> keep.put(question.id(), Settlement.STAY));
    Node kept = Laid.show(root(), gone.settled(keep));
    assertThat(kept.all()).extracting(Node::kind).contains(Kind.BOX);
  }

  /** Where nothing can hold what would have to be put elsewhere, staying is not offered. */
  @Test
  void stayingIsOfferedOnlyWhereItCanBe() {
    Node first =
        root(
            node(
                "r", Kind.ROW, node("x", Kind.COLUMN, node("A", Kind.ROW, node("y", Kind.COLUMN)))),
            node("C", Kind.ROW, node("B", Kind.COLUMN)));
    Node second = root(node("A", Kind.ROW, node("y", Kind.COLUMN), node("B", Kind.COLUMN)));
    Placement here = Placement.of("piece").saying(Map.of(placed("A"), under("B")));
    Rebased rebased = Rebases.of(NodeId.of("p"), here, 1, List.of(first, second));
    Question question = rebased.questions().get(0);
    assertThat(question.choices()).containsExactly(Settlement.TAKE);
    assertThat(Laid.show(second, rebased.settled(Map.of(question.id(), Settlement.TAKE))))
        .isEqualTo(second);
  }

  @Test
  void settledHistoriesOfManyRevisionsEndSoundly() {
    for (long seed = 1; seed <= Runs.of(3_000, 30_000); seed++) {
      Scene scene = new Scene(seed, 3 + (int) (seed % 4));
      Random random = new Random(seed);
      Placement now = scene.placement();
      int at = 1;
      while (at < scene.revisions.size()) {
        int to = at + 1 + random.nextInt(Math.min(2, scene.revisions.size() - at));
        Rebased rebased =
            Rebase.of(Scene.PLACEMENT, now.withBound(at), at, to, scene.library(), Showing.BOUND);
        Map<String, Settlement> decisions = new HashMap<>();
        for (Question question : rebased.allQuestions()) {
          List<Settlement> choices = question.choices().stream().sorted().toList();
          decisions.put(question.id(), choices.get(random.nextInt(choices.size())));
        }
        now = rebased.settled(decisions);
        at = to;
        Node revision = scene.revisions.get(at - 1);
        assertThat(Laid.standing(revision, now).loops())
            .as("seed %d, revision %d", seed, at)
            .isEmpty();
        assertThat(Catalogue.faults(Members.withoutMembers(Laid.show(revision, now))))
            .as("seed %d, revision %d", seed, at)
            .isEmpty();
        now = edited(scene, now, at, random);
      }
    }
  }

  /** Somebody works on the page between two rollouts. */
  private static Placement edited(Scene scene, Placement now, int revision, Random random) {
    scene.page = scene.with(now);
    scene.editLocally(revision, random.nextInt(3));
    return scene.placement();
  }

  /** Whatever is stored, be it of another piece or in circles: every walk ends. */
  @Test
  void everyWalkEndsOnAnyInput() {
    for (long seed = 1; seed <= Runs.of(1_200, 40_000); seed++) {
      Random random = new Random(seed);
      List<Node> revisions = new ArrayList<>();
      for (int i = 0; i < 3; i++) {
        revisions.add(new Trees(seed * 7 + i, "n").section());
      }
      Placement here = Placement.of("piece").saying(anything(random, seed));
      for (Node revision : revisions) {
        Laid.show(revision, here);
        Laid.standing(revision, here).loops();
      }
      Rebased rebased = Rebases.of(NodeId.of("p"), here, 1, revisions);
      assertThat(rebased.verdicts().keySet()).isEqualTo(here.changes().keySet());
      for (Settlement wanted : Settlement.values()) {
        Map<String, Settlement> decisions = new HashMap<>();
        for (Question question : rebased.questions()) {
          decisions.put(
              question.id(), question.choices().contains(wanted) ? wanted : Settlement.TAKE);
        }
        Laid.show(revisions.get(2), rebased.settled(decisions));
      }
    }
  }

  private static TreeMap<LocalKey, LocalValue> anything(Random random, long seed) {
    TreeMap<LocalKey, LocalValue> changes = new TreeMap<>();
    for (int i = 0; i < 2 + random.nextInt(8); i++) {
      NodeId id = NodeId.of("n" + random.nextInt(12));
      if (random.nextInt(4) == 0) {
        changes.put(new LocalKey(id, Aspect.REMOVED), new LocalValue.IsRemoved());
        continue;
      }
      Optional<Node> insert =
          random.nextInt(3) == 0
              ? Optional.of(new Trees(seed * 13 + i, random.nextBoolean() ? "n" : "own").section())
              : Optional.empty();
      NodeId key = insert.map(Node::id).filter(own -> random.nextBoolean()).orElse(id);
      changes.put(
          new LocalKey(key, Aspect.PLACED),
          new LocalValue.PlacedUnder(NodeId.of("n" + random.nextInt(12)), insert));
    }
    return changes;
  }
}
