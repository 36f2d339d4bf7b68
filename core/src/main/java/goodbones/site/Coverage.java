package goodbones.site;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Which shared part every page gets in every region, and why. */
public final class Coverage {
  private final PageTree tree;
  private final List<CoverageRule> rules;

  /**
   * @param rules in the order in which bands stand below each other
   */
  public Coverage(PageTree tree, List<CoverageRule> rules) {
    this.tree = tree;
    this.rules = List.copyOf(rules);
  }

  /**
   * A rule that does not win.
   *
   * @param reason in words
   */
  public record Lost(CoverageRule rule, String reason) {}

  /**
   * What comes of all rules for one region of one page.
   *
   * @param winner empty if no rule is for the page
   * @param reason in words, why this one, or why none
   */
  public record Covered(Optional<CoverageRule> winner, String reason, List<Lost> lost) {
    /** The document that stands there; empty for none. */
    public Optional<String> part() {
      return winner.map(CoverageRule::part).filter(part -> !part.isEmpty());
    }
  }

  /**
   * Two rules, equally narrow, for the same region of the same page.
   *
   * @param pageId the first page that both are for
   */
  public record Clash(CoverageRule one, CoverageRule other, String pageId) {}

  /** Everything that rules are about, as it stands from the top of a page to its end. */
  public List<CoverageRule.Spot> spots() {
    Set<CoverageRule.Spot> spots = new LinkedHashSet<>();
    rules.stream()
        .map(CoverageRule::spot)
        .sorted(Comparator.comparing(CoverageRule.Spot::region))
        .forEach(spots::add);
    return List.copyOf(spots);
  }

  public Covered of(String pageId, CoverageRule.Spot spot) {
    Optional<SitePage> page = tree.find(pageId);
    List<Lost> lost = new ArrayList<>();
    List<CoverageRule> open = new ArrayList<>();
    for (CoverageRule rule : rules) {
      if (!rule.spot().equals(spot) || page.isEmpty() || !rule.scope().holds(page.get(), tree)) {
        continue;
      }
      if (rule.except().contains(pageId)) {
        lost.add(new Lost(rule, "this page is an exception of it"));
      } else {
        open.add(rule);
      }
    }
    Optional<CoverageRule> winner =
        open.stream().max(Comparator.comparingInt(rule -> rule.scope().narrowness(tree)));
    winner.ifPresent(
        won ->
            open.stream()
                .filter(rule -> rule != won)
                .forEach(
                    rule ->
                        lost.add(
                            new Lost(
                                rule,
                                "the rule for "
                                    + words(won)
                                    + (rule.scope().narrowness(tree) < won.scope().narrowness(tree)
                                        ? " is more specific"
                                        : " is as specific: one of them has to go")))));
    String reason =
        winner
            .map(rule -> "The rule for " + words(rule) + (rule.part().isEmpty() ? ": none" : ""))
            .orElse(lost.isEmpty() ? "No rule is for this page" : "This page is an exception");
    return new Covered(winner, reason, List.copyOf(lost));
  }

  private String words(CoverageRule rule) {
    return rule.scope().words(tree);
  }

  /** Every pair of rules of which neither is more specific at a page, once each. */
  public List<Clash> clashes() {
    List<Clash> clashes = new ArrayList<>();
    for (int i = 0; i < rules.size(); i++) {
      for (int j = i + 1; j < rules.size(); j++) {
        CoverageRule one = rules.get(i);
        CoverageRule other = rules.get(j);
        if (one.spot().equals(other.spot())
            && one.scope().narrowness(tree) == other.scope().narrowness(tree)) {
          tree.all().stream()
              .filter(page -> isFor(one, page) && isFor(other, page))
              .findFirst()
              .ifPresent(page -> clashes.add(new Clash(one, other, page.id())));
        }
      }
    }
    return clashes;
  }

  private boolean isFor(CoverageRule rule, SitePage page) {
    return rule.scope().holds(page, tree) && !rule.except().contains(page.id());
  }

  /**
   * What stands around each page, without the reasons.
   *
   * @return the shared parts by where they stand, from the top of a page to its end, by the page's
   *     id, in the order of the pages
   */
  public Map<String, Map<CoverageRule.Spot, String>> standing() {
    Map<CoverageRule.Spot, List<CoverageRule>> narrowestFirst = new LinkedHashMap<>();
    for (CoverageRule.Spot spot : spots()) {
      narrowestFirst.put(
          spot,
          rules.stream()
              .filter(rule -> rule.spot().equals(spot))
              .sorted(
                  Comparator.comparingInt((CoverageRule rule) -> rule.scope().narrowness(tree))
                      .reversed())
              .toList());
    }
    Map<String, Map<CoverageRule.Spot, String>> standing = new LinkedHashMap<>();
    for (SitePage page : tree.all()) {
      Map<CoverageRule.Spot, String> parts = new LinkedHashMap<>();
      narrowestFirst.forEach(
          (spot, open) ->
              open.stream()
                  .filter(rule -> isFor(rule, page))
                  .findFirst()
                  .map(CoverageRule::part)
                  .filter(part -> !part.isEmpty())
                  .ifPresent(part -> parts.put(spot, part)));
      standing.put(page.id(), parts);
    }
    return standing;
  }

  /** The ids of the pages on which each shared part stands, in the order of the pages. */
  public Map<String, List<String>> pagesOfParts() {
    Map<String, List<String>> pages = new LinkedHashMap<>();
    standing()
        .forEach(
            (page, parts) ->
                Set.copyOf(parts.values())
                    .forEach(
                        part -> pages.computeIfAbsent(part, id -> new ArrayList<>()).add(page)));
    return pages;
  }

  /** The ids of the pages on which a shared part stands. */
  public List<String> pagesOf(String part) {
    return pagesOfParts().getOrDefault(part, List.of());
  }
}
