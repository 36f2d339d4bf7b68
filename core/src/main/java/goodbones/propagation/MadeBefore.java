package goodbones.propagation;

import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.Picks;
import goodbones.library.Placements;
import goodbones.library.Showing;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** An edit that was made while other revisions were shown than those that are shown now. */
public final class MadeBefore {
  private MadeBefore() {}

  /**
   * Looks for a placement where what the edit changed would have to be asked about, because the
   * library changed the same between what was shown then and what is shown now.
   *
   * @param before the document before the edit
   * @param after the document after it
   * @return the path of the first such placement; empty if everything holds
   */
  public static Optional<NodeId> asks(
      Node before, Node after, Showing then, Showing now, Library library) {
    Map<NodeId, Placement> old = Placements.of(before);
    return Placements.of(after).entrySet().stream()
        .filter(e -> asks(e.getKey(), old.get(e.getKey()), e.getValue(), then, now, library))
        .map(Map.Entry::getKey)
        .findFirst();
  }

  private static boolean asks(
      NodeId path,
      @Nullable Placement was,
      Placement placement,
      Showing then,
      Showing now,
      Library library) {
    if (was == null) {
      return false;
    }
    Map<LocalKey, LocalValue> made = new TreeMap<>(placement.changes());
    made.entrySet().removeAll(was.changes().entrySet());
    int seen = then.shownBy(was);
    int shows = now.shownBy(placement);
    if (seen == shows || made.isEmpty()) {
      return false;
    }
    // What it was made on is seen with what the placement picks; that itself is not asked about.
    SortedMap<LocalKey, LocalValue> picks = Picks.of(was).said();
    picks.forEach(made::putIfAbsent);
    Placement alone = Placement.of(placement.pieceId()).withSettled(seen).withChanges(made);
    return Rebase.of(path, alone, seen, shows, library, now).questions().stream()
        .flatMap(question -> question.keys().stream())
        .anyMatch(key -> !picks.containsKey(key));
  }
}
