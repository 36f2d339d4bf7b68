package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.library.RevisionIndex;
import goodbones.library.SiteFillings;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What becomes of fillings when a field is a slot of another sort in the newer revision: a
 * placement's own, the whole site's, or none.
 */
final class Slots {
  private final Way way;
  private final RevisionIndex last;
  private final SiteFillings ofSite;

  Slots(Way way, SiteFillings ofSite) {
    this.way = way;
    this.last = way.last();
    this.ofSite = ofSite;
  }

  /**
   * A slot of the whole site: where it became one, what the placement says is needless if the site
   * shows the same; otherwise it is asked, and may stay as this placement's own.
   *
   * @param made the revision on which the placement's words were made
   */
  Verdict forSite(LocalKey key, LocalValue value, RevisionIndex made) {
    if (made.isSiteSlot(key)) {
      return Verdict.STANDS;
    }
    return shown(key).equals(Optional.of(value)) ? Verdict.ABSORBED : Verdict.BOTH;
  }

  /** What the newer revision shows in a slot of the whole site. */
  Optional<LocalValue> shown(LocalKey key) {
    return filled(key).or(() -> last.value(key));
  }

  private Optional<LocalValue> filled(LocalKey key) {
    return key.aspect() instanceof Aspect.Content content
        ? ofSite.of(key.node(), content.field()).map(LocalValue.ContentIs::new)
        : Optional.empty();
  }

  /**
   * Where a fixed part became a slot, the words shown up to then become the filling; so do the
   * site's where a slot is the whole site's no more.
   */
  SortedMap<LocalKey, LocalValue> written(Layer said) {
    SortedMap<LocalKey, LocalValue> written = new TreeMap<>();
    for (LocalKey key : way.newSlots()) {
      way.fixedBefore(key)
          .flatMap(fixed -> fixed.value(key))
          .filter(value -> !value.equals(new LocalValue.ContentIs(Optional.empty())))
          .ifPresent(value -> written.put(key, value));
    }
    for (LocalKey key : way.first().siteSlots()) {
      if (!last.isSiteSlot(key) && last.has(key.node())) {
        filled(key).ifPresent(value -> written.put(key, value));
      }
    }
    written.keySet().removeAll(said.changes().keySet());
    return written;
  }
}
