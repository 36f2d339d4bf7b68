package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What fills the slots of a site that are filled once for all its pages: by the slot's node, at
 * whatever depth that stands, and its field.
 */
public record SiteFillings(SortedMap<LocalKey, FieldValue> filled) {
  /** Nothing is filled. */
  public static final SiteFillings NONE = new SiteFillings(Collections.emptySortedMap());

  public SiteFillings {
    filled = Collections.unmodifiableSortedMap(new TreeMap<>(filled));
  }

  /** The key that a node's field goes by, wherever it stands. */
  public static LocalKey key(NodeId node, String field) {
    return new LocalKey(node.own(), Aspect.content(field));
  }

  public Optional<FieldValue> of(NodeId node, String field) {
    return Optional.ofNullable(filled.get(key(node, field)));
  }

  public boolean isEmpty() {
    return filled.isEmpty();
  }

  /** The same with some filled otherwise; empty for those that are not filled any more. */
  public SiteFillings with(Map<LocalKey, Optional<FieldValue>> changes) {
    TreeMap<LocalKey, FieldValue> all = new TreeMap<>(filled);
    changes.forEach(
        (key, value) -> value.ifPresentOrElse(v -> all.put(key, v), () -> all.remove(key)));
    return new SiteFillings(all);
  }

  /** What has to be filled otherwise, so that it becomes another one. */
  public SortedMap<LocalKey, Optional<FieldValue>> changedTo(SiteFillings other) {
    TreeMap<LocalKey, Optional<FieldValue>> changes = new TreeMap<>();
    filled.keySet().forEach(key -> changes.put(key, Optional.empty()));
    other.filled.forEach((key, value) -> changes.put(key, Optional.of(value)));
    filled.forEach((key, value) -> changes.remove(key, Optional.of(value)));
    return changes;
  }

  /**
   * A node with its slots of the whole site filled.
   *
   * @param origin where it comes from; what its placement says itself stays
   */
  Node laid(Node node, Optional<Origin> origin) {
    Node now = node;
    for (String field : node.options().siteSlots()) {
      boolean own = origin.map(o -> o.saysItself(node.id(), field)).orElse(true);
      Optional<FieldValue> value = own ? Optional.empty() : of(node.id(), field);
      now = value.isPresent() ? now.withContent(field, value) : now;
    }
    return now;
  }
}
