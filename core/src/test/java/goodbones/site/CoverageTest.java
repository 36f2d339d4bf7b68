package goodbones.site;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class CoverageTest {
  private static final CoverageRule.Spot HEADER = new CoverageRule.Spot(Region.HEADER, "");

  private static SitePage page(String id, String parent) {
    return page(id, parent, PageKind.PAGE);
  }

  private static SitePage page(String id, String parent, PageKind kind) {
    return new SitePage(id, "Page " + id, "/" + id, kind, parent, true);
  }

  private static CoverageRule header(String id, Scope scope, String... except) {
    return new CoverageRule(id, Region.HEADER, "", scope, Set.of(except), "part-" + id);
  }

  private static final PageTree TREE =
      new PageTree(
          List.of(
              page("home", "", PageKind.HOME),
              page("services", ""),
              page("kites", "services", PageKind.SERVICE),
              page("repairs", "kites", PageKind.SERVICE),
              page("lost", "", PageKind.ERROR)));

  private static String winner(Coverage coverage, String page) {
    return coverage.of(page, HEADER).winner().map(CoverageRule::id).orElse("none");
  }

  @Test
  void theMostSpecificRuleWins() {
    Coverage coverage =
        new Coverage(
            TREE,
            List.of(
                header("site", new Scope.WholeSite(), "lost"),
                header("kind", new Scope.OfKind(PageKind.SERVICE)),
                header("branch", new Scope.Branch("services")),
                header("deeper", new Scope.Branch("kites")),
                header("one", new Scope.OnePage("repairs"))));
    assertThat(winner(coverage, "home")).isEqualTo("site");
    assertThat(winner(coverage, "services")).isEqualTo("branch");
    assertThat(winner(coverage, "kites")).isEqualTo("deeper");
    assertThat(winner(coverage, "repairs")).isEqualTo("one");
    assertThat(winner(coverage, "lost")).isEqualTo("none");
    assertThat(coverage.of("lost", HEADER).reason()).isEqualTo("This page is an exception");
    assertThat(coverage.of("repairs", HEADER).lost())
        .extracting(lost -> lost.rule().id())
        .containsExactlyInAnyOrder("site", "kind", "branch", "deeper");
    assertThat(coverage.of("kites", HEADER).lost())
        .extracting(Coverage.Lost::reason)
        .containsOnly("the rule for “Page kites” and what is below it is more specific");
    assertThat(coverage.pagesOf("part-site")).containsExactly("home");
    assertThat(coverage.clashes()).isEmpty();
  }

  @Test
  void aRuleThatGivesNothingWinsToo() {
    CoverageRule none =
        new CoverageRule("bare", Region.HEADER, "", new Scope.OnePage("lost"), Set.of(), "");
    Coverage coverage = new Coverage(TREE, List.of(header("site", new Scope.WholeSite()), none));
    assertThat(winner(coverage, "lost")).isEqualTo("bare");
    assertThat(coverage.of("lost", HEADER).part()).isEmpty();
    assertThat(coverage.of("lost", HEADER).reason()).endsWith("none");
  }

  @Test
  void equallySpecificRulesForOnePageClash() {
    List<CoverageRule> rules =
        List.of(
            header("a", new Scope.OfKind(PageKind.SERVICE)),
            header("b", new Scope.OfKind(PageKind.SERVICE), "kites"));
    assertThat(new Coverage(TREE, rules).clashes())
        .containsExactly(new Coverage.Clash(rules.get(0), rules.get(1), "repairs"));
    assertThat(
            new Coverage(
                    TREE,
                    List.of(
                        rules.get(0),
                        header("b", new Scope.OfKind(PageKind.SERVICE), "kites", "repairs")))
                .clashes())
        .isEmpty();
  }

  @Test
  void bandsStandBelowEachOtherUnderTheirNames() {
    CoverageRule notice =
        new CoverageRule(
            "n", Region.BAND_ABOVE, "Notice", new Scope.WholeSite(), Set.of("home"), "notice");
    CoverageRule heading =
        new CoverageRule(
            "h", Region.BAND_ABOVE, "Page heading", new Scope.WholeSite(), Set.of(), "heading");
    Coverage coverage =
        new Coverage(TREE, List.of(notice, heading, header("site", new Scope.WholeSite())));
    assertThat(coverage.clashes()).isEmpty();
    assertThat(coverage.spots())
        .extracting(CoverageRule.Spot::title)
        .containsExactly("Header", "Notice", "Page heading");
    assertThat(coverage.of("home", notice.spot()).part()).isEmpty();
    assertThat(coverage.of("home", heading.spot()).part()).contains("heading");
  }

  @Test
  void aRingOfPagesEndsAtTheTop() {
    PageTree ring = new PageTree(List.of(page("a", "b"), page("b", "a"), page("c", "a")));
    assertThat(ring.all()).hasSize(3);
    assertThat(ring.upwards("c")).containsExactly("c");
  }

  /** A site of up to twelve pages with rules drawn from every region, scope and exception. */
  private static final class Scene {
    private final Random random;
    private final List<SitePage> pages = new ArrayList<>();
    private final List<CoverageRule> rules = new ArrayList<>();

    private Scene(long seed) {
      random = new Random(seed);
      int count = 1 + random.nextInt(12);
      for (int i = 0; i < count; i++) {
        PageKind kind = PageKind.values()[random.nextInt(PageKind.values().length)];
        pages.add(page("p" + i, random.nextInt(3) == 0 ? "" : "p" + random.nextInt(count), kind));
      }
      int most = random.nextInt(14);
      for (int i = 0; i < most; i++) {
        Region region = Region.values()[random.nextInt(Region.values().length)];
        rules.add(
            new CoverageRule(
                "r" + i,
                region,
                region.isBand() ? "band " + random.nextInt(2) : "",
                scope(),
                random
                    .ints(random.nextInt(3), 0, count)
                    .mapToObj(n -> "p" + n)
                    .collect(Collectors.toSet()),
                random.nextInt(4) == 0 ? "" : "part" + i));
      }
    }

    private Scope scope() {
      String any = "p" + random.nextInt(pages.size());
      return switch (random.nextInt(4)) {
        case 0 -> new Scope.WholeSite();
        case 1 -> new Scope.OfKind(PageKind.values()[random.nextInt(PageKind.values().length)]);
        case 2 -> new Scope.Branch(any);
        default -> new Scope.OnePage(any);
      };
    }
  }

  /** The law: one winner or a stated none for every page, whatever the rules and their order. */
  @Test
  void everyPageHasOneWinnerOrAStatedNone() {
    int clashes = 0;
    int none = 0;
    for (long seed = 0; seed < 2_000; seed++) {
      Scene scene = new Scene(seed);
      PageTree tree = new PageTree(scene.pages);
      Coverage coverage = new Coverage(tree, scene.rules);
      Set<CoverageRule> clashing =
          coverage.clashes().stream().map(Coverage.Clash::other).collect(Collectors.toSet());
      clashes += clashing.size();
      List<CoverageRule> kept =
          scene.rules.stream().filter(rule -> !clashing.contains(rule)).toList();
      Coverage sound = new Coverage(tree, kept);
      assertThat(sound.clashes()).as("seed %d", seed).isEmpty();
      List<CoverageRule> turned = new ArrayList<>(kept);
      Collections.reverse(turned);
      Coverage reversed = new Coverage(tree, turned);
      assertThat(tree.all()).as("seed %d: every page once", seed).hasSize(scene.pages.size());
      Map<String, Map<CoverageRule.Spot, String>> standing = sound.standing();
      for (SitePage page : tree.all()) {
        for (CoverageRule.Spot spot : sound.spots()) {
          Coverage.Covered covered = sound.of(page.id(), spot);
          assertThat(covered.reason()).isNotEmpty();
          assertThat(Optional.ofNullable(standing.get(page.id()).get(spot)))
              .as("seed %d: what stands there", seed)
              .isEqualTo(covered.part());
          assertThat(reversed.of(page.id(), spot).winner()).isEqualTo(covered.winner());
          long concerned =
              kept.stream()
                  .filter(rule -> rule.spot().equals(spot) && rule.scope().holds(page, tree))
                  .count();
          assertThat(covered.lost().size() + (covered.winner().isPresent() ? 1 : 0))
              .as("seed %d: every rule that is for %s is the winner or told", seed, page.id())
              .isEqualTo((int) concerned);
          Optional<CoverageRule> won = covered.winner();
          none += won.isPresent() ? 0 : 1;
          won.ifPresent(
              rule ->
                  assertThat(
                          kept.stream()
                              .filter(
                                  other ->
                                      other.spot().equals(spot)
                                          && other.scope().holds(page, tree)
                                          && !other.except().contains(page.id()))
                              .mapToInt(other -> other.scope().narrowness(tree))
                              .max())
                      .hasValue(rule.scope().narrowness(tree)));
        }
      }
    }
    assertThat(clashes).isPositive();
    assertThat(none).isPositive();
  }
}
