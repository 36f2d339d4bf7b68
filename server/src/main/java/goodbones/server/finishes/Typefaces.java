package goodbones.server.finishes;

import goodbones.document.FamilyNames;
import goodbones.document.StyleProperty;
import goodbones.fonts.FontCatalogue;
import goodbones.fonts.FontClass;
import goodbones.fonts.FontFamily;
import goodbones.server.finishes.FinishesViews.FamilyView;
import goodbones.server.finishes.FinishesViews.FontsView;
import goodbones.server.finishes.FinishesViews.MissingFont;
import goodbones.server.fonts.ClientFontView;
import goodbones.server.fonts.Fonts;
import goodbones.server.reach.SiteLooks;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import goodbones.survey.Place;
import goodbones.survey.Setting;
import goodbones.survey.SiteLook;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The families that a site can be set in, and those that it names and that are not there. */
@Service
class Typefaces {
  private static final int NORMAL = 400;
  private final Fonts fonts;
  private final FinishesStore finishes;
  private final SiteLooks looks;

  Typefaces(Fonts fonts, FinishesStore finishes, SiteLooks looks) {
    this.fonts = fonts;
    this.finishes = finishes;
    this.looks = looks;
  }

  @Transactional(readOnly = true)
  public FontsView of(String siteId) {
    List<ClientFontView> own = fonts.ofSite(siteId);
    Stream<FamilyView> ownFamilies =
        own.stream().collect(Collectors.groupingBy(ClientFontView::family)).entrySet().stream()
            .map(
                e -> {
                  FontClass type = FontCatalogue.classOf(e.getKey(), "");
                  return new FamilyView(
                      e.getKey(),
                      type.word(),
                      e.getValue().stream().mapToInt(ClientFontView::least).min().orElse(NORMAL),
                      e.getValue().stream().mapToInt(ClientFontView::greatest).max().orElse(NORMAL),
                      e.getKey() + ", " + type.generic(),
                      true);
                });
    Stream<FamilyView> shipped =
        FontCatalogue.families().stream()
            .map(
                f ->
                    new FamilyView(
                        f.name(), f.type().word(), f.least(), f.greatest(), f.stack(), false));
    List<FamilyView> families = Stream.concat(ownFamilies, shipped).toList();
    return new FontsView(families, own, missing(siteId, finishes.draftFor(siteId), families));
  }

  private List<MissingFont> missing(String siteId, SiteFinishes site, List<FamilyView> families) {
    List<MissingFont> missing = new ArrayList<>();
    for (Token token : site.tokens()) {
      if (token.type() == TokenType.FONT_FAMILY && !token.retired()) {
        String stack = site.worth(token.id()).css();
        String family = FamilyNames.of(stack).get(0);
        boolean there = families.stream().anyMatch(f -> f.name().equalsIgnoreCase(family));
        boolean aliased = site.worth(token.id()).chain().size() > 1;
        if (!there && !aliased) {
          missing.add(substitute(token, family, stack, weight(siteId, token, site)));
        }
      }
    }
    return missing;
  }

  /** The weight in which most words are set through a token. */
  private int weight(String siteId, Token token, SiteFinishes site) {
    if (siteId.isEmpty()) {
      return NORMAL;
    }
    SiteLook look = looks.of(siteId, site);
    Set<Place> places = new HashSet<>();
    for (Setting setting : look.settingsThrough(token.id(), site)) {
      if (setting.property() == StyleProperty.FONT_FAMILY) {
        look.uses(setting)
            .forEach((page, nodes) -> nodes.keySet().forEach(n -> places.add(new Place(page, n))));
      }
    }
    Map<String, Integer> counts = new HashMap<>();
    look.pairs()
        .forEach(
            (pair, there) -> {
              int shared = (int) there.stream().filter(places::contains).count();
              counts.merge(pair.weight().css(site), shared, Integer::sum);
            });
    return counts.entrySet().stream()
        .max(Map.Entry.comparingByValue())
        .map(Map.Entry::getKey)
        .filter(css -> css.matches("\\d+"))
        .map(Integer::parseInt)
        .orElse(NORMAL);
  }

  private static MissingFont substitute(Token token, String family, String stack, int weight) {
    List<String> names = FamilyNames.of(stack);
    List<String> rest = names.subList(1, names.size());
    FontClass type = FontCatalogue.classOf(family, FamilyNames.stack(rest));
    Optional<FontFamily> named =
        rest.stream().map(FontCatalogue::named).flatMap(Optional::stream).findFirst();
    FontFamily nearest =
        named.orElseGet(() -> FontCatalogue.nearest(type, weight, FontCatalogue.widthOf(family)));
    return new MissingFont(
        family,
        token.id(),
        token.name(),
        nearest.name(),
        nearest.stack(),
        named.isPresent()
            ? "named next in the stack"
            : "the nearest " + type.word() + " in weight " + weight);
  }
}
