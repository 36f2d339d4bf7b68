package goodbones.server.reach;

import goodbones.document.Device;
import goodbones.document.NodeId;
import goodbones.library.Shown;
import goodbones.server.reach.ReachViews.Drawn;
import goodbones.server.reach.ReachViews.UseView;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.AllFinishes;
import goodbones.style.SiteFinishes;
import goodbones.survey.Setting;
import goodbones.survey.SiteLook;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where a token or a named style is used. */
@Service
public class WhereUsed {
  private static final int MOST_USES = 200;
  private final Sites sites;
  private final SiteLooks looks;
  private final Users users;

  WhereUsed(Sites sites, SiteLooks looks, Users users) {
    this.sites = sites;
    this.looks = looks;
    this.users = users;
  }

  /** What in the finishes refers to a token, or builds on a named style, in words. */
  @Transactional(readOnly = true)
  public List<String> inFinishes(AllFinishes all, String tokenId, String styleId) {
    Users.Now now = users.now(all);
    return styleId.isEmpty() ? now.finishesOfToken(tokenId) : now.finishesOfStyle(styleId);
  }

  /** Everything that is worth what it is through a token, or has a named style; reads all pages. */
  @Transactional(readOnly = true)
  public Drawn drawn(AllFinishes all, String tokenId, String styleId) {
    List<UseView> views = new ArrayList<>();
    for (SiteInfo site : sites.all()) {
      SiteFinishes finishes = all.of(site.id());
      Map<String, Shown> shown = looks.shown(site.id());
      if (styleId.isEmpty()) {
        SiteLook look = looks.of(site.id(), finishes);
        for (Setting setting : look.settingsThrough(tokenId, finishes)) {
          look.uses(setting)
              .forEach(
                  (page, nodes) ->
                      nodes.forEach(
                          (node, devices) ->
                              views.add(
                                  use(
                                      site,
                                      page,
                                      shown,
                                      node,
                                      setting.property().label(),
                                      devices))));
        }
      } else {
        shown.forEach(
            (page, document) ->
                document
                    .root()
                    .walk(
                        node -> {
                          if (node.namedStyles().contains(styleId)) {
                            views.add(use(site, page, shown, node.id(), "", Set.of()));
                          }
                        }));
      }
    }
    return new Drawn(
        views.stream().limit(MOST_USES).toList(), Math.max(0, views.size() - MOST_USES));
  }

  private UseView use(
      SiteInfo site,
      String page,
      Map<String, Shown> shown,
      NodeId node,
      String property,
      Set<Device> devices) {
    return new UseView(
        site.id(),
        site.name(),
        page,
        sites.page(page).title(),
        node.value(),
        Reaching.title(shown.get(page), node),
        property,
        devices.stream().map(Device::word).toList());
  }
}
