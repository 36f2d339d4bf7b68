package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.library.PageEditor;
import goodbones.library.Shown;
import goodbones.testing.Runs;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * Histories of edits, undo, rollouts, holds and following again: no placement ever shows a revision
 * that its changes were not settled on or cleanly rebased to.
 */
class NeverUnsettledTest {
  private static final int HISTORIES = Runs.of(600, 5_000);
  private static final int STEPS = 14;
  private static final int REVISIONS = 4;

  private static final class History {
    final Scene scene;
    final Random random;
    final Deque<Edit> toUndo = new ArrayDeque<>();
    int adopted = 1;
    Node page;

    History(long seed) {
      scene = new Scene(seed, REVISIONS - 1);
      random = new Random(seed);
      page = scene.with(scene.placement().withSettled(1));
    }

    PageEditor editor() {
      return new PageEditor(
          scene.adopted(adopted),
          scene.library(),
          new Rebasing(scene.library(), scene.adopted(adopted)));
    }

    int shownBy(Placement placement) {
      return scene.adopted(adopted).shownBy(placement);
    }

    List<Node> placements(Node of) {
      return of.children().stream().filter(node -> node.placement().isPresent()).toList();
    }

    void step() {
      try {
        switch (random.nextInt(8)) {
          case 0 -> rollOut();
          case 1 -> hold();
          case 2, 3 -> undo();
          case 4 -> removeOrPutBack();
          default -> edit();
        }
      } catch (Refused refused) {
        // Refused in words; nothing is changed.
      }
    }

    private void apply(Edit edit) {
      Edited edited = editor().apply(page, edit);
      scene.fillings = scene.fillings.with(edited.fillings());
      page = edited.root();
      toUndo.push(edited.inverse());
    }

    private void edit() {
      if (placements(page).isEmpty()) {
        return;
      }
      Shown shown = editor().shown(page);
      apply(scene.trees.edit(shown, n -> n.id().isInside(), false));
    }

    private void hold() {
      for (Node node : placements(page)) {
        Placement placement = node.placement().orElseThrow();
        Optional<Pin> pin =
            placement.pin().isPresent()
                ? Optional.empty()
                : Optional.of(new Pin(shownBy(placement), Pin.Reason.HELD));
        apply(new Edit.SetPin(node.id(), pin));
      }
    }

    private void removeOrPutBack() {
      for (Node node : placements(page)) {
        apply(new Edit.Remove(node.id()));
        if (random.nextBoolean()) {
          rollOut();
        }
        undo();
      }
    }

    private void undo() {
      if (!toUndo.isEmpty()) {
        Edited edited = editor().reapply(page, toUndo.peek());
        scene.fillings = scene.fillings.with(edited.fillings());
        page = edited.root();
        toUndo.pop();
      }
    }

    private void rollOut() {
      int revision = Math.min(REVISIONS, adopted + 1 + random.nextInt(2));
      SiteNow site = Sites.of(page, adopted);
      for (PlacementPlan plan :
          new RolloutPlanner(scene.library())
              .plan(Release.of(Scene.PIECE, revision), List.of(site))) {
        Map<String, Settlement> decisions = new HashMap<>();
        for (Question question : plan.questions()) {
          List<Settlement> choices = new ArrayList<>(question.choices());
          Collections.sort(choices);
          if (random.nextInt(4) > 0) {
            decisions.put(question.id(), choices.get(random.nextInt(choices.size())));
          }
        }
        page = page.change(plan.placementId(), n -> n.withPlacement(plan.after(decisions)));
      }
      adopted = revision;
    }
  }

  private static void requireSettled(String when, History history) {
    for (Node node : history.placements(history.page)) {
      Placement placement = node.placement().orElseThrow();
      int shown = history.shownBy(placement);
      Rebased rebased =
          Rebase.of(
              node.id(),
              placement,
              shown,
              shown,
              history.scene.library(),
              history.scene.adopted(shown));
      assertThat(rebased.questions()).as(when).isEmpty();
    }
  }

  @Test
  void whateverHappensInWhicheverOrder() {
    for (int seed = 0; seed < HISTORIES; seed++) {
      History history = new History(seed);
      for (int step = 0; step < STEPS; step++) {
        history.step();
        requireSettled("seed " + seed + ", step " + step, history);
      }
    }
  }

  @Test
  void followingAgainKeepsTheWordsOrWaits() {
    int waited = 0;
    for (int seed = 0; seed < HISTORIES; seed++) {
      History history = new History(seed);
      history.hold();
      history.adopted = REVISIONS;
      NodeId id = history.placements(history.page).get(0).id();
      Placement held = history.page.find(id).orElseThrow().placement().orElseThrow();
      history.apply(new Edit.SetPin(id, Optional.empty()));
      Placement after = history.page.find(id).orElseThrow().placement().orElseThrow();
      boolean waits = after.pin().map(Pin::reason).filter(Pin.Reason.WAITING::equals).isPresent();
      waited += waits ? 1 : 0;
      if (waits) {
        assertThat(after.changes()).isEqualTo(held.changes());
      } else {
        words(held.changes()).forEach((key, value) -> isThere(key, value, after, history));
      }
      history.undo();
      assertThat(history.page.find(id).orElseThrow().placement().orElseThrow())
          .as("undo of following again")
          .isEqualTo(held);
    }
    assertThat(waited).isGreaterThan(HISTORIES / 20);
  }

  private static Map<LocalKey, LocalValue> words(Map<LocalKey, LocalValue> changes) {
    Map<LocalKey, LocalValue> words = new HashMap<>();
    changes.forEach(
        (key, value) -> {
          if (value instanceof LocalValue.ContentIs is
              && is.value().orElse(null) instanceof FieldValue.Words) {
            words.put(key, value);
          }
        });
    return words;
  }

  /** Kept as a change, or said by the library itself on the way. */
  private static void isThere(LocalKey key, LocalValue value, Placement after, History history) {
    boolean kept = after.changes().containsValue(value);
    boolean said =
        history.scene.revisions.stream()
            .flatMap(revision -> revision.find(key.node()).stream())
            .flatMap(node -> node.content().values().stream())
            .anyMatch(content -> value.equals(new LocalValue.ContentIs(content)));
    assertThat(kept || said).as(key + " of seed " + history.scene.seed).isTrue();
  }
}
