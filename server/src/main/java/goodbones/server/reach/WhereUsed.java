package goodbones.server.reach;

import goodbones.document.Device;
import goodbones.document.NodeId;
import goodbones.library.Shown;
import goodbones.server.reach.ReachViews.UseView;
import goodbones.server.reach.ReachViews.Uses;
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

  /** Everything that is worth what it is through a token, or has a named style. */
  @Transactional(readOnly = true)
  public Uses of(AllFinishes all, String tokenId, String styleId) {
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
    List<String> direct =
        styleId.isEmpty() ? all.house().referringTo(tokenId) : users.now(all).ofStyle(styleId);
    return new Uses(
        direct, views.stream().limit(MOST_USES).toList(), Math.max(0, views.size() - MOST_USES));
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
