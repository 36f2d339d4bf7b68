package goodbones.propagation;

import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import java.util.Optional;
import java.util.Set;

/**
 * Which changes a rebase judges, and what it compares them with. Where something is taken back,
 * that is what the placement said right after it and before it, besides what the library says. Keys
 * are addressed as the revision has them that is to be shown.
 *
 * @param standing the keys that are not judged: they stand as they are
 * @param after what the placement said right after what is taken back
 * @param before what it said before, which is what comes back where the library's is taken
 */
record Scope(Set<LocalKey> standing, Layer after, Layer before) {
  /** Every change is judged, by what the library says. */
  static final Scope ALL = of(Set.of());

  Scope {
    standing = Set.copyOf(standing);
  }

  /** All changes but some are judged, by what the library says. */
  static Scope of(Set<LocalKey> standing) {
    return new Scope(standing, Layer.NONE, Layer.NONE);
  }

  boolean judges(LocalKey key) {
    return !standing.contains(key);
  }

  /** What the placement said at a key right after; empty where that was the library's. */
  Optional<LocalValue> after(LocalKey key) {
    return after.at(key);
  }

  /** What the placement said at a key before; empty where that was the library's. */
  Optional<LocalValue> before(LocalKey key) {
    return before.at(key);
  }

  /** Whether what is taken back had changed what the placement says for a key. */
  boolean changed(LocalKey key) {
    return !after(key).equals(before(key));
  }
}
