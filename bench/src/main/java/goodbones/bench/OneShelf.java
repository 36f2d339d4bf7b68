package goodbones.bench;

import goodbones.document.Node;
import goodbones.library.Expanded;
import goodbones.library.Library;
import goodbones.library.Revision;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/** A library in memory that keeps what it expanded, as the application does. */
final class OneShelf implements Library {
  private final Map<String, List<Revision>> revisions = new HashMap<>();
  private final Map<Revision, Expanded> expanded = new IdentityHashMap<>();

  /** Adds the next revision of a piece. */
  OneShelf with(String piece, Node root) {
    List<Revision> all = revisions.computeIfAbsent(piece, p -> new ArrayList<>());
    all.add(new Revision(piece, all.size() + 1, root, "", 1));
    return this;
  }

  @Override
  public Revision revision(String piece, int number) {
    return revisions.get(piece).get(number - 1);
  }

  @Override
  public Expanded expanded(String piece, int number) {
    Revision revision = revision(piece, number);
    Expanded known = expanded.get(revision);
    if (known == null) {
      known = Library.super.expanded(piece, number);
      expanded.put(revision, known);
    }
    return known;
  }
}
