package goodbones.document;

import java.util.Collections;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What an edit made: the new tree, and the edit that brings the old one back.
 *
 * @param fillings what it fills for the whole site, by the slot's node and field; empty for what is
 *     not filled any more
 */
public record Edited(Node root, Edit inverse, SortedMap<LocalKey, Optional<FieldValue>> fillings) {
  public Edited {
    fillings = Collections.unmodifiableSortedMap(new TreeMap<>(fillings));
  }

  /** An edit of the document alone. */
  public Edited(Node root, Edit inverse) {
    this(root, inverse, Collections.emptySortedMap());
  }
}
