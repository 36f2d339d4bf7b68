package goodbones.server.coverage;

import goodbones.server.problems.BadInput;
import goodbones.site.CoverageRule;
import goodbones.site.PageKind;
import goodbones.site.Region;
import goodbones.site.Scope;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Set;

/**
 * A rule of coverage as it is asked for and kept.
 *
 * @param id empty for a new one
 * @param region by its word
 * @param band the name of a band; empty for another region
 * @param scope site, kind, branch or page
 * @param of the word of the kind, or the id of the page; empty for the whole site
 * @param except the ids of the pages that it leaves out
 * @param part the id of the shared part that it gives; empty if these pages have none there
 * @param piece a piece of which a new shared part is made; empty for none
 */
record Rule(
    @NotNull String id,
    @NotNull String region,
    @NotNull String band,
    @NotNull String scope,
    @NotNull String of,
    @NotNull List<String> except,
    @NotNull String part,
    @NotNull String piece) {
  private static final int BAND_LIMIT = 60;

  static Rule of(CoverageRule rule) {
    String scope = "site";
    String of = "";
    if (rule.scope() instanceof Scope.OfKind kind) {
      scope = "kind";
      of = kind.kind().word();
    } else if (rule.scope() instanceof Scope.Branch branch) {
      scope = "branch";
      of = branch.pageId();
    } else if (rule.scope() instanceof Scope.OnePage page) {
      scope = "page";
      of = page.pageId();
    }
    return new Rule(
        rule.id(),
        rule.region().word(),
        rule.band(),
        scope,
        of,
        rule.except().stream().sorted().toList(),
        rule.part(),
        "");
  }

  /**
   * @throws BadInput if a word is not known, or a band has no name
   */
  CoverageRule rule() {
    Region place = BadInput.known("region", region, Region::ofWord);
    if (place.isBand() && (band.isBlank() || band.length() > BAND_LIMIT)) {
      throw new BadInput("band", "Give the band a name of 1 to " + BAND_LIMIT + " characters");
    }
    return new CoverageRule(
        id, place, place.isBand() ? band.strip() : "", pages(), Set.copyOf(except), part);
  }

  private Scope pages() {
    return switch (scope) {
      case "site" -> new Scope.WholeSite();
      case "kind" -> new Scope.OfKind(BadInput.known("of", of, PageKind::ofWord));
      case "branch" -> new Scope.Branch(of);
      case "page" -> new Scope.OnePage(of);
      default ->
          throw new BadInput("scope", "A rule is for site, kind, branch or page, not " + scope);
    };
  }

  Rule withPiece(String other) {
    return new Rule(id, region, band, scope, of, except, "", other);
  }

  Rule withPart(String other) {
    return new Rule(id, region, band, scope, of, except, other, "");
  }
}
