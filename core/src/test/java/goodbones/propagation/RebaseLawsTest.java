package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Members;
import goodbones.library.RevisionIndex;
import goodbones.library.Standing;
import goodbones.library.Translation;
import goodbones.testing.Laid;
import goodbones.testing.Runs;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;

/** The laws of showing a newer revision under local changes, on generated trees and edits. */
class RebaseLawsTest {
  private static final int SCENES = Runs.of(600, 20_000);

  private static void everyScene(int releases, Consumer<Scene> check) {
    for (long seed = 1; seed <= SCENES; seed++) {
      check.accept(new Scene(seed, releases));
    }
  }

  private static Rebased rebase(Scene scene, Placement placement, int from, int to) {
    return Rebase.of(
        Scene.PLACEMENT, placement.withBound(from), from, to, scene.library(), scene.adopted(to));
  }

  /** What a revision shows with what a placement chooses about it. */
  private static Node revision(Scene scene, int number, Placement placement) {
    return scene
        .library()
        .expanded(Scene.PIECE, number, Translation.picks(scene.library(), placement, number))
        .root();
  }

  private static Map<String, Settlement> all(Rebased rebased, Settlement wanted) {
    Map<String, Settlement> decisions = new HashMap<>();
    for (Question q : rebased.allQuestions()) {
      decisions.put(q.id(), q.choices().contains(wanted) ? wanted : Settlement.TAKE);
    }
    return decisions;
  }

  private static Set<String> words(Node tree) {
    Set<String> words = new HashSet<>();
    tree.walk(
        node -> {
          if (node.content().get("words") instanceof FieldValue.Words w) {
            words.add(w.text());
          }
        });
    return words;
  }

  @Test
  void everyVerdictComesUpAndEveryChangeHasOne() {
    Map<Verdict, Integer> seen = new EnumMap<>(Verdict.class);
    everyScene(
        2,
        scene -> {
          Rebased rebased = rebase(scene, scene.placement(), 1, 3);
          assertThat(rebased.verdicts().keySet())
              .as("seed %d", scene.seed)
              .isEqualTo(rebased.said().changes().keySet());
          rebased.verdicts().values().forEach(v -> seen.merge(v, 1, Integer::sum));
          Set<LocalKey> asked = new HashSet<>();
          rebased.questions().forEach(q -> asked.addAll(q.keys()));
          rebased
              .verdicts()
              .forEach(
                  (key, verdict) ->
                      assertThat(asked.contains(key))
                          .as("seed %d, %s is %s", scene.seed, key, verdict)
                          .isEqualTo(verdict.asks()));
        });
    assertThat(seen).containsOnlyKeys(Verdict.values());
  }

  @Test
  void nothingIsLost() {
    everyScene(
        2,
        scene -> {
          Placement before = scene.placement();
          Rebased rebased = rebase(scene, before, 1, 3);
          Placement after = rebased.settled(all(rebased, Settlement.STAY));
          Set<String> kept = words(scene.shown(scene.with(after), 3).root());
          Set<String> seen = words(scene.shown(scene.page, 1).root());
          String stored = after.toString();
          requireTheSites(scene, after);
          rebased
              .said()
              .changes()
              .forEach(
                  (key, value) -> {
                    boolean listed =
                        rebased.verdicts().get(key) == Verdict.ABSORBED
                            || rebased.verdicts().get(key) == Verdict.DORMANT
                            || rebased.questions().stream()
                                .anyMatch(
                                    q ->
                                        q.keys().contains(key)
                                                && !q.choices().contains(Settlement.STAY)
                                            || isIn(scene.revisions.get(2), q, key));
                    // What stands in an item that was left out before can come back with it.
                    boolean unseen =
                        wordsOf(value).stream().noneMatch(seen::contains)
                            && wordsOf(value).stream().allMatch(stored::contains);
                    assertThat(listed || unseen || kept.containsAll(wordsOf(value)))
                        .as("seed %d: %s = %s", scene.seed, key, value)
                        .isTrue();
                  });
        });
  }

  /** What was filled for the whole site and is shown is shown further on, where its node is. */
  private static void requireTheSites(Scene scene, Placement after) {
    Node before = scene.shown(scene.page, 1).root();
    Node now = scene.shown(scene.with(after), 3).root();
    before.walk(
        node -> {
          Optional<FieldValue> ofSite = scene.fillings.of(node.id(), "words");
          boolean shown = ofSite.isPresent() && ofSite.get().equals(node.content().get("words"));
          if (shown && node.options().siteSlots().contains("words")) {
            now.find(node.id())
                .ifPresent(
                    there ->
                        assertThat(there.content().get("words"))
                            .as("seed %d: %s of the whole site", scene.seed, node.id())
                            .isEqualTo(ofSite.get()));
          }
        });
  }

  /** A question about something removed here lists what the library brought into it. */
  private static boolean isIn(Node revision, Question question, LocalKey key) {
    return question.id().startsWith("removed ")
        && revision.find(question.node()).flatMap(n -> n.find(key.node())).isPresent();
  }

  private static Set<String> wordsOf(LocalValue value) {
    if (value instanceof LocalValue.ContentIs is
        && is.value().orElse(null) instanceof FieldValue.Words w) {
      return Set.of(w.text());
    }
    if (value instanceof LocalValue.PlacedUnder placed && placed.inserted().isPresent()) {
      return words(placed.inserted().get());
    }
    return Set.of();
  }

  @Test
  void theSameRevisionChangesNothing() {
    everyScene(
        0,
        scene -> {
          Rebased rebased = rebase(scene, scene.placement(), 1, 1);
          assertThat(rebased.questions()).as("seed %d", scene.seed).isEmpty();
          assertThat(rebased.settled(Map.of()))
              .as("seed %d", scene.seed)
              .isEqualTo(scene.placement().withBound(1));
        });
  }

  @Test
  void whatThePageDidNotTouchIsTheLibrarys() {
    everyScene(
        2,
        scene -> {
          Rebased rebased = rebase(scene, scene.placement(), 1, 3);
          for (Settlement settlement : Settlement.values()) {
            Placement after = rebased.settled(all(rebased, settlement));
            Node library = revision(scene, 3, after);
            RevisionIndex index = new RevisionIndex(library);
            Set<NodeId> changed = new HashSet<>();
            Set<NodeId> placed = new HashSet<>();
            after
                .changes()
                .forEach(
                    (key, value) -> {
                      (key.aspect() instanceof Aspect.Placed ? placed : changed).add(key.node());
                    });
            Laid.show(library, after)
                .walk(
                    node -> {
                      if (!index.has(node.id())) {
                        return;
                      }
                      Node original = index.node(node.id()).orElseThrow();
                      if (!changed.contains(node.id())) {
                        assertThat(node.withChildren(List.of()))
                            .as("seed %d", scene.seed)
                            .isEqualTo(original.withChildren(List.of()));
                      }
                      List<NodeId> here =
                          node.children().stream()
                              .map(Node::id)
                              .filter(id -> !placed.contains(id))
                              .toList();
                      List<NodeId> there =
                          original.children().stream()
                              .map(Node::id)
                              .filter(here::contains)
                              .toList();
                      assertThat(here).as("seed %d", scene.seed).isEqualTo(there);
                    });
          }
        });
  }

  @Test
  void everyChangeThatStandsHolds() {
    everyScene(
        2,
        scene -> {
          Rebased rebased = rebase(scene, scene.placement(), 1, 3);
          Placement after = rebased.settled(all(rebased, Settlement.STAY));
          Node library = revision(scene, 3, after);
          Node shown = Laid.show(library, after);
          RevisionIndex index = new RevisionIndex(shown);
          Standing standing = Laid.standing(library, after);
          rebased
              .verdicts()
              .forEach(
                  (key, verdict) -> {
                    LocalValue value = rebased.said().changes().get(key);
                    if (verdict == Verdict.STANDS && index.has(key.node())) {
                      if (value instanceof LocalValue.PlacedUnder placed) {
                        assertThat(index.parent(key.node())).contains(placed.parent());
                      } else if (after.layer().changes().get(key)
                          instanceof LocalValue.ItemsAre items) {
                        LocalValue.ItemsAre here =
                            LocalValue.ItemsAre.of(index.node(key.node()).orElseThrow());
                        assertThat(items.ids().stream().filter(here.ids()::contains).toList())
                            .isEqualTo(here.ids());
                        assertThat(items.own()).isSubsetOf(here.ids());
                      } else {
                        assertThat(index.value(key))
                            .as("seed %d, %s", scene.seed, key)
                            .contains(value);
                      }
                    } else if (verdict == Verdict.STANDS) {
                      assertThat(insideRemoved(key.node(), standing, after))
                          .as("seed %d, %s is not shown", scene.seed, key)
                          .isTrue();
                    }
                  });
        });
  }

  private static boolean insideRemoved(NodeId id, Standing standing, Placement placement) {
    NodeId at = id;
    while (at != null) {
      boolean off =
          placement.layer().changes().get(new LocalKey(at, Aspect.SWITCHED))
                  instanceof LocalValue.SwitchedIs is
              && !is.on();
      if (off || placement.changes().containsKey(new LocalKey(at, Aspect.REMOVED))) {
        return true;
      }
      at = standing.parent(at).orElse(null);
    }
    return false;
  }

  @Test
  void inStepsOrAtOnceIsTheSameWhenNeitherAsks() {
    int[] compared = {0};
    everyScene(
        2,
        scene -> {
          Rebased once = rebase(scene, scene.placement(), 1, 3);
          Rebased first = rebase(scene, scene.placement(), 1, 2);
          if (!once.questions().isEmpty() || !first.questions().isEmpty()) {
            return;
          }
          Rebased second = rebase(scene, first.settled(Map.of()), 2, 3);
          if (!second.questions().isEmpty()) {
            return;
          }
          compared[0]++;
          Placement inSteps = second.settled(Map.of());
          Placement atOnce = once.settled(Map.of());
          assertThat(Translation.layer(scene.library(), inSteps, 3))
              .as("seed %d", scene.seed)
              .isEqualTo(Translation.layer(scene.library(), atOnce, 3));
        });
    assertThat(compared[0]).isGreaterThan(SCENES / 4);
  }

  @Test
  void whatComesOutIsADocumentThatTheCatalogueAllows() {
    everyScene(
        2,
        scene -> {
          Rebased rebased = rebase(scene, scene.placement(), 1, 3);
          for (Settlement settlement : Settlement.values()) {
            Placement after = rebased.settled(all(rebased, settlement));
            Node library = revision(scene, 3, after);
            Node shown = Laid.show(library, after);
            assertThat(Catalogue.faults(Members.withoutMembers(shown)))
                .as("seed %d", scene.seed)
                .isEmpty();
            assertThat(Laid.standing(library, after).loops())
                .as("seed %d, %s", scene.seed, settlement)
                .isEmpty();
          }
        });
  }

  @Test
  void whatWasAnsweredIsNotAskedAgainAtTheSameRevision() {
    int[] answered = {0};
    everyScene(
        2,
        scene -> {
          Random random = new Random(scene.seed);
          Rebased rebased = rebase(scene, scene.placement(), 1, 3);
          if (rebased.questions().isEmpty()) {
            return;
          }
          Map<String, Settlement> answers = new HashMap<>();
          for (Question question : rebased.allQuestions()) {
            List<Settlement> choices = question.choices().stream().sorted().toList();
            answers.put(question.id(), choices.get(random.nextInt(choices.size())));
          }
          Placement after = rebased.settled(answers);
          Rebased again = rebase(scene, after, 3, 3);
          assertThat(
                  again.questions().stream()
                      .filter(q -> q.keys().stream().anyMatch(again.seen()::contains)))
              .as("seed %d, answers %s", scene.seed, answers)
              .isEmpty();
          answered[0]++;
        });
    assertThat(answered[0]).isGreaterThan(SCENES / 20);
  }

  @Test
  void anOpenQuestionPinsThePlacementAndChangesNothingElse() {
    everyScene(
        2,
        scene -> {
          Rebased rebased = rebase(scene, scene.placement(), 1, 3);
          if (!rebased.questions().isEmpty()) {
            Placement pinned = rebased.settled(Map.of());
            assertThat(pinned.pin().orElseThrow().revision()).isEqualTo(1);
            assertThat(pinned.changes()).isEqualTo(scene.placement().changes());
          }
        });
  }

  @Test
  void changesThatShareNoNodeCommute() {
    for (long seed = 1; seed <= 1500; seed++) {
      Scene scene = new Scene(seed, 0);
      Node start = scene.page;
      var shown = scene.shown(start, 1);
      if (shown.root().children().isEmpty()) {
        continue;
      }
      var one = scene.trees.edit(shown, n -> n.id().isInside(), false);
      var two = scene.trees.edit(shown, n -> n.id().isInside(), false);
      if (!(one instanceof goodbones.document.Edit.SetStyle a)
          || !(two instanceof goodbones.document.Edit.SetContent b)
          || a.node().equals(b.node())) {
        continue;
      }
      try {
        Node ab = scene.applied(scene.applied(start, 1, a), 1, b);
        Node ba = scene.applied(scene.applied(start, 1, b), 1, a);
        assertThat(ab).as("seed %d", seed).isEqualTo(ba);
      } catch (goodbones.document.Refused refused) {
        // One of them has no such field or property.
      }
    }
  }

  @Test
  void applyThenTakeBackIsTheIdentityOnWhatIsStored() {
    everyScene(
        2,
        scene -> {
          for (Settlement settlement : Settlement.values()) {
            Rebased rebased = rebase(scene, scene.placement(), 1, 3);
            Placement before = scene.placement();
            Placement after = rebased.settled(all(rebased, settlement));
            Rollout rollout =
                new Rollout(
                    Scene.PIECE,
                    3,
                    List.of(new Rollout.AdoptedStep("site", Scene.PIECE, 1, 3)),
                    List.of(
                        new Rollout.WrittenStep("site", "page", Scene.PLACEMENT, before, after)));
            List<TakeBack.Step> steps =
                new TakeBack(scene.library(), rollout).plan(Sites.of(scene.with(after), 3));
            assertThat(steps).hasSize(1);
            assertThat(steps.get(0).questions()).as("seed %d", scene.seed).isEmpty();
            assertThat(steps.get(0).after(Map.of())).as("seed %d", scene.seed).isEqualTo(before);
          }
        });
  }
}
