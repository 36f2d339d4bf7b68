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
import goodbones.library.PageEditor;
import goodbones.testing.Runs;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * A held placement that follows again goes through every revision on the way: it keeps its words,
 * or waits.
 */
class FollowingAgainTest {
  private static final int HISTORIES = Runs.of(600, 5_000);
  private static final int REVISIONS = 4;

  private static final class History {
    final Scene scene;
    final Deque<Edit> toUndo = new ArrayDeque<>();
    int adopted = 1;
    Node page;

    History(long seed) {
      scene = new Scene(seed, REVISIONS - 1);
      page = scene.with(scene.placement().withBound(1));
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

    private void apply(Edit edit) {
      Edited edited = editor().apply(page, edit);
      scene.fillings = scene.fillings.with(edited.fillings());
      page = edited.root();
      toUndo.push(edited.inverse());
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

    private void undo() {
      if (!toUndo.isEmpty()) {
        Edited edited = editor().reapply(page, toUndo.peek());
        scene.fillings = scene.fillings.with(edited.fillings());
        page = edited.root();
        toUndo.pop();
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
        words(held.layer().changes()).forEach((key, value) -> isThere(key, value, after, history));
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
    boolean kept = after.layer().changes().containsValue(value);
    boolean said =
        history.scene.revisions.stream()
            .flatMap(revision -> revision.find(key.node()).stream())
            .flatMap(node -> node.content().values().stream())
            .anyMatch(content -> value.equals(new LocalValue.ContentIs(content)));
    assertThat(kept || said).as(key + " of seed " + history.scene.seed).isTrue();
  }
}
