package goodbones.propagation;

import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.NodeId;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Something to decide: one or several local changes with the same cause.
 *
 * @param id the same whenever the same question is asked again
 * @param node the node that it is about, as seen from inside the placement
 * @param before what the revision shown up to now says, where one key is in question
 * @param page what the page says
 * @param library what the newer revision says
 * @param choices the settlements that are possible
 */
public record Question(
    String id,
    Verdict verdict,
    NodeId node,
    List<LocalKey> keys,
    Optional<LocalValue> before,
    Optional<LocalValue> page,
    Optional<LocalValue> library,
    Set<Settlement> choices) {
  public Question {
    keys = List.copyOf(keys);
    choices = Set.copyOf(choices);
  }

  /** The same with one answer only. */
  Question only(Settlement settlement) {
    return new Question(id, verdict, node, keys, before, page, library, Set.of(settlement));
  }
}
