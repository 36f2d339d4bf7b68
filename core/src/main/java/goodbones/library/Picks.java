package goodbones.library;

import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.NodeId;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What a placement chooses before what it places is expanded: the variants of the piece and of the
 * pieces in it, and the items of lists. Everything else is laid on the expanded tree.
 *
 * @param said keys by the path from inside the placement, and what is chosen
 */
public record Picks(SortedMap<LocalKey, LocalValue> said) {
  /** Nothing is chosen. */
  public static final Picks NONE = new Picks(Collections.emptySortedMap());

  public Picks {
    said = Collections.unmodifiableSortedMap(new TreeMap<>(said));
  }

  /** Those among changes. */
  public static Picks of(Layer layer) {
    return of(layer.changes());
  }

  public static Picks of(Map<LocalKey, LocalValue> changes) {
    TreeMap<LocalKey, LocalValue> picks = null;
    for (Map.Entry<LocalKey, LocalValue> entry : changes.entrySet()) {
      if (entry.getKey().aspect().isPick()) {
        picks = picks == null ? new TreeMap<>() : picks;
        picks.put(entry.getKey(), entry.getValue());
      }
    }
    return picks == null ? NONE : new Picks(picks);
  }

  public boolean isEmpty() {
    return said.isEmpty();
  }

  Optional<LocalValue> at(LocalKey key) {
    return Optional.ofNullable(said.get(key));
  }

  /** Those about what stands in a placement or an item, as seen from inside that. */
  public Picks inside(NodeId member) {
    if (said.isEmpty()) {
      return NONE;
    }
    TreeMap<LocalKey, LocalValue> inside = new TreeMap<>();
    said.forEach(
        (key, value) -> {
          if (key.node().isIn(member)) {
            inside.put(new LocalKey(key.node().from(member), key.aspect()), value);
          }
        });
    return inside.isEmpty() ? NONE : new Picks(inside);
  }

  /** These, laid on those of the layer beneath. */
  Picks over(Picks beneath) {
    if (said.isEmpty() || beneath.isEmpty()) {
      return said.isEmpty() ? beneath : this;
    }
    TreeMap<LocalKey, LocalValue> all = new TreeMap<>(beneath.said);
    said.forEach((key, value) -> all.merge(key, value, Picks::laid));
    return new Picks(all);
  }

  private static LocalValue laid(LocalValue beneath, LocalValue above) {
    return above instanceof LocalValue.ItemsAre items
            && beneath instanceof LocalValue.ItemsAre others
        ? items.over(others)
        : above;
  }

  /** The same but for one key. */
  public Picks without(LocalKey key) {
    if (!said.containsKey(key)) {
      return this;
    }
    TreeMap<LocalKey, LocalValue> others = new TreeMap<>(said);
    others.remove(key);
    return new Picks(others);
  }
}
