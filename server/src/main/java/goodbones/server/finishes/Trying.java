package goodbones.server.finishes;

import goodbones.colour.Colour;
import goodbones.colour.Oklch;
import goodbones.document.Catalogue;
import goodbones.document.Kind;
import goodbones.library.Shown;
import goodbones.server.drawing.Frames;
import goodbones.server.finishes.FinishesViews.ColourPair;
import goodbones.server.finishes.FinishesViews.ColourView;
import goodbones.server.finishes.FinishesViews.Tried;
import goodbones.server.problems.BadInput;
import goodbones.server.reach.Measures;
import goodbones.server.reach.ReachViews.ReachView;
import goodbones.server.reach.Reaching;
import goodbones.server.reach.SiteLooks;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.AllFinishes;
import goodbones.style.Scheme;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenProblem;
import goodbones.style.TokenType;
import goodbones.survey.Contrast;
import goodbones.survey.Impact;
import goodbones.survey.Pair;
import goodbones.survey.Setting;
import goodbones.survey.SiteLook;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Draws what an edit of the finishes would look like and says how far it would go; keeps nothing.
 */
@Service
class Trying {
  private static final int STEPS = 11;
  private static final int MOST_PAIRS = 12;
  private final FinishesStore store;
  private final Sites sites;
  private final SiteLooks looks;
  private final Measures measures;
  private final Reaching reaching;
  private final Frames frames;

  Trying(
      FinishesStore store,
      Sites sites,
      SiteLooks looks,
      Measures measures,
      Reaching reaching,
      Frames frames) {
    this.store = store;
    this.sites = sites;
    this.looks = looks;
    this.measures = measures;
    this.reaching = reaching;
    this.frames = frames;
  }

  /** Shows what an edit would look like, without keeping it. */
  @Transactional(readOnly = true)
  public Tried tried(FinishesViews.TryRequest request) {
    AllFinishes before = store.all();
    AllFinishes after;
    try {
      after = before.after(request.edit().read(new StepAim(before, sites)).step()).finishes();
    } catch (TokenProblem | IllegalArgumentException | BadInput refused) {
      String html = html(request.look(), request.page(), before.of(request.look()));
      return new Tried(String.valueOf(refused.getMessage()), "", html, List.of(), null);
    }
    String html = html(request.look(), request.page(), after.of(request.look()));
    Optional<Token> token = after.house().token(request.edit().token());
    String css = token.map(t -> after.of(request.edit().site()).worth(t.id()).css()).orElse("");
    return new Tried(
        "",
        css,
        html,
        token.map(tk -> follows(tk, request, after)).orElse(List.of()),
        isColour(token) ? colour(css) : null);
  }

  /** What follows the token in the look that is drawn; nothing where another value stands there. */
  private static List<FinishesViews.Followers> follows(
      Token token, FinishesViews.TryRequest request, AllFinishes finishes) {
    String scope = request.edit().site();
    boolean concerned =
        scope.equals(request.look())
            || scope.isEmpty() && !finishes.own(request.look()).values().containsKey(token.id());
    if (!concerned) {
      return List.of();
    }
    SiteFinishes look = finishes.of(request.look());
    List<FinishesViews.Followers> follows = new ArrayList<>();
    follows.add(new FinishesViews.Followers(":root", properties(look, token)));
    for (Scheme scheme : look.house().schemes()) {
      follows.add(
          new FinishesViews.Followers(
              "." + scheme.className(), properties(look.in(scheme.id()), token)));
    }
    return follows;
  }

  private static List<String> properties(SiteFinishes look, Token token) {
    return look.followers(token.id()).stream().map(Token::property).toList();
  }

  private static boolean isColour(Optional<Token> token) {
    return token.filter(t -> t.type() == TokenType.COLOR).isPresent();
  }

  /** Says how far an edit would go, without keeping it. */
  @Transactional(readOnly = true)
  public FinishesViews.Reached reached(AskedStep edit) {
    AllFinishes before = store.all();
    AllFinishes after = before.after(edit.read(new StepAim(before, sites)).step()).finishes();
    String scope = edit.site();
    return new FinishesViews.Reached(
        reach(scope, before, after),
        isColour(after.house().token(edit.token()))
            ? pairs(edit.token(), scope, after)
            : List.of());
  }

  private ReachView reach(String scope, AllFinishes before, AllFinishes after) {
    Map<String, Impact> impacts = new LinkedHashMap<>();
    for (SiteInfo site : sites.all()) {
      if (scope.isEmpty() || scope.equals(site.id())) {
        impacts.put(
            site.id(), reaching.impact(site.id(), before.of(site.id()), after.of(site.id())));
      }
    }
    return reaching.view(impacts);
  }

  /** A page, or the specimen for an empty id, in the look of a site. */
  private String html(String siteId, String pageId, SiteFinishes finishes) {
    SiteInfo site = siteId.isEmpty() ? new SiteInfo("", "The house", "en", "") : sites.get(siteId);
    if (pageId.isEmpty()) {
      return frames.html(Specimen.of(site, finishes), finishes, site, site.name());
    }
    PageState page = sites.page(pageId);
    return frames.html(sites.shown(page), finishes, site, page.title());
  }

  @Transactional(readOnly = true)
  public String specimen(String siteId, String pageId) {
    return html(siteId, pageId, store.draftFor(siteId));
  }

  /** A named style, or how every element of a kind looks, in the look of a site. */
  @Transactional(readOnly = true)
  public String sample(String siteId, String styleId) {
    SiteFinishes finishes = store.draftFor(siteId);
    SiteInfo site = site(siteId);
    boolean ofKind = styleId.startsWith(StyleStep.KIND);
    Kind kind =
        ofKind
            ? Kind.ofWord(styleId.substring(StyleStep.KIND.length()))
            : mostUsedOn(styleId)
                .or(() -> finishes.namedStyle(styleId).map(Specimen::kindFor))
                .orElse(Kind.TEXT);
    boolean hasWords = Catalogue.field(kind, "words").isPresent();
    Shown shown =
        Specimen.of(
            site, finishes, hasWords ? kind : Kind.TEXT, ofKind ? List.of() : List.of(styleId));
    return frames.html(shown, finishes, site, site.name());
  }

  /** The kind of element that has a named style most often on the clients' pages. */
  private Optional<Kind> mostUsedOn(String styleId) {
    Map<Kind, Integer> counts = new EnumMap<>(Kind.class);
    for (SiteInfo site : sites.all()) {
      for (Shown page : looks.shown(site.id()).values()) {
        page.root()
            .walk(
                node -> {
                  if (node.namedStyles().contains(styleId)) {
                    counts.merge(node.kind(), 1, Integer::sum);
                  }
                });
      }
    }
    return counts.entrySet().stream().max(Map.Entry.comparingByValue()).map(Map.Entry::getKey);
  }

  private SiteInfo site(String siteId) {
    return siteId.isEmpty() ? new SiteInfo("", "The house", "en", "") : sites.get(siteId);
  }

  private static ColourView colour(String css) {
    Colour colour = Colour.parse(css);
    Oklch oklch = Oklch.of(colour);
    return new ColourView(
        colour.css(),
        oklch.l(),
        oklch.c(),
        oklch.h(),
        colour.alpha(),
        colour.lightnessSteps(STEPS).stream().map(Colour::css).toList());
  }

  private List<ColourPair> pairs(String tokenId, String scope, AllFinishes finishes) {
    Map<List<Object>, ColourPair> pairs = new LinkedHashMap<>();
    for (SiteInfo site : sites.all()) {
      if (scope.isEmpty() || scope.equals(site.id())) {
        sitePairs(site.id(), tokenId, finishes.of(site.id()))
            .forEach(
                pair ->
                    pairs.merge(
                        List.of(pair.role(), pair.text(), pair.ground(), pair.large()),
                        pair,
                        Trying::joined));
      }
    }
    return pairs.values().stream()
        .sorted(Comparator.comparingDouble(p -> p.ratio() / p.least()))
        .limit(MOST_PAIRS)
        .toList();
  }

  private static ColourPair joined(ColourPair a, ColourPair b) {
    ColourPair worse = a.ratio() <= b.ratio() ? a : b;
    return new ColourPair(
        a.role(),
        a.text(),
        a.ground(),
        worse.ratio(),
        a.least(),
        worse.verdict(),
        a.large(),
        a.places() + b.places());
  }

  private List<ColourPair> sitePairs(String siteId, String tokenId, SiteFinishes finishes) {
    SiteLook look = looks.of(siteId, finishes);
    Contrast.Pixels pixels = measures.pixels(siteId);
    List<ColourPair> pairs = new ArrayList<>();
    look.pairs()
        .forEach(
            (pair, places) -> {
              boolean text = through(pair.text(), tokenId, finishes);
              boolean ground =
                  pair.ground().stream()
                      .anyMatch(
                          layer ->
                              layer instanceof Pair.Tint tint
                                      && through(tint.colour(), tokenId, finishes)
                                  || layer instanceof Pair.Blend blend
                                      && through(blend.gradient(), tokenId, finishes));
              if (text || ground) {
                Contrast contrast = Contrast.of(pair, finishes, pixels);
                pairs.add(
                    new ColourPair(
                        text ? "text" : "ground",
                        contrast.text().css(),
                        ContrastSheet.groundCss(pair, contrast, finishes),
                        contrast.ratio().orElse(0.0),
                        contrast.least(),
                        contrast.verdict().name().toLowerCase(),
                        contrast.large(),
                        places.size()));
              }
            });
    return pairs;
  }

  private static boolean through(Setting setting, String tokenId, SiteFinishes finishes) {
    SiteFinishes here = setting.scheme().isEmpty() ? finishes : finishes.in(setting.scheme());
    return here.worth(setting.value()).chain().stream()
        .anyMatch(step -> step.tokenId().equals(tokenId));
  }
}
