package goodbones.server.sites;

import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.propagation.BroughtBack;
import goodbones.server.documents.DocumentJson;
import goodbones.server.library.UsageIndex;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.NotFound;
import goodbones.server.problems.Stale;
import goodbones.site.SitePage;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pages that were taken away. Nothing of them is lost: each can be brought back as it was. */
@Service
class GonePages {
  private final PageRepository pages;
  private final GonePageRepository gone;
  private final PageSettings settings;
  private final Sites sites;
  private final UsageIndex usage;
  private final EntityManager entities;
  private final ReplacedSince replacedSince;
  private final Clock clock;

  GonePages(
      PageRepository pages,
      GonePageRepository gone,
      PageSettings settings,
      Sites sites,
      UsageIndex usage,
      EntityManager entities,
      ReplacedSince replacedSince,
      Clock clock) {
    this.pages = pages;
    this.gone = gone;
    this.settings = settings;
    this.sites = sites;
    this.usage = usage;
    this.entities = entities;
    this.replacedSince = replacedSince;
    this.clock = clock;
  }

  /**
   * A page that was taken away.
   *
   * @param leadsTo the title of the page that stands for it; empty if none does
   */
  record GoneView(String id, String title, String address, Instant gone, String leadsTo) {}

  /** The pages of a site that were taken away, the last one first. */
  @Transactional(readOnly = true)
  List<GoneView> of(String siteId) {
    Map<String, String> former = settings.formerAddresses(siteId);
    return gone.findBySiteIdOrderByGoneDesc(siteId).stream()
        .map(
            page ->
                new GoneView(
                    page.id(),
                    page.said().title(),
                    page.said().address(),
                    page.gone(),
                    sites
                        .tree(siteId)
                        .find(former.getOrDefault(page.id(), ""))
                        .map(SitePage::title)
                        .orElse("")))
        .toList();
  }

  /**
   * Takes a page away. What is filed under it is filed where it was.
   *
   * @param version of the page where this was decided
   * @param leadsTo the page to which its links and addresses lead from now on; empty for none
   * @throws NotFound if there is no such page
   * @throws Stale if it was changed since
   * @throws BadInput if it is the home page or no page, or links cannot lead there
   */
  @Transactional
  void takeAway(String pageId, long version, String leadsTo) {
    String siteId = sites.siteOf(pageId);
    sites.hold(siteId);
    PageEntity page = pages.findById(pageId).orElseThrow(() -> new NotFound("page", pageId));
    if (page.version() != version) {
      throw new Stale("This page");
    }
    BadInput.require(!page.shared(), "page", "This is a shared part: take its rule away instead");
    String address = page.said().address();
    BadInput.require(
        !address.equals("/"),
        "page",
        "This is the home page: give another page the address / first");
    BadInput.require(
        leadsTo.isEmpty()
            || !leadsTo.equals(pageId) && sites.tree(siteId).find(leadsTo).isPresent(),
        "leadsTo",
        "Links can lead to another page of this site, or nowhere");
    List<String> before = new ArrayList<>();
    settings.leadOn(
        siteId,
        former -> {
          former.forEach(
              (at, to) -> {
                if (to.equals(pageId)) {
                  before.add(at);
                }
              });
          if (!leadsTo.isEmpty()) {
            former.put(pageId, leadsTo);
            former.put(address, leadsTo);
          }
        });
    for (PageEntity other : pages.ofSite(siteId)) {
      if (other.parentId().equals(pageId)) {
        other.file(page.parentId(), other.position());
        pages.save(other);
      }
    }
    gone.save(new GonePage(page, sites.stamp(siteId), clock.instant(), before));
    usage.page(siteId, pageId, Node.of(NodeId.of(pageId), Kind.PAGE, ""));
    pages.delete(page);
    pages.flush();
    sites.refile(siteId);
  }

  /**
   * Brings a page back as it was; see {@link BroughtBack}.
   *
   * @throws NotFound if no such page was taken away
   */
  @Transactional
  void bringBack(String siteId, String pageId) {
    sites.hold(siteId);
    GonePage page =
        gone.findById(pageId)
            .filter(one -> one.siteId().equals(siteId))
            .orElseThrow(() -> new NotFound("page", pageId));
    Node root =
        replacedSince.replaced(
            siteId,
            pageId,
            BroughtBack.page(
                DocumentJson.read(page.document(), Node.class),
                sites.adopted(siteId, page.stamp()),
                sites.adopted(siteId)),
            page.gone());
    PageSaid said = page.said();
    String address = freeAddress(siteId, said.address());
    PageEntity back = new PageEntity(page);
    back.describe(said.withAddress(address));
    back.file(pages.existsById(page.parentId()) ? page.parentId() : "", page.position());
    back.write(DocumentJson.write(root), root.children().size(), clock.instant());
    entities.persist(back);
    gone.delete(page);
    settings.leadOn(
        siteId,
        former -> {
          former.remove(pageId);
          former.remove(address);
          page.former().forEach(at -> former.put(at, pageId));
          if (!address.equals(said.address())) {
            former.put(said.address(), pageId);
          }
        });
    pages.flush();
    sites.refile(siteId);
    usage.page(siteId, pageId, root);
  }

  private String freeAddress(String siteId, String wanted) {
    String free = wanted;
    for (int n = 2; pages.hasAddress(siteId, free); n++) {
      free = wanted + "-" + n;
    }
    return free;
  }
}
