package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Aspect;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.library.Library;
import goodbones.library.Revision;
import goodbones.testing.Laid;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Taking back where the page was edited since. */
class TakeBackTest {
  private static final LocalKey COLOUR =
      new LocalKey(NodeId.of("h"), Aspect.style(StyleKey.parse("color")));
  private static final LocalKey NEW_WORDS = new LocalKey(NodeId.of("t"), Aspect.content("words"));

  private static final Node OLD =
      Node.of(NodeId.of("s"), Kind.SECTION, "")
          .withChildren(List.of(Node.of(NodeId.of("h"), Kind.HEADING, "")));
  private static final Node NEW =
      OLD.withChildren(List.of(OLD.children().get(0), Node.of(NodeId.of("t"), Kind.TEXT, "")));
  private static final Library LIBRARY =
      (piece, number) -> new Revision(piece, number, number == 1 ? OLD : NEW, "", 1);

  private static LocalValue colour(String css) {
    return new LocalValue.StyleIs(Optional.of(StyleValue.literal(css)));
  }

  private static Placement placement(Map<LocalKey, LocalValue> changes) {
    return made(1, changes);
  }

  private static Placement made(int revision, Map<LocalKey, LocalValue> changes) {
    return Placement.of(Scene.PIECE, revision).saying(changes).withBound(0);
  }

  private static TakeBack.Step step(Placement before, Placement after, Placement now) {
    Rollout rollout =
        new Rollout(
            Scene.PIECE,
            2,
            List.of(new Rollout.AdoptedStep("site", Scene.PIECE, 1, 2)),
            List.of(new Rollout.WrittenStep("site", "page", Scene.PLACEMENT, before, after)));
    Node page =
        Node.of(Scene.PAGE, Kind.PAGE, "")
            .withChildren(
                List.of(Node.placing(Scene.PLACEMENT, "", Scene.PIECE).withPlacement(now)));
    return new TakeBack(LIBRARY, rollout).plan(Sites.of(page, 2)).get(0);
  }

  @Test
  void atAPlacementThatSimplyFollowedNothingIsLostEither() {
    LocalValue words = new LocalValue.ContentIs(new FieldValue.Words("Written since"));
    Rollout unwritten =
        new Rollout(
            Scene.PIECE, 2, List.of(new Rollout.AdoptedStep("site", Scene.PIECE, 1, 2)), List.of());
    Node page =
        Node.of(Scene.PAGE, Kind.PAGE, "")
            .withChildren(
                List.of(
                    Node.placing(Scene.PLACEMENT, "", Scene.PIECE)
                        .withPlacement(made(2, Map.of(NEW_WORDS, words)))));
    TakeBack.Step step = new TakeBack(LIBRARY, unwritten).plan(Sites.of(page, 2)).get(0);
    assertThat(step.questions()).extracting(Question::verdict).containsExactly(Verdict.GONE);
  }

  @Test
  void anEditMadeSinceStays() {
    Placement before = placement(Map.of());
    Placement now = made(2, Map.of(COLOUR, colour("#111111")));
    TakeBack.Step step = step(before, before, now);
    assertThat(step.questions()).isEmpty();
    assertThat(step.after(Map.of())).isEqualTo(now);
  }

  @Test
  void whatBothSidesChangedAsks() {
    Placement before = placement(Map.of(COLOUR, colour("#111111")));
    Placement after = placement(Map.of());
    Placement now = made(2, Map.of(COLOUR, colour("#222222")));
    TakeBack.Step step = step(before, after, now);
    assertThat(step.questions()).hasSize(1);
    String id = step.questions().get(0).id();
    assertThat(step.after(Map.of(id, Settlement.STAY)).layer()).isEqualTo(now.layer());
    assertThat(step.after(Map.of(id, Settlement.TAKE))).isEqualTo(before);
    assertThatThrownBy(() -> step.after(Map.of())).hasMessageContaining("is not decided");
  }

  @Test
  void wordsFilledSinceForANodeThatTheOlderRevisionLacksAreNotLost() {
    Placement before = placement(Map.of());
    LocalValue words = new LocalValue.ContentIs(new FieldValue.Words("Written since"));
    TakeBack.Step step = step(before, before, made(2, Map.of(NEW_WORDS, words)));
    assertThat(step.questions()).extracting(Question::verdict).containsExactly(Verdict.GONE);
    String id = step.questions().get(0).id();
    Placement kept = step.after(Map.of(id, Settlement.STAY));
    assertThat(Laid.show(OLD, kept).all())
        .anyMatch(n -> n.content().containsValue(new FieldValue.Words("Written since")));
    assertThat(step.after(Map.of(id, Settlement.TAKE))).isEqualTo(before);
  }
}
