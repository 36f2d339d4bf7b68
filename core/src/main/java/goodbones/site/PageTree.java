package goodbones.site;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The pages of a site, each filed under another one or at the top, in their order. */
public final class PageTree {
  private final Map<String, SitePage> pages = new LinkedHashMap<>();
  private final Map<String, List<SitePage>> below = new LinkedHashMap<>();
  private final List<SitePage> all = new ArrayList<>();

  /**
   * @param pages in the order in which they are to stand below each other; what is filed under a
   *     page that there is not, or by any way under itself, stands at the top
   */
  public PageTree(Collection<SitePage> pages) {
    pages.forEach(page -> this.pages.put(page.id(), page));
    for (SitePage page : this.pages.values()) {
      below.computeIfAbsent(parentOf(page), id -> new ArrayList<>()).add(page);
    }
    collect("", all);
  }

  private String parentOf(SitePage page) {
    Set<String> seen = new HashSet<>();
    seen.add(page.id());
    String at = page.parent();
    while (pages.containsKey(at)) {
      if (!seen.add(at)) {
        return "";
      }
      at = pages.get(at).parent();
    }
    return pages.containsKey(page.parent()) ? page.parent() : "";
  }

  public Optional<SitePage> find(String id) {
    return Optional.ofNullable(pages.get(id));
  }

  /** Those that are filed under a page; those at the top for an empty id. */
  public List<SitePage> below(String id) {
    return Collections.unmodifiableList(below.getOrDefault(id, List.of()));
  }

  /** All pages as they are read: each before what is filed under it. */
  public List<SitePage> all() {
    return Collections.unmodifiableList(all);
  }

  /** A page with all that is filed under it, to any depth. */
  public List<SitePage> branch(String id) {
    List<SitePage> branch = new ArrayList<>();
    find(id).ifPresent(branch::add);
    collect(id, branch);
    return branch;
  }

  private void collect(String id, List<SitePage> into) {
    for (SitePage page : below(id)) {
      into.add(page);
      collect(page.id(), into);
    }
  }

  /** A page and those that it is filed under, from the page itself up. */
  public List<String> upwards(String id) {
    List<String> line = new ArrayList<>();
    Optional<SitePage> at = find(id);
    while (at.isPresent()) {
      line.add(at.get().id());
      at = find(parentOf(at.get()));
    }
    return line;
  }

  /** How many pages one is filed under; 0 at the top. */
  public int depth(String id) {
    return Math.max(0, upwards(id).size() - 1);
  }
}
