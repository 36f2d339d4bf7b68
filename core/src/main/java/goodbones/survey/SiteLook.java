package goodbones.survey;

import goodbones.document.Device;
import goodbones.document.NodeId;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * All pages of a site with their styles resolved, turned round: from each setting to where it is
 * shown. What an edit of a token changes is read off without looking at the pages again.
 */
public final class SiteLook {
  private final Map<Setting, Map<String, Map<NodeId, Set<Device>>>> uses = new LinkedHashMap<>();
  private final Map<Pair, Set<Place>> pairs = new LinkedHashMap<>();
  private final Map<String, Set<String>> pagesByStyle = new HashMap<>();

  public SiteLook(Collection<PageLook> pages) {
    for (PageLook page : pages) {
      page.uses()
          .forEach(
              (setting, nodes) ->
                  uses.computeIfAbsent(setting, s -> new LinkedHashMap<>())
                      .put(page.pageId(), nodes));
      page.pairs()
          .forEach(
              (pair, nodes) -> {
                Set<Place> places = pairs.computeIfAbsent(pair, p -> new LinkedHashSet<>());
                nodes.forEach(node -> places.add(new Place(page.pageId(), node)));
              });
      page.namedStyles()
          .forEach(
              style ->
                  pagesByStyle
                      .computeIfAbsent(style, s -> new LinkedHashSet<>())
                      .add(page.pageId()));
    }
  }

  /** Every setting that refers to a token. */
  public Set<Setting> settings() {
    return uses.keySet();
  }

  /** Where a setting is shown: page id to node to devices. */
  public Map<String, Map<NodeId, Set<Device>>> uses(Setting setting) {
    return uses.getOrDefault(setting, Map.of());
  }

  /** Every text over its ground, and where it stands. */
  public Map<Pair, Set<Place>> pairs() {
    return pairs;
  }

  /** The pages on which a named style is put on something. */
  public Set<String> pagesWithStyle(String styleId) {
    return pagesByStyle.getOrDefault(styleId, Set.of());
  }

  /** The settings that are worth what a token is worth, on a site's finishes. */
  public List<Setting> settingsThrough(String tokenId, goodbones.style.SiteFinishes finishes) {
    return uses.keySet().stream()
        .filter(
            setting -> {
              var here = setting.scheme().isEmpty() ? finishes : finishes.in(setting.scheme());
              return here.worth(setting.value()).chain().stream()
                  .anyMatch(step -> step.tokenId().equals(tokenId));
            })
        .toList();
  }
}
