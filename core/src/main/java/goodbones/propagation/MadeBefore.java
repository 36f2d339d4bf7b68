package goodbones.propagation;

import goodbones.document.LocalChange;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.Placements;
import goodbones.library.Showing;
import goodbones.library.Translation;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
    int seen = then.shownBy(was);
    int shows = now.shownBy(placement);
    Map<LocalKey, LocalChange> made = new TreeMap<>(placement.changes());
    made.entrySet().removeAll(was.changes().entrySet());
    if (seen == shows || made.isEmpty()) {
      return false;
    }
    Set<LocalKey> others = new HashSet<>(placement.changes().keySet());
    others.removeAll(made.keySet());
    Set<LocalKey> standing = new HashSet<>();
    Translation translation = Translation.of(library, placement, shows);
    for (LocalKey key : translation.layer().changes().keySet()) {
      if (translation.stored(key).filter(others::contains).isPresent()) {
        standing.add(key);
      }
    }
    return !Rebase.of(path, placement, seen, shows, library, now, Scope.of(standing))
        .questions()
        .isEmpty();
  }
}
