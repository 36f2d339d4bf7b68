package goodbones.propagation;

import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Pin;
import goodbones.document.Placement;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;

/**
 * The outcome of a rebase: a verdict for every local change, and what there is to decide.
 *
 * @param before the placement as it stood
 * @param said what it says, as the newer revision has it; verdicts and questions name it so
 * @param seen the keys of what would be seen, addressed likewise
 * @param from the revision that it showed
 * @param questions what there is to decide in any case
 * @param alternatives by the id of a question whose answer changes what is seen: the outcome under
 *     that answer, so that what it brings into sight is asked about too
 * @param verdicts exactly one for each local change
 * @param written fillings that are written in because a fixed part became a slot
 */
public record Rebased(
    Placement before,
    Layer said,
    Set<LocalKey> seen,
    int from,
    SortedMap<LocalKey, Verdict> verdicts,
    SortedMap<LocalKey, LocalValue> written,
    List<Question> questions,
    Map<String, Map<Settlement, Alternative>> alternatives,
    Settling settling) {
  public Rebased {
    seen = Set.copyOf(seen);
    questions = List.copyOf(questions);
    alternatives = Collections.unmodifiableMap(new LinkedHashMap<>(alternatives));
  }

  /** Everything that there may be to decide, with what only one of the answers brings up. */
  public List<Question> allQuestions() {
    Map<String, Question> all = new LinkedHashMap<>();
    questions.forEach(question -> all.put(question.id(), question));
    alternatives.values().stream()
        .flatMap(answers -> answers.values().stream())
        .map(Alternative::outcome)
        .forEach(other -> other.allQuestions().forEach(q -> all.putIfAbsent(q.id(), q)));
    return List.copyOf(all.values());
  }

  /** Every question answered with the page's own, as far as that can hold. */
  Map<String, Settlement> pagesOwn() {
    Map<String, Settlement> answers = new LinkedHashMap<>();
    for (Question question : allQuestions()) {
      boolean canStay = question.choices().contains(Settlement.STAY);
      answers.put(question.id(), canStay ? Settlement.STAY : Settlement.TAKE);
    }
    return answers;
  }

  /** The outcome under the answers that change what is seen. */
  Rebased under(Map<String, Settlement> decisions) {
    for (Map.Entry<String, Map<Settlement, Alternative>> alternative : alternatives.entrySet()) {
      Settlement answer = decisions.get(alternative.getKey());
      Alternative then = answer == null ? null : alternative.getValue().get(answer);
      if (then != null) {
        return then.outcome().under(decisions);
      }
    }
    return this;
  }

  public long count(Verdict verdict) {
    return verdicts.values().stream().filter(verdict::equals).count();
  }

  /** The questions that the decisions leave open. */
  public List<Question> open(Map<String, Settlement> decisions) {
    return under(decisions).questions.stream()
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
        ? under(decisions).settling.settle(decisions)
        : before.withPin(Optional.of(new Pin(from, Pin.Reason.WAITING)));
  }

  /**
   * The placement bound to the newer revision.
   *
   * @param decisions a settlement for each question's id
   * @throws IllegalArgumentException if a question is left open
   */
  public Placement bound(Map<String, Settlement> decisions) {
    if (!open(decisions).isEmpty()) {
      throw new IllegalArgumentException("undecided: " + open(decisions).get(0).id());
    }
    return under(decisions).settling.bound(decisions);
  }
}
