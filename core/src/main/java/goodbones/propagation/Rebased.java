package goodbones.propagation;

import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Pin;
import goodbones.document.Placement;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * The outcome of a rebase: a verdict for every local change, and what there is to decide.
 *
 * @param before the placement as it stood
 * @param from the revision that it showed
 * @param verdicts exactly one for each local change
 * @param written fillings that are written in because a fixed part became a slot
 */
public record Rebased(
    Placement before,
    int from,
    SortedMap<LocalKey, Verdict> verdicts,
    SortedMap<LocalKey, LocalValue> written,
    List<Question> questions,
    Settling settling) {
  public Rebased {
    questions = List.copyOf(questions);
  }

  public long count(Verdict verdict) {
    return verdicts.values().stream().filter(verdict::equals).count();
  }

  /** The questions that the decisions leave open. */
  public List<Question> open(Map<String, Settlement> decisions) {
    return questions.stream()
        .filter(
            q ->
                !Optional.ofNullable(decisions.get(q.id()))
                    .map(q.choices()::contains)
                    .orElse(false))
        .toList();
  }

  /**
   * The placement under the newer revision: it follows if every question is settled; otherwise it
   * is pinned to the revision that it showed, with its changes as they were.
   *
   * @param decisions a settlement for each question's id
   */
  public Placement settled(Map<String, Settlement> decisions) {
    return open(decisions).isEmpty()
        ? unlessTheSame(settling.settle(decisions))
        : before.withSettled(from).withPin(Optional.of(new Pin(from, Pin.Reason.WAITING)));
  }

  /** What is clean need not be written; an answer is. */
  private Placement unlessTheSame(Placement after) {
    boolean same = after.equals(before.withSettled(after.settled()));
    return questions.isEmpty() && same ? before : after;
  }

  /** The same placement and revisions with some questions only; nothing else changes or asks. */
  Rebased restrictedTo(SortedMap<LocalKey, Verdict> fewerVerdicts, List<Question> fewerQuestions) {
    return new Rebased(
        before,
        from,
        fewerVerdicts,
        new TreeMap<>(),
        fewerQuestions,
        settling.restrictedTo(fewerVerdicts, fewerQuestions));
  }
}
