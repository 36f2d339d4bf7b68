package goodbones.server.finishes;

import goodbones.document.Catalogue;
import goodbones.server.problems.BadInput;
import goodbones.server.sites.Sites;
import goodbones.style.AllFinishes;
import goodbones.style.Finishes;
import goodbones.style.NamedStyle;
import goodbones.style.Scheme;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import java.util.UUID;

/** The finishes as they stand when a step is read. */
final class StepAim {
  private final AllFinishes finishes;
  private final Sites sites;

  StepAim(AllFinishes finishes, Sites sites) {
    this.finishes = finishes;
    this.sites = sites;
  }

  Finishes house() {
    return finishes.house();
  }

  /** The finishes as a site has them; the house's for an empty id. */
  SiteFinishes of(String site) {
    return finishes.of(site);
  }

  String siteName(String site) {
    return sites.get(site).name();
  }

  /**
   * @throws BadInput if there is none
   */
  Token token(String id) {
    return house()
        .token(id)
        .orElseThrow(() -> new BadInput("token", "There is no token “" + id + "” any more"));
  }

  /**
   * @throws BadInput if there is none
   */
  Scheme scheme(String id) {
    return house()
        .scheme(id)
        .orElseThrow(() -> new BadInput("scheme", "There is no scheme “" + id + "” any more"));
  }

  /**
   * @throws BadInput if there is none
   */
  NamedStyle style(String site, String id) {
    return of(site)
        .namedStyle(id)
        .orElseThrow(() -> new BadInput("style", "There is no named style “" + id + "” any more"));
  }

  /**
   * A name without the space around it.
   *
   * @throws BadInput if nothing or too much is left
   */
  static String name(String typed) {
    String name = typed.strip();
    if (name.isEmpty() || name.length() > Catalogue.NAME_LIMIT) {
      throw new BadInput("name", "Give it a name of 1 to " + Catalogue.NAME_LIMIT + " characters");
    }
    return name;
  }

  static String fresh() {
    return UUID.randomUUID().toString();
  }
}
