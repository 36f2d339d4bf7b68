package goodbones.server.coverage;

import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.layout.Room;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.Pieces;
import goodbones.server.problems.BadInput;
import goodbones.server.sites.PageName;
import goodbones.server.sites.SiteSheets;
import goodbones.server.sites.Sites;
import goodbones.site.Coverage;
import goodbones.site.CoverageRule;
import goodbones.site.PageTree;
import goodbones.site.Region;
import goodbones.site.Scope;
import goodbones.site.SitePage;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The rules of coverage of each site, and the parts that its pages share. */
@Service
public class Coverages {
  private static final String ABOUT = "coverage";
  private static final Rule[] NONE = {};

  private final SiteSheets sheets;
  private final Sites sites;
  private final Pieces pieces;
  private final FinishesStore finishes;

  Coverages(SiteSheets sheets, Sites sites, Pieces pieces, FinishesStore finishes) {
    this.sheets = sheets;
    this.sites = sites;
    this.pieces = pieces;
    this.finishes = finishes;
  }

  /**
   * A shared part where it stands on a page.
   *
   * @param part the id of its document
   * @param pages on how many pages it stands
   */
  public record Standing(Region region, String band, String part, String title, int pages) {}

  /** What stands around the content of a page, from its top to its end. */
  @Transactional(readOnly = true)
  public List<Standing> around(String siteId, String pageId) {
    return around(siteId, sites.tree(siteId)).apply(pageId);
  }

  /**
   * The same for any page of a site, read once.
   *
   * @return from the id of a page
   */
  @Transactional(readOnly = true)
  public Function<String, List<Standing>> around(String siteId, PageTree tree) {
    List<CoverageRule> rules = rules(siteId);
    if (rules.isEmpty()) {
      return page -> List.of();
    }
    Map<String, Map<CoverageRule.Spot, String>> standing = new Coverage(tree, rules).standing();
    Map<String, String> titles = titles(siteId);
    Map<String, Long> pages =
        standing.values().stream()
            .flatMap(parts -> parts.values().stream().distinct())
            .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
    return page -> {
      List<Standing> around = new ArrayList<>();
      standing
          .getOrDefault(page, Map.of())
          .forEach(
              (spot, part) -> {
                String title = titles.get(part);
                if (title != null) {
                  around.add(
                      new Standing(
                          spot.region(),
                          spot.band(),
                          part,
                          title,
                          pages.getOrDefault(part, 0L).intValue()));
                }
              });
      return around;
    };
  }

  /** The pages on which a shared part stands. */
  @Transactional(readOnly = true)
  public List<String> pagesOf(String siteId, String part) {
    return new Coverage(sites.tree(siteId), rules(siteId)).pagesOf(part);
  }

  /**
   * How much of a page's width a shared part has where it stands first; all if it stands nowhere.
   */
  @Transactional(readOnly = true)
  public Room roomOf(String siteId, String part) {
    return pagesOf(siteId, part).stream()
        .findFirst()
        .map(page -> around(siteId, page))
        .flatMap(
            standing ->
                standing.stream()
                    .filter(each -> each.part().equals(part))
                    .findFirst()
                    .map(each -> each.region().room(hasSide(standing))))
        .orElse(Room.WHOLE);
  }

  /** Whether one of those that stand on a page is a side column. */
  public static boolean hasSide(List<Standing> standing) {
    return standing.stream().anyMatch(each -> each.region() == Region.SIDE);
  }

  private Map<String, String> titles(String siteId) {
    return sites.sharedParts(siteId).stream()
        .collect(Collectors.toMap(PageName::id, PageName::title));
  }

  private SiteSheets.Kept<Rule[]> kept(String siteId) {
    return sheets.read(siteId, ABOUT, Rule[].class, NONE);
  }

  private List<CoverageRule> rules(String siteId) {
    return Arrays.stream(kept(siteId).said()).map(Rule::rule).toList();
  }

  @Transactional(readOnly = true)
  CoverageViews.CoverageView view(String siteId) {
    SiteSheets.Kept<Rule[]> kept = kept(siteId);
    return view(siteId, kept.version(), List.of(kept.said()));
  }

  /** What other rules would come to; nothing is kept. */
  @Transactional(readOnly = true)
  CoverageViews.CoverageView tried(String siteId, List<Rule> rules) {
    return view(siteId, kept(siteId).version(), rules);
  }

  private CoverageViews.CoverageView view(String siteId, long version, List<Rule> asked) {
    PageTree tree = sites.tree(siteId);
    List<CoverageRule> rules = new ArrayList<>();
    for (int i = 0; i < asked.size(); i++) {
      CoverageRule rule = asked.get(i).rule();
      rules.add(
          new CoverageRule(
              rule.id().isEmpty() ? "new-" + i : rule.id(),
              rule.region(),
              rule.band(),
              rule.scope(),
              rule.except(),
              asked.get(i).piece().isEmpty() ? rule.part() : "piece:" + asked.get(i).piece()));
    }
    Map<String, String> titles = new HashMap<>(titles(siteId));
    Map<String, String> names = pieces.names();
    asked.stream()
        .map(Rule::piece)
        .filter(piece -> !piece.isEmpty())
        .forEach(piece -> titles.put("piece:" + piece, names.getOrDefault(piece, piece)));
    return CoverageViews.of(
        version, tree, new Coverage(tree, rules), rules, titles, faults(siteId, tree, asked));
  }

  /**
   * Puts other rules in the place of all that there are.
   *
   * @param version on which they were made
   * @throws BadInput naming two rules of which neither is more specific, or what a rule names and
   *     is not there
   */
  @Transactional
  void put(String siteId, long version, List<Rule> asked) {
    sites.hold(siteId);
    List<String> faults = faults(siteId, sites.tree(siteId), asked);
    if (!faults.isEmpty()) {
      throw new BadInput("rules", String.join("; ", faults));
    }
    List<Rule> rules = new ArrayList<>();
    for (Rule rule : asked) {
      String part = rule.piece().isEmpty() ? rule.part() : madeOf(siteId, rule.piece());
      CoverageRule made = rule.withPart(part).rule();
      rules.add(
          Rule.of(
              new CoverageRule(
                  made.id().isEmpty() ? UUID.randomUUID().toString() : made.id(),
                  made.region(),
                  made.band(),
                  made.scope(),
                  made.except(),
                  part)));
    }
    sheets.write(siteId, ABOUT, version, rules, "What the pages share");
  }

  private static String title(CoverageRule rule) {
    return rule.spot().title();
  }

  private List<String> faults(String siteId, PageTree tree, List<Rule> asked) {
    List<String> faults = new ArrayList<>();
    Map<String, String> parts = titles(siteId);
    Map<String, String> names = pieces.names();
    Set<String> ids = new HashSet<>();
    List<CoverageRule> rules = asked.stream().map(Rule::rule).toList();
    for (int i = 0; i < rules.size(); i++) {
      CoverageRule rule = rules.get(i);
      String piece = asked.get(i).piece();
      if (!rule.id().isEmpty() && !ids.add(rule.id())) {
        faults.add("Two rules go by the id " + rule.id());
      }
      pageOf(rule.scope())
          .filter(page -> tree.find(page).isEmpty())
          .ifPresent(page -> faults.add("A rule is for a page that is not there: choose another"));
      if (!rule.part().isEmpty() && !parts.containsKey(rule.part())) {
        faults.add("A rule gives a part that is not there: choose another");
      }
      if (!piece.isEmpty() && !names.containsKey(piece)) {
        faults.add("A rule gives a piece that is not there: choose another");
      }
    }
    for (Coverage.Clash clash : new Coverage(tree, rules).clashes()) {
      faults.add(
          "Two rules for "
              + title(clash.one())
              + " are equally specific, the one for "
              + clash.one().scope().words(tree)
              + " and the one for "
              + clash.other().scope().words(tree)
              + ", and both are for “"
              + tree.find(clash.pageId()).map(SitePage::title).orElse("")
              + "”: make one an exception there, or take one away");
    }
    return faults;
  }

  private static Optional<String> pageOf(Scope scope) {
    if (scope instanceof Scope.Branch branch) {
      return Optional.of(branch.pageId());
    }
    return scope instanceof Scope.OnePage page ? Optional.of(page.pageId()) : Optional.empty();
  }

  private String madeOf(String siteId, String pieceId) {
    int revision = sites.adopted(siteId).revisions().getOrDefault(pieceId, pieces.toPlace(pieceId));
    finishes.requireShown(
        siteId,
        sites.get(siteId).name(),
        pieces.revision(pieceId, revision).finishes(),
        "“" + pieces.names().get(pieceId) + "”");
    Node placement =
        Node.of(NodeId.of(UUID.randomUUID().toString()), Kind.PLACEMENT, "")
            .withPlacement(Placement.of(pieceId));
    return share(siteId, pieces.names().getOrDefault(pieceId, pieceId), List.of(placement));
  }

  private String share(String siteId, String title, List<Node> stands) {
    return sites.addShared(siteId, title, id -> Node.of(id, Kind.PAGE, "").withChildren(stands));
  }

  /**
   * Gives a piece to a region of some pages, as one more rule.
   *
   * @param band the name of a band; empty for another region
   * @param except the ids of pages that are left out
   */
  @Transactional
  public void give(
      String siteId, Region region, String band, Scope scope, Set<String> except, String pieceId) {
    SiteSheets.Kept<Rule[]> kept = kept(siteId);
    List<Rule> rules = new ArrayList<>(List.of(kept.said()));
    rules.add(Rule.of(new CoverageRule("", region, band, scope, except, "")).withPiece(pieceId));
    put(siteId, kept.version(), rules);
  }

  /**
   * Makes what stands on a page already the shared part of a region, on the whole site; what was
   * there before is kept among the parts that no page shows.
   *
   * @param title what it is called
   * @param stands copies of it, with ids of their own
   * @return the id of the shared part
   */
  @Transactional
  public String shareOnWholeSite(String siteId, String title, Region region, List<Node> stands) {
    sites.hold(siteId);
    String part = share(siteId, title, stands);
    SiteSheets.Kept<Rule[]> kept = kept(siteId);
    List<Rule> rules = new ArrayList<>();
    CoverageRule fresh =
        new CoverageRule(
            UUID.randomUUID().toString(),
            region,
            region.isBand() ? region.title() : "",
            new Scope.WholeSite(),
            Set.of(),
            part);
    for (Rule each : kept.said()) {
      CoverageRule rule = each.rule();
      if (!rule.spot().equals(fresh.spot()) || !(rule.scope() instanceof Scope.WholeSite)) {
        rules.add(each);
      }
    }
    rules.add(Rule.of(fresh));
    sheets.write(siteId, ABOUT, kept.version(), rules, "What the pages share");
    return part;
  }
}
