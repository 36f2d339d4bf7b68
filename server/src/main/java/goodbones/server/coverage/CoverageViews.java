package goodbones.server.coverage;

import goodbones.site.Coverage;
import goodbones.site.CoverageRule;
import goodbones.site.PageTree;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Map;

/** What is told of coverage, and asked. */
final class CoverageViews {
  private CoverageViews() {}

  /** Rules in the place of all that there are, on a version of them. */
  record RulesRequest(long version, @NotNull List<@Valid Rule> rules) {}

  /** What rules are about. */
  record SpotView(String region, String band, String title) {}

  /**
   * A rule with what it comes to.
   *
   * @param words the pages that it is for, in words
   * @param title what it gives; empty for none
   * @param pages on how many pages it wins
   */
  record RuleView(Rule rule, String words, String title, int pages) {}

  /** A rule that does not win at a page. */
  record LostView(String rule, String words, String reason) {}

  /**
   * What stands in one region of one page.
   *
   * @param rule the id of the rule that wins; empty if none does
   * @param part the id of the shared part; empty for none
   */
  record CellView(String rule, String part, String title, String reason, List<LostView> lost) {}

  /**
   * @param cells one for each of the spots, in their order
   */
  record PageCells(String id, String title, int depth, List<CellView> cells) {}

  /** A shared part, whether a page shows it or not. */
  record SharedPartView(String id, String title, int pages) {}

  /**
   * @param faults why these rules cannot be kept, in words; empty if they can
   */
  record CoverageView(
      long version,
      List<SpotView> spots,
      List<RuleView> rules,
      List<PageCells> pages,
      List<SharedPartView> parts,
      List<String> faults) {}

  static CoverageView of(
      long version,
      PageTree tree,
      Coverage coverage,
      List<CoverageRule> rules,
      Map<String, String> titles,
      List<String> faults) {
    List<CoverageRule.Spot> spots = coverage.spots();
    Map<String, List<String>> pagesOf = coverage.pagesOfParts();
    List<PageCells> pages =
        tree.all().stream()
            .map(
                page ->
                    new PageCells(
                        page.id(),
                        page.title(),
                        tree.depth(page.id()),
                        spots.stream()
                            .map(spot -> cell(coverage.of(page.id(), spot), titles, tree))
                            .toList()))
            .toList();
    return new CoverageView(
        version,
        spots.stream()
            .map(spot -> new SpotView(spot.region().word(), spot.band(), spot.title()))
            .toList(),
        rules.stream()
            .map(
                rule ->
                    new RuleView(
                        Rule.of(rule),
                        rule.scope().words(tree),
                        titles.getOrDefault(rule.part(), ""),
                        (int)
                            pages.stream()
                                .flatMap(page -> page.cells().stream())
                                .filter(cell -> cell.rule().equals(rule.id()))
                                .count()))
            .toList(),
        pages,
        titles.entrySet().stream()
            .filter(part -> !part.getKey().startsWith("piece:"))
            .sorted(Map.Entry.comparingByValue())
            .map(
                part ->
                    new SharedPartView(
                        part.getKey(),
                        part.getValue(),
                        pagesOf.getOrDefault(part.getKey(), List.of()).size()))
            .toList(),
        faults);
  }

  private static CellView cell(
      Coverage.Covered covered, Map<String, String> titles, PageTree tree) {
    return new CellView(
        covered.winner().map(CoverageRule::id).orElse(""),
        covered.part().orElse(""),
        covered.part().map(part -> titles.getOrDefault(part, "")).orElse(""),
        covered.reason(),
        covered.lost().stream()
            .map(
                lost ->
                    new LostView(lost.rule().id(), lost.rule().scope().words(tree), lost.reason()))
            .toList());
  }
}
