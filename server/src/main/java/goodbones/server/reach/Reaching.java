package goodbones.server.reach;

import goodbones.document.Device;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.library.Shown;
import goodbones.server.drawing.Wording;
import goodbones.server.reach.ReachViews.FlipView;
import goodbones.server.reach.ReachViews.PageReach;
import goodbones.server.reach.ReachViews.ReachView;
import goodbones.server.reach.ReachViews.SiteReach;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.SiteFinishes;
import goodbones.survey.Impact;
import goodbones.survey.Place;
import goodbones.survey.SiteLook;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What an edit of the finishes reaches, worked out by the core and put into words. */
@Component
public class Reaching {
  private final Sites sites;
  private final SiteLooks looks;
  private final Measures measures;

  Reaching(Sites sites, SiteLooks looks, Measures measures) {
    this.sites = sites;
    this.looks = looks;
    this.measures = measures;
  }

  /** The difference that other finishes would make at a site. */
  public Impact impact(String siteId, SiteFinishes before, SiteFinishes after) {
    boolean sameElsewhere =
        before.house().schemes().equals(after.house().schemes())
            && before.house().defaults().equals(after.house().defaults());
    SiteLook look = looks.of(siteId, before);
    if (sameElsewhere && before.namedStyles().equals(after.namedStyles())) {
      return Impact.ofValues(look, before, after, measures.pixels(siteId));
    }
    Map<String, Shown> pages = looks.shown(siteId);
    if (sameElsewhere
        && before.ownValues().equals(after.ownValues())
        && before.tokens().equals(after.tokens())) {
      Set<String> concerned = new HashSet<>();
      changedStyles(before, after).forEach(id -> concerned.addAll(look.pagesWithStyle(id)));
      pages.keySet().retainAll(concerned);
    }
    return Impact.ofAll(pages, before, after, measures.pixels(siteId));
  }

  /** The named styles that are not as they were, with those that build on them. */
  private static Set<String> changedStyles(SiteFinishes before, SiteFinishes after) {
    Set<String> changed = new HashSet<>();
    before.namedStyles().forEach(style -> changed.add(style.id()));
    after.namedStyles().forEach(style -> changed.add(style.id()));
    changed.removeIf(id -> before.withBases(id).equals(after.withBases(id)));
    return changed;
  }

  /** One view of what is changed at several sites. */
  public ReachView view(Map<String, Impact> bySite) {
    Map<String, Integer> devices = new LinkedHashMap<>();
    for (Device device : Device.values()) {
      devices.put(device.word(), bySite.values().stream().mapToInt(i -> i.nodesOn(device)).sum());
    }
    List<SiteReach> reached = new ArrayList<>();
    List<FlipView> lost = new ArrayList<>();
    List<FlipView> gained = new ArrayList<>();
    bySite.forEach(
        (siteId, impact) -> {
          if (!impact.isEmpty()) {
            SiteInfo site = sites.get(siteId);
            List<PageReach> pages = new ArrayList<>();
            impact
                .nodes()
                .forEach(
                    (page, nodes) ->
                        pages.add(new PageReach(page, sites.page(page).title(), nodes.size())));
            reached.add(new SiteReach(siteId, site.name(), impact.nodeCount(), pages));
            lost.addAll(flips(site, impact.lost()));
            gained.addAll(flips(site, impact.gained()));
          }
        });
    return new ReachView(
        reached.stream().mapToInt(SiteReach::nodes).sum(),
        reached.stream().mapToInt(s -> s.pages().size()).sum(),
        devices,
        reached,
        lost,
        gained);
  }

  private List<FlipView> flips(SiteInfo site, List<Impact.Flip> flips) {
    if (flips.isEmpty()) {
      return List.of();
    }
    Map<String, Shown> shown = looks.shown(site.id());
    Map<Place, FlipView> views = new LinkedHashMap<>();
    for (Impact.Flip flip : flips) {
      String page = flip.place().page();
      views.merge(
          flip.place(),
          new FlipView(
              site.id(),
              site.name(),
              page,
              sites.page(page).title(),
              flip.place().node().value(),
              title(shown.get(page), flip.place().node()),
              List.of(flip.device().word()),
              List.of(flip.state().word()),
              flip.before().ratio().orElse(0.0),
              flip.after().ratio().orElse(0.0),
              flip.after().least()),
          Reaching::joined);
    }
    return List.copyOf(views.values());
  }

  private static FlipView joined(FlipView a, FlipView b) {
    FlipView worse = a.after() <= b.after() ? a : b;
    return new FlipView(
        a.siteId(),
        a.siteName(),
        a.pageId(),
        a.pageTitle(),
        a.node(),
        a.nodeTitle(),
        union(a.devices(), b.devices()),
        union(a.states(), b.states()),
        worse.before(),
        worse.after(),
        worse.least());
  }

  private static List<String> union(List<String> a, List<String> b) {
    Set<String> union = new LinkedHashSet<>(a);
    union.addAll(b);
    return List.copyOf(union);
  }

  public static String title(Shown page, NodeId id) {
    Optional<Node> node = Objects.requireNonNull(page).root().find(id);
    return node.map(Wording::title).orElse("");
  }
}
