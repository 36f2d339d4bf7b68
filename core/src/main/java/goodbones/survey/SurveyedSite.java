package goodbones.survey;

import goodbones.document.Bound;
import goodbones.document.FieldValue;
import goodbones.document.PageShown;
import goodbones.render.Pictured;
import goodbones.site.Links;
import goodbones.site.Menu;
import goodbones.site.SitePage;
import goodbones.style.SiteFinishes;
import java.util.Collection;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What the rules of the survey ask of a site besides what its pages show.
 *
 * @param bound what of the client is set
 * @param menus the names of the menus that have links
 * @param look the finishes that it shows
 * @param pictures from a picture's id to what is known of it
 */
public record SurveyedSite(
    Links links,
    Set<Bound> bound,
    Set<String> menus,
    boolean hasLogo,
    boolean hasSocial,
    SiteFinishes look,
    Function<String, Pictured> pictures) {
  public SurveyedSite {
    bound = Set.copyOf(bound);
    menus = Set.copyOf(menus);
  }

  /** What is known of a picture; empty where none is drawn but one that stands in. */
  Optional<Pictured> picture(FieldValue.Picture picture) {
    if (!PageShown.isPicture(picture.pictureId())) {
      return picture.standIn()
          ? Optional.empty()
          : Optional.of(pictures.apply(picture.pictureId()));
    }
    return links
        .page(picture.pictureId())
        .map(SitePage::picture)
        .filter(id -> !id.isEmpty())
        .map(pictures);
  }

  /** What a client's site knows. */
  public static SurveyedSite of(
      Links links,
      Collection<Menu> menus,
      boolean hasLogo,
      SiteFinishes look,
      Function<String, Pictured> pictures) {
    Set<Bound> bound = EnumSet.of(Bound.NAME, Bound.PAGE, Bound.YEAR);
    bound.addAll(links.details().words().keySet());
    Set<String> filled =
        menus.stream()
            .filter(menu -> !menu.items().isEmpty())
            .map(Menu::name)
            .collect(Collectors.toSet());
    return new SurveyedSite(
        links, bound, filled, hasLogo, !links.details().social().isEmpty(), look, pictures);
  }
}
