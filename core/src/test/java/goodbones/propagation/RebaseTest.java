package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;

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
import goodbones.testing.Laid;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Each verdict by an example that a designer would recognise. */
class RebaseTest {
  private static final NodeId HEADING = NodeId.of("h");
  private static final NodeId BUTTON = NodeId.of("b");
  private static final StyleKey RADIUS = StyleKey.parse("border-radius");
  private static final LocalKey WORDS = new LocalKey(HEADING, Aspect.content("words"));
  private static final LocalKey ROUND = new LocalKey(BUTTON, Aspect.style(RADIUS));

  private static Node band() {
    return Node.of(NodeId.of("s"), Kind.SECTION, "")
        .withChildren(
            List.of(
                Node.of(HEADING, Kind.HEADING, "")
                    .withContent("words", new FieldValue.Words("Say what it is")),
                Node.of(BUTTON, Kind.BUTTON, "").withStyle(RADIUS, StyleValue.literal("8px"))));
  }

  private static Node radius(String value) {
    return band().change(BUTTON, n -> n.withStyle(RADIUS, StyleValue.literal(value)));
  }

  private static LocalValue round(String value) {
    return new LocalValue.StyleIs(Optional.of(StyleValue.literal(value)));
  }

  private static LocalValue words(String text) {
    return new LocalValue.ContentIs(new FieldValue.Words(text));
  }

  private static Rebased rebase(Map<LocalKey, LocalValue> changes, Node... revisions) {
    return Rebases.of(NodeId.of("p"), Placement.of("piece").saying(changes), 4, List.of(revisions));
  }

  @Test
  void bothChangedTheRadius() {
    Rebased rebased = rebase(Map.of(ROUND, round("20px")), band(), radius("4px"));
    assertThat(rebased.verdicts()).containsEntry(ROUND, Verdict.BOTH);
    Question question = rebased.questions().get(0);
    assertThat(question.before()).contains(round("8px"));
    assertThat(question.page()).contains(round("20px"));
    assertThat(question.library()).contains(round("4px"));
    assertThat(rebased.settled(Map.of(question.id(), Settlement.STAY)).layer().changes())
        .containsEntry(ROUND, round("20px"));
    assertThat(rebased.settled(Map.of(question.id(), Settlement.TAKE)).changes()).isEmpty();
    assertThat(rebased.settled(Map.of()).pin().orElseThrow().revision()).isEqualTo(4);
  }

  @Test
  void theLibrarySaysTheSameOnTheWay() {
    Rebased rebased = rebase(Map.of(ROUND, round("20px")), band(), radius("20px"), radius("4px"));
    assertThat(rebased.verdicts()).containsEntry(ROUND, Verdict.ABSORBED);
    assertThat(rebased.settled(Map.of()).changes()).isEmpty();
  }

  @Test
  void aFilledSlotStandsWhateverTheLibrarySays() {
    Node other =
        band().change(HEADING, n -> n.withContent("words", new FieldValue.Words("Three islands")));
    Rebased rebased = rebase(Map.of(WORDS, words("Three islands")), band(), other);
    assertThat(rebased.verdicts()).containsEntry(WORDS, Verdict.STANDS);
    assertThat(rebased.settled(Map.of()).layer().changes())
        .containsEntry(WORDS, words("Three islands"));
  }

  @Test
  void whereAFixedPartBecomesASlotTheWordsShownAreWrittenIn() {
    Node fixed = band().change(HEADING, n -> n.withSlots(List.of()));
    Node slot =
        band().change(HEADING, n -> n.withContent("words", new FieldValue.Words("New words")));
    Rebased rebased = rebase(Map.of(), fixed, slot);
    assertThat(rebased.written()).containsEntry(WORDS, words("Say what it is"));
    Node shown = Laid.show(slot, rebased.settled(Map.of()));
    assertThat(shown.find(HEADING).orElseThrow().content())
        .containsEntry("words", new FieldValue.Words("Say what it is"));
  }

  @Test
  void aFilledSlotThatBecomesFixedAsks() {
    Node fixed = band().change(HEADING, n -> n.withSlots(List.of()));
    assertThat(rebase(Map.of(WORDS, words("Ours")), band(), fixed).verdicts())
        .containsEntry(WORDS, Verdict.BOTH);
  }

  @Test
  void wordsOfSomethingGoneCanBeKeptAsOurOwn() {
    Node without = band().withChildren(List.of(band().children().get(1)));
    Rebased rebased = rebase(Map.of(WORDS, words("Ours")), band(), without);
    assertThat(rebased.verdicts()).containsEntry(WORDS, Verdict.GONE);
    Question question = rebased.questions().get(0);
    Placement kept = rebased.settled(Map.of(question.id(), Settlement.STAY));
    List<Node> shown = Laid.show(without, kept).children();
    assertThat(shown).hasSize(2);
    assertThat(shown.get(0).content()).containsEntry("words", new FieldValue.Words("Ours"));
    assertThat(shown.get(0).id()).isNotEqualTo(HEADING);
    assertThat(rebased.settled(Map.of(question.id(), Settlement.TAKE)).changes()).isEmpty();
  }

  @Test
  void aRemovedSubtreeIsOneQuestionAndARemovalOfTheSameIsNone() {
    Node row =
        Node.of(NodeId.of("r"), Kind.ROW, "")
            .withChildren(
                List.of(
                    Node.of(NodeId.of("c"), Kind.COLUMN, "")
                        .withChildren(
                            List.of(
                                Node.of(NodeId.of("t1"), Kind.TEXT, ""),
                                Node.of(NodeId.of("t2"), Kind.TEXT, "")))));
    Node with = Node.of(NodeId.of("s"), Kind.SECTION, "").withChildren(List.of(row));
    Node without = with.withChildren(List.of());
    LocalKey one = new LocalKey(NodeId.of("t1"), Aspect.content("words"));
    LocalKey two = new LocalKey(NodeId.of("t2"), Aspect.content("words"));
    Rebased rebased = rebase(Map.of(one, words("a"), two, words("b")), with, without);
    assertThat(rebased.questions()).hasSize(1);
    assertThat(rebased.questions().get(0).node()).isEqualTo(NodeId.of("r"));
    LocalKey removal = new LocalKey(NodeId.of("r"), Aspect.REMOVED);
    Rebased both = rebase(Map.of(removal, new LocalValue.IsRemoved()), with, without);
    assertThat(both.verdicts()).containsEntry(removal, Verdict.DORMANT);
  }

  @Test
  void whatLiesInSomethingRemovedHereAsksNothing() {
    LocalKey removal = new LocalKey(BUTTON, Aspect.REMOVED);
    Rebased rebased =
        rebase(
            Map.of(removal, new LocalValue.IsRemoved(), ROUND, round("20px")),
            band(),
            radius("4px"));
    assertThat(rebased.verdicts())
        .containsEntry(removal, Verdict.STANDS)
        .containsEntry(ROUND, Verdict.DORMANT);
    assertThat(rebased.questions()).isEmpty();
  }
}
