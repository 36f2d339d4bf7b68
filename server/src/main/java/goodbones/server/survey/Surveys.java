package goodbones.server.survey;

import goodbones.document.Edit;
import goodbones.layout.Room;
import goodbones.render.Pictured;
import goodbones.server.coverage.Coverages;
import goodbones.server.drawing.Wording;
import goodbones.server.files.ClientFiles;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.memory.Memory;
import goodbones.server.memory.Same;
import goodbones.server.pictures.PictureBook;
import goodbones.server.pictures.Pictures;
import goodbones.server.sites.ClientDetails;
import goodbones.server.sites.PageInfo;
import goodbones.server.sites.PageSettings;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.server.survey.SurveyController.Dangling;
import goodbones.server.survey.SurveyController.FindingView;
import goodbones.server.survey.SurveyController.SurveyedRule;
import goodbones.site.Details;
import goodbones.site.Links;
import goodbones.site.Menu;
import goodbones.site.PageTree;
import goodbones.site.Region;
import goodbones.site.SitePage;
import goodbones.style.SiteFinishes;
import goodbones.survey.Finding;
import goodbones.survey.SiteSurvey;
import goodbones.survey.SurveyRule;
import goodbones.survey.SurveyedDocument;
import goodbones.survey.SurveyedPage;
import goodbones.survey.SurveyedSite;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Surveys sites; what did not change since the last time is not looked at again. */
@Service
public class Surveys {
  private static final int MOST_FINDINGS = 200_000;

  private final Sites sites;
  private final ClientDetails details;
  private final PageSettings settings;
  private final Coverages coverages;
  private final FinishesStore finishes;
  private final Pictures pictures;
  private final ClientFiles files;
  private final Memory<Looked, Found> known = new Memory<>(MOST_FINDINGS, Found::count);

  Surveys(
      Sites sites,
      ClientDetails details,
      PageSettings settings,
      Coverages coverages,
      FinishesStore finishes,
      Pictures pictures,
      ClientFiles files) {
    this.sites = sites;
    this.details = details;
    this.settings = settings;
    this.coverages = coverages;
    this.finishes = finishes;
    this.pictures = pictures;
    this.files = files;
  }

  /** All that the findings in one document, or on one page, depend on. */
  private record Looked(
      String what, List<Placed> read, List<Long> versions, long stamp, Same site, Same look) {}

  /**
   * What was found.
   *
   * @param asked what was known of the pictures that were asked for
   */
  private record Found(Map<String, List<Titled>> byRule, Map<String, Pictured> asked) {
    int count() {
      return byRule.values().stream().mapToInt(List::size).sum() + asked.size();
    }

    boolean holds(PictureBook book) {
      return asked.entrySet().stream()
          .allMatch(each -> each.getValue().equals(book.apply(each.getKey())));
    }
  }

  /**
   * A finding with the title of the node that it is at, so that telling it again reads no document.
   *
   * @param title empty where it is at no node
   */
  private record Titled(Finding finding, String title) {}

  /** What the rules ask of a site, to be compared. */
  private record Known(
      SiteInfo site,
      Details details,
      List<Menu> menus,
      List<SitePage> pages,
      Map<String, Map<String, String>> sections,
      Map<String, String> former,
      Set<String> files) {
    Known without(List<SitePage> others) {
      return new Known(site, details, menus, others, sections, former, files);
    }

    SurveyedSite surveyed(SiteFinishes look, Function<String, Pictured> pictures) {
      Links links = new Links(new PageTree(pages), details, sections, former, files);
      return SurveyedSite.of(links, menus, !site.logo().isEmpty(), look, pictures);
    }
  }

  /** What was known of each site the last time; it is the same object as long as it equals that. */
  private final Map<String, Known> latest = new ConcurrentHashMap<>();

  /** What is found on one page, or in a part that pages share, alone. */
  @Transactional(readOnly = true)
  List<SurveyedRule> ofPage(String pageId) {
    Survey survey = survey(sites.siteOf(pageId));
    survey.lookAt(pageId);
    return survey.told();
  }

  @Transactional(readOnly = true)
  List<SurveyedRule> of(String siteId) {
    Survey survey = survey(siteId);
    survey.tree.all().forEach(page -> survey.lookAt(page.id()));
    return survey.told();
  }

  /**
   * What mends what a rule finds on a site, as far as that needs no choice.
   *
   * @param document the page or shared part to be mended alone; empty for all
   * @param node the thing in it to be mended alone; empty for all
   * @return one edit for each page or shared part that it is made in, by its id
   */
  @Transactional(readOnly = true)
  public Map<String, Edit> mends(String siteId, String rule, String document, String node) {
    Survey survey = survey(siteId);
    if (document.isEmpty()) {
      survey.tree.all().forEach(page -> survey.lookAt(page.id()));
    } else if (survey.infos.containsKey(document)) {
      survey.lookAt(document);
    }
    Map<String, List<Edit>> mends = new LinkedHashMap<>();
    for (Titled titled : survey.found.getOrDefault(rule, Set.of())) {
      Finding finding = titled.finding();
      if (!finding.isAt(document, node)) {
        continue;
      }
      finding
          .mend()
          .ifPresent(
              edit -> mends.computeIfAbsent(finding.document(), id -> new ArrayList<>()).add(edit));
    }
    Map<String, Edit> edits = new LinkedHashMap<>();
    mends.forEach((place, all) -> edits.put(place, new Edit.Group(all)));
    return edits;
  }

  /** What leads to a page, and would lead nowhere without it. */
  @Transactional(readOnly = true)
  Dangling dangling(String pageId) {
    Survey survey = survey(sites.siteOf(pageId));
    return survey.dangling(pageId);
  }

  private Survey survey(String siteId) {
    PageTree tree = sites.tree(siteId);
    Known now =
        new Known(
            sites.get(siteId),
            details.of(siteId),
            details.menus(siteId),
            tree.all(),
            settings.sections(siteId),
            settings.formerAddresses(siteId),
            files.linkable(siteId));
    Known site =
        latest.merge(siteId, now, (before, asked) -> before.equals(asked) ? before : asked);
    return new Survey(siteId, tree, site);
  }

  /** A document with how much of the page's width it has. */
  private record Placed(String document, Room room) {
    static Placed alone(String document) {
      return new Placed(document, Room.WHOLE);
    }
  }

  /** One survey of one site. */
  private final class Survey {
    private final PageTree tree;
    private final Known known;
    private final PictureBook book;
    private Map<String, Pictured> asked = new HashMap<>();
    private final SurveyedSite site;
    private final long stamp;
    private final Function<String, List<Coverages.Standing>> around;
    private final Map<String, PageInfo> infos;
    private final Map<Placed, SurveyedDocument> documents = new HashMap<>();
    private final Map<String, Set<Titled>> found = new HashMap<>();
    private final Set<Placed> looked = new HashSet<>();

    private Survey(String siteId, PageTree tree, Known known) {
      this.tree = tree;
      this.known = known;
      this.book = pictures.book();
      this.site = known.surveyed(finishes.forSite(siteId), this::asked);
      this.stamp = sites.stamp(siteId);
      this.around = coverages.around(siteId, tree);
      this.infos =
          sites.documentInfos(siteId).stream()
              .collect(Collectors.toMap(PageInfo::id, Function.identity()));
    }

    /** A page with what stands around it; a shared part by itself. */
    private void lookAt(String id) {
      boolean isPage = tree.find(id).isPresent();
      List<Placed> read = isPage ? read(id) : wherever(id);
      for (Placed placed : read) {
        if (looked.add(placed)) {
          look("document", List.of(placed), rule -> rule.in(document(placed), site));
        }
      }
      tree.find(id)
          .ifPresent(
              page -> {
                String description = info(id).description();
                look(
                    "page " + description,
                    read,
                    rule ->
                        rule.on(
                            new SurveyedPage(
                                page, description, read.stream().map(this::document).toList()),
                            site));
              });
    }

    /** What links the site finds to lead nowhere without a page, and not with it. */
    private Dangling dangling(String pageId) {
      List<SitePage> others =
          tree.all().stream().filter(each -> !each.id().equals(pageId)).toList();
      SurveyedSite without = known.without(others).surveyed(site.look(), book);
      List<FindingView> links = new ArrayList<>();
      for (String id : infos.keySet()) {
        if (!id.equals(pageId)) {
          SurveyedDocument document = document(Placed.alone(id));
          List<Finding> now = SiteSurvey.LINKS.in(document, site);
          SiteSurvey.LINKS.in(document, without).stream()
              .filter(finding -> !now.contains(finding))
              .map(finding -> view(titled(finding, document)))
              .forEach(links::add);
        }
      }
      return new Dangling(
          links,
          known.menus().stream()
              .filter(menu -> site.links().leads(menu, pageId))
              .map(Menu::name)
              .toList());
    }

    private List<SurveyedRule> told() {
      return SiteSurvey.RULES.stream()
          .map(
              rule ->
                  new SurveyedRule(
                      rule.word(),
                      rule.title(),
                      rule.source(),
                      found.getOrDefault(rule.word(), Set.of()).stream().map(this::view).toList()))
          .toList();
    }

    /** The documents of a page in the order in which they are read. */
    private List<Placed> read(String pageId) {
      List<Coverages.Standing> standing = around.apply(pageId);
      boolean side = Coverages.hasSide(standing);
      List<Placed> read = new ArrayList<>();
      standing.stream()
          .filter(each -> each.region().isBeforeContent())
          .forEach(each -> read.add(new Placed(each.part(), each.region().room(side))));
      read.add(new Placed(pageId, Region.roomOfContent(side)));
      standing.stream()
          .filter(each -> !each.region().isBeforeContent())
          .forEach(each -> read.add(new Placed(each.part(), each.region().room(side))));
      return read.stream().filter(placed -> infos.containsKey(placed.document())).toList();
    }

    /** A shared part in each width that it has on the pages that show it. */
    private List<Placed> wherever(String part) {
      List<Placed> placed =
          tree.all().stream()
              .flatMap(page -> read(page.id()).stream())
              .filter(each -> each.document().equals(part))
              .distinct()
              .toList();
      return placed.isEmpty() ? List.of(Placed.alone(part)) : placed;
    }

    private SurveyedDocument document(Placed placed) {
      return documents.computeIfAbsent(
          placed,
          each -> {
            PageState state = sites.page(each.document());
            return new SurveyedDocument(
                each.document(), state.shared(), sites.shown(state), each.room());
          });
    }

    private PageInfo info(String id) {
      return Objects.requireNonNull(infos.get(id));
    }

    private void look(String what, List<Placed> read, Function<SurveyRule, List<Finding>> by) {
      Looked key =
          new Looked(
              what,
              read,
              read.stream().map(placed -> info(placed.document()).version()).toList(),
              stamp,
              new Same(known),
              new Same(site.look()));
      Found here = Surveys.this.known.known(key).filter(kept -> kept.holds(book)).orElse(null);
      if (here == null) {
        asked = new HashMap<>();
        here =
            new Found(
                SiteSurvey.RULES.stream()
                    .collect(
                        Collectors.toMap(SurveyRule::word, rule -> titled(by.apply(rule), read))),
                asked);
        Surveys.this.known.put(key, here);
      }
      here.byRule()
          .forEach(
              (rule, findings) ->
                  found.computeIfAbsent(rule, word -> new LinkedHashSet<>()).addAll(findings));
    }

    /** What is known of a picture, noted so that it is seen when that changes. */
    private Pictured asked(String id) {
      return asked.computeIfAbsent(id, book);
    }

    private List<Titled> titled(List<Finding> findings, List<Placed> read) {
      return findings.stream()
          .map(
              finding ->
                  read.stream()
                      .filter(placed -> placed.document().equals(finding.document()))
                      .findFirst()
                      .map(placed -> titled(finding, document(placed)))
                      .orElseGet(() -> new Titled(finding, "")))
          .toList();
    }

    private Titled titled(Finding finding, SurveyedDocument document) {
      return new Titled(
          finding, finding.node().flatMap(document.shown()::find).map(Wording::title).orElse(""));
    }

    private FindingView view(Titled titled) {
      Finding finding = titled.finding();
      PageInfo info = info(finding.document());
      return new FindingView(
          info.id(),
          info.title(),
          info.shared(),
          finding.node().map(node -> node.value()).orElse(""),
          titled.title(),
          finding.message(),
          finding.mend().isPresent(),
          finding.unset());
    }
  }
}
