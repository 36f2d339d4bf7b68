package goodbones.server.sites;

import goodbones.document.Catalogue;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Placements;
import goodbones.library.Shown;
import goodbones.library.SiteFillings;
import goodbones.server.documents.DocumentJson;
import goodbones.server.library.Pieces;
import goodbones.server.library.UsageIndex;
import goodbones.server.memory.Memory;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.NotFound;
import goodbones.server.problems.Stale;
import goodbones.site.Addresses;
import goodbones.site.PageKind;
import goodbones.site.PageTree;
import jakarta.persistence.EntityManager;
import jakarta.persistence.PersistenceException;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The clients' sites with their pages and adopted revisions. */
@Service
public class Sites {
  private static final int TITLE_LIMIT = 120;

  /** Of the documents that are remembered. */
  private static final int MOST_NODES = 2_000_000;

  /** Of the trees of pages that are remembered. */
  private static final int MOST_PAGES = 100_000;

  private final SiteRepository sites;
  private final PageRepository pages;
  private final GonePageRepository gone;
  private final UsageIndex usage;
  private final AdoptedRepository adopted;
  private final AdoptionRepository adoptions;
  private final FilledSlots filled;
  private final Pieces pieces;
  private final EntityManager entities;
  private final Clock clock;
  private final Memory<Written, Node> roots = new Memory<>(MOST_NODES, Node::size);

  private final Memory<Filed, PageTree> trees = new Memory<>(MOST_PAGES, tree -> tree.all().size());

  private record Written(String pageId, long version) {}

  /** What pages a site has is what its stamp says. */
  private record Filed(String siteId, long filed) {}

  Sites(
      SiteRepository sites,
      PageRepository pages,
      GonePageRepository gone,
      UsageIndex usage,
      AdoptedRepository adopted,
      AdoptionRepository adoptions,
      FilledSlots filled,
      Pieces pieces,
      EntityManager entities,
      Clock clock) {
    this.sites = sites;
    this.pages = pages;
    this.gone = gone;
    this.usage = usage;
    this.adopted = adopted;
    this.adoptions = adoptions;
    this.filled = filled;
    this.pieces = pieces;
    this.entities = entities;
    this.clock = clock;
  }

  @Transactional(readOnly = true)
  public List<SiteInfo> all() {
    return sites.findAllByOrderByName().stream().map(SiteEntity::info).toList();
  }

  /**
   * @throws NotFound if there is no such site
   */
  @Transactional(readOnly = true)
  public SiteInfo get(String id) {
    return sites.findById(id).orElseThrow(() -> new NotFound("site", id)).info();
  }

  /** All that a site shows: its pages, and the parts that they share. */
  @Transactional(readOnly = true)
  public List<PageState> documents(String siteId) {
    return pages.findBySiteIdOrderByAddress(siteId).stream().map(this::state).toList();
  }

  /** The pages of a site, without the parts that they share, by address. */
  @Transactional(readOnly = true)
  public List<PageState> pages(String siteId) {
    return documents(siteId).stream().filter(page -> !page.shared()).toList();
  }

  /** The pages of a site without their documents, in their order. */
  @Transactional(readOnly = true)
  public List<PageInfo> pageInfos(String siteId) {
    return pages.infos(siteId).stream().filter(page -> !page.shared()).toList();
  }

  /** The same, and the parts that they share. */
  @Transactional(readOnly = true)
  public List<PageInfo> documentInfos(String siteId) {
    return pages.infos(siteId);
  }

  /** When a page of a site, or a part that they share, was written or taken away last. */
  @Transactional(readOnly = true)
  public Optional<Instant> lastChanged(String siteId) {
    return Stream.of(pages.lastChanged(siteId), gone.lastGone(siteId))
        .flatMap(Optional::stream)
        .max(Comparator.naturalOrder());
  }

  /** The pages of a site as a tree. */
  @Transactional(readOnly = true)
  public PageTree tree(String siteId) {
    return trees.get(
        new Filed(siteId, sites.filed(siteId).orElse(0L)),
        () -> new PageTree(pages.filed(siteId).stream().map(FiledPage::page).toList()));
  }

  /** The pages of all sites by their names, by site and address. */
  @Transactional(readOnly = true)
  public List<PageName> pageNames() {
    return pages.names();
  }

  /** The shared parts of a site, by title. */
  @Transactional(readOnly = true)
  public List<PageName> sharedParts(String siteId) {
    return pages.shared(siteId);
  }

  /** How many pages each site has, by the ids of the sites. */
  @Transactional(readOnly = true)
  Map<String, PageCount> pageCounts() {
    return pages.counts().stream().collect(Collectors.toMap(PageCount::siteId, each -> each));
  }

  /** The ids of the home pages, by the ids of the sites. */
  @Transactional(readOnly = true)
  Map<String, String> homes() {
    return pages.homes().stream().collect(Collectors.toMap(PageName::siteId, PageName::id));
  }

  /**
   * @throws NotFound if there is no such page
   */
  @Transactional(readOnly = true)
  public String pageTitle(String id) {
    return pages.title(id).orElseThrow(() -> new NotFound("page", id));
  }

  /** What some pages are called, by their ids; what is not there is left out. */
  @Transactional(readOnly = true)
  public Map<String, String> pageTitles(Collection<String> ids) {
    return ids.isEmpty()
        ? Map.of()
        : pages.names(ids).stream().collect(Collectors.toMap(PageName::id, PageName::title));
  }

  /**
   * @throws NotFound if there is no such page
   */
  @Transactional(readOnly = true)
  public long pageVersion(String id) {
    return pages.version(id).orElseThrow(() -> new NotFound("page", id));
  }

  /** The versions of a site's pages, by their ids. */
  @Transactional(readOnly = true)
  public Map<String, Long> pageVersions(String siteId) {
    return pages.versions(siteId).stream()
        .collect(Collectors.toMap(PageVersion::id, PageVersion::version));
  }

  /**
   * @throws NotFound if there is no such page
   */
  @Transactional(readOnly = true)
  public PageState page(String id) {
    return state(entity(id));
  }

  private PageState state(PageEntity page) {
    return page.state(
        roots.get(
            new Written(page.id(), page.version()),
            () -> DocumentJson.read(page.document(), Node.class)));
  }

  private PageEntity entity(String id) {
    return pages.findById(id).orElseThrow(() -> new NotFound("page", id));
  }

  @Transactional(readOnly = true)
  public Adopted adopted(String siteId) {
    return new Adopted(
        adopted.findByIdSiteId(siteId).stream()
            .collect(Collectors.toMap(AdoptedRow::pieceId, AdoptedRow::revision)),
        filled.of(siteId));
  }

  /** What every site has adopted, by the ids of the sites. */
  @Transactional(readOnly = true)
  public Map<String, Adopted> adopted() {
    Map<String, Map<String, Integer>> revisions = new HashMap<>();
    adopted
        .findAll()
        .forEach(
            row ->
                revisions
                    .computeIfAbsent(row.siteId(), id -> new HashMap<>())
                    .put(row.pieceId(), row.revision()));
    Map<String, Adopted> all = new HashMap<>();
    Map<String, SiteFillings> fillings = filled.all();
    revisions.forEach(
        (site, its) ->
            all.put(site, new Adopted(its, fillings.getOrDefault(site, SiteFillings.NONE))));
    return all;
  }

  /** What a site had adopted when it had a stamp. */
  @Transactional(readOnly = true)
  public Adopted adopted(String siteId, long stamp) {
    Adopted now = adopted(siteId);
    Map<String, Integer> then = new HashMap<>(now.revisions());
    for (AdoptionRow change :
        adoptions.findByIdSiteIdAndIdStampGreaterThanOrderByIdStampDesc(siteId, stamp)) {
      if (change.earlier() == 0) {
        then.remove(change.pieceId());
      } else {
        then.put(change.pieceId(), change.earlier());
      }
    }
    return new Adopted(then, now.fillings());
  }

  /** Grows with every change of what a site has adopted. */
  @Transactional(readOnly = true)
  public long stamp(String siteId) {
    return site(siteId).stamp();
  }

  /**
   * The site of a page, without reading the page.
   *
   * @throws NotFound if there is no such page
   */
  @Transactional(readOnly = true)
  public String siteOf(String pageId) {
    return pages.siteId(pageId).orElseThrow(() -> new NotFound("page", pageId));
  }

  /** The stamp of the site of a page. */
  @Transactional(readOnly = true)
  public long stampOf(String pageId) {
    return pages.stamp(pageId).orElseThrow(() -> new NotFound("page", pageId));
  }

  private SiteEntity site(String id) {
    return sites.findById(id).orElseThrow(() -> new NotFound("site", id));
  }

  /**
   * Keeps others from changing what a site has adopted, and from keeping edits of its pages, until
   * the transaction ends.
   *
   * @throws NotFound if there is no such site
   */
  @Transactional
  public void hold(String siteId) {
    entities.refresh(sites.held(siteId).orElseThrow(() -> new NotFound("site", siteId)));
  }

  @Transactional(readOnly = true)
  public Shown shown(PageState page) {
    return Shown.of(page.root(), adopted(page.siteId()), pieces);
  }

  /** The pictures that stand for pages, each as often as it does. */
  @Transactional(readOnly = true)
  public List<String> pagePictures() {
    return pages.pictures();
  }

  /** Takes a new site in; one with an id that is taken makes the transaction fail. */
  @Transactional
  public void add(SiteInfo site) {
    try {
      entities.persist(new SiteEntity(site));
      entities.flush();
    } catch (PersistenceException taken) {
      throw new DataIntegrityViolationException("a site with that id was made just now", taken);
    }
  }

  @Transactional
  public void addPage(
      String id, String siteId, String title, String address, String description, Node root) {
    Catalogue.require(root);
    Adopted here = adopted(siteId);
    Node settled =
        Placements.mapped(
            root,
            (path, placement) ->
                bound(
                    placement,
                    here.revisions()
                        .getOrDefault(placement.pieceId(), pieces.current(placement.pieceId()))));
    PageEntity page = new PageEntity(id, siteId, title, address, description);
    if (address.equals("/")) {
      page.describe(new PageSaid(title, address, description, "", PageKind.HOME, true));
    }
    page.file("", (int) pages.countBySiteId(siteId));
    page.write(DocumentJson.write(settled), settled.children().size(), clock.instant());
    pages.saveAndFlush(page);
    refile(siteId);
    usage.page(siteId, id, settled);
    adoptPlaced(siteId, settled);
  }

  private static Placement bound(Placement placement, int current) {
    Placement bound = placement.bound() == 0 ? placement.withBound(current) : placement;
    return bound.made(current);
  }

  /** Notes that the pages of a site are others now, or that something else is said of them. */
  void refile(String siteId) {
    sites.refile(siteId);
  }

  /**
   * Takes in something that stands around the content of pages.
   *
   * @return its id
   */
  @Transactional
  public String addShared(String siteId, String title, Function<NodeId, Node> begins) {
    get(siteId);
    String id = UUID.randomUUID().toString();
    addPage(id, siteId, title, "shared:" + id, "", begins.apply(NodeId.of(id)));
    PageEntity part = entity(id);
    part.share();
    pages.saveAndFlush(part);
    refile(siteId);
    return id;
  }

  /** Of a piece that is placed here for the first time the site adopts what is placed. */
  private void adoptPlaced(String siteId, Node root) {
    Map<String, Integer> here = new HashMap<>(adopted(siteId).revisions());
    for (Placement placement : Placements.of(root).values()) {
      if (here.putIfAbsent(placement.pieceId(), placement.bound()) == null) {
        adopt(siteId, placement.pieceId(), placement.bound());
      }
    }
  }

  /**
   * Makes an empty page.
   *
   * @param title its address is made of it
   * @return its id
   * @throws BadInput if the title is empty or too long, or the site has a page at that address
   */
  @Transactional
  public String newPage(String siteId, String title) {
    return newPage(siteId, title, id -> Node.of(id, Kind.PAGE, ""));
  }

  /**
   * Makes a page that begins with something.
   *
   * @param title its address is made of it
   * @param begins makes its document, with the id that its root has
   * @return its id
   * @throws BadInput as {@link #newPage(String, String)}
   */
  @Transactional
  public String newPage(String siteId, String title, Function<NodeId, Node> begins) {
    get(siteId);
    String name = title.strip();
    if (name.isEmpty() || name.length() > TITLE_LIMIT) {
      throw new BadInput("title", "Give the page a title of 1 to " + TITLE_LIMIT + " characters");
    }
    String address = "/" + Addresses.of(name, "page");
    if (pages.hasAddress(siteId, address)) {
      throw new BadInput(
          "title", "There is a page at " + address + " already; give this one another title");
    }
    String id = UUID.randomUUID().toString();
    addPage(id, siteId, name, address, "", begins.apply(NodeId.of(id)));
    return id;
  }

  /**
   * Replaces a page's document.
   *
   * @return the page with its new version
   * @throws Stale if the page was changed since that version
   */
  @Transactional
  public PageState write(String pageId, long version, Node root) {
    PageEntity page = entity(pageId);
    if (page.version() != version) {
      throw new Stale("“" + page.title() + "”");
    }
    page.write(DocumentJson.write(root), root.children().size(), clock.instant());
    pages.saveAndFlush(page);
    roots.put(new Written(pageId, page.version()), root);
    usage.page(page.siteId(), pageId, root);
    adoptPlaced(page.siteId(), root);
    return page.state(root);
  }

  /** Switches the revision of a piece that a site shows. */
  @Transactional
  public void adopt(String siteId, String pieceId, int revision) {
    SiteEntity site = site(siteId);
    AdoptedRow.Key key = new AdoptedRow.Key(siteId, pieceId);
    int earlier = adopted.findById(key).map(AdoptedRow::revision).orElse(0);
    adoptions.save(new AdoptionRow(new AdoptionRow.Key(siteId, site.raise(), pieceId), earlier));
    sites.save(site);
    adopted.save(new AdoptedRow(key, revision));
  }

  /**
   * Fills slots of the whole site.
   *
   * @param changes empty for those that are filled no more
   */
  @Transactional
  public void fill(String siteId, SortedMap<LocalKey, Optional<FieldValue>> changes) {
    SiteEntity site = site(siteId);
    filled.fill(siteId, changes, site.raise());
    sites.save(site);
  }

  /** The slots of the whole site that were filled after it had a stamp. */
  @Transactional(readOnly = true)
  public Set<LocalKey> filledSince(String siteId, long stamp) {
    return filled.since(siteId, stamp);
  }
}
