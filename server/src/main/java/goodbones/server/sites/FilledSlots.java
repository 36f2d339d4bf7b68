package goodbones.server.sites;

import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.NodeId;
import goodbones.library.SiteFillings;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What fills the slots of whole sites. */
@Component
class FilledSlots {
  private final FillingRepository rows;

  FilledSlots(FillingRepository rows) {
    this.rows = rows;
  }

  SiteFillings of(String siteId) {
    return fillings(rows.findByIdSiteId(siteId));
  }

  /** By the ids of the sites that have some. */
  Map<String, SiteFillings> all() {
    Map<String, List<FillingRow>> of = new HashMap<>();
    rows.findAll()
        .forEach(row -> of.computeIfAbsent(row.key().siteId(), id -> new ArrayList<>()).add(row));
    Map<String, SiteFillings> all = new HashMap<>();
    of.forEach((site, its) -> all.put(site, fillings(its)));
    return all;
  }

  private static SiteFillings fillings(Iterable<FillingRow> rows) {
    TreeMap<LocalKey, FieldValue> filled = new TreeMap<>();
    rows.forEach(row -> row.value().ifPresent(value -> filled.put(key(row), value)));
    return filled.isEmpty() ? SiteFillings.NONE : new SiteFillings(filled);
  }

  private static LocalKey key(FillingRow row) {
    return SiteFillings.key(NodeId.of(row.key().node()), row.key().field());
  }

  /** The slots that were filled after a stamp. */
  Set<LocalKey> since(String siteId, long stamp) {
    return rows.findByIdSiteId(siteId).stream()
        .filter(row -> row.stamp() > stamp)
        .map(FilledSlots::key)
        .collect(Collectors.toSet());
  }

  void fill(String siteId, SortedMap<LocalKey, Optional<FieldValue>> changes, long stamp) {
    changes.forEach(
        (slot, value) -> {
          String field = slot.aspect().toString().substring("content ".length());
          FillingRow.Key key = new FillingRow.Key(siteId, slot.node().value(), field);
          rows.save(new FillingRow(key, value, stamp));
        });
  }
}
