package goodbones.server.finishes;

import goodbones.colour.Colour;
import goodbones.document.Device;
import goodbones.document.State;
import goodbones.library.Shown;
import goodbones.server.finishes.FinishesViews.ContrastRow;
import goodbones.server.finishes.FinishesViews.PlaceView;
import goodbones.server.finishes.FinishesViews.Sheet;
import goodbones.server.reach.Measures;
import goodbones.server.reach.Reaching;
import goodbones.server.reach.SiteLooks;
import goodbones.server.sites.Sites;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.survey.Contrast;
import goodbones.survey.Mend;
import goodbones.survey.Pair;
import goodbones.survey.Place;
import goodbones.survey.Setting;
import goodbones.survey.SiteLook;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Every pair of text and ground that is in use on a site, with its contrast and how to mend it. */
@Service
class ContrastSheet {
  private static final int MOST_PLACES = 8;
  private final Sites sites;
  private final FinishesStore finishes;
  private final SiteLooks looks;
  private final Measures measures;

  ContrastSheet(Sites sites, FinishesStore finishes, SiteLooks looks, Measures measures) {
    this.sites = sites;
    this.finishes = finishes;
    this.looks = looks;
    this.measures = measures;
  }

  /** Pairs that come to the same are one row, whatever the device. */
  private static final class Group {
    private final Pair pair;
    private final Contrast contrast;
    private final Set<Device> devices = new LinkedHashSet<>();
    private final Set<State> states = EnumSet.noneOf(State.class);
    private final Set<Place> places = new LinkedHashSet<>();

    Group(Pair pair, Contrast contrast) {
      this.pair = pair;
      this.contrast = contrast;
    }
  }

  @Transactional(readOnly = true)
  public Sheet of(String siteId) {
    sites.get(siteId);
    SiteFinishes site = finishes.forSite(siteId);
    SiteLook look = looks.of(siteId, site);
    Contrast.Pixels pixels = measures.pixels(siteId);
    Map<List<Object>, Group> groups = new LinkedHashMap<>();
    look.pairs()
        .forEach(
            (pair, places) -> {
              Contrast contrast = Contrast.of(pair, site, pixels);
              Group group =
                  groups.computeIfAbsent(
                      List.of(
                          written(pair.text(), site),
                          words(pair, site),
                          contrast.text().css(),
                          pair.place(),
                          contrast.large(),
                          contrast.ratio()),
                      k -> new Group(pair, contrast));
              group.devices.add(pair.device());
              group.states.add(pair.state());
              group.places.addAll(places);
            });
    Map<String, Shown> shown = looks.shown(siteId);
    List<ContrastRow> rows =
        groups.values().stream()
            .map(group -> row(group, site, shown))
            .sorted(
                Comparator.comparingInt(
                        (ContrastRow r) -> r.verdict().equals("cannot_tell") ? 1 : 0)
                    .thenComparingDouble(r -> r.ratio() / r.least()))
            .toList();
    return new Sheet(
        rows,
        (int) rows.stream().filter(r -> r.verdict().equals("fails")).count(),
        (int) rows.stream().filter(r -> r.verdict().equals("cannot_tell")).count());
  }

  private ContrastRow row(Group group, SiteFinishes site, Map<String, Shown> shown) {
    Pair pair = group.pair;
    Contrast contrast = group.contrast;
    List<PlaceView> places =
        group.places.stream()
            .limit(MOST_PLACES)
            .map(
                place ->
                    new PlaceView(
                        place.page(),
                        sites.page(place.page()).title(),
                        place.node().value(),
                        Reaching.title(shown.get(place.page()), place.node())))
            .toList();
    return new ContrastRow(
        written(pair.text(), site),
        contrast.text().css(),
        words(pair, site),
        groundCss(pair, contrast, site),
        contrast.ratio().orElse(0.0),
        contrast.least(),
        contrast.verdict().name().toLowerCase(),
        contrast.large(),
        pair.size().css(site),
        group.states.stream().map(State::word).toList(),
        group.devices.stream().map(Device::word).toList(),
        places,
        Math.max(0, group.places.size() - MOST_PLACES),
        Mend.of(pair, contrast, site).stream().map(ContrastSheet::view).toList());
  }

  private static FinishesViews.MendView view(Mend mend) {
    return new FinishesViews.MendView(
        mend.part().name().toLowerCase(),
        mend.token().map(Token::id).orElse(""),
        mend.token().map(Token::name).orElse(""),
        mend.colour().css(),
        mend.ratio());
  }

  private static String words(Pair pair, SiteFinishes site) {
    return pair.ground().isEmpty()
        ? "nothing, so white"
        : pair.visible(site).stream()
            .map(layer -> words(layer, site))
            .collect(Collectors.joining(" over "));
  }

  private static String words(Pair.Layer layer, SiteFinishes site) {
    if (layer instanceof Pair.Tint tint) {
      return written(tint.colour(), site);
    } else if (layer instanceof Pair.Blend blend) {
      return written(blend.gradient(), site);
    }
    return "a picture";
  }

  /** A setting as a designer reads it, with its scheme where that makes a difference. */
  private static String written(Setting setting, SiteFinishes site) {
    boolean differs =
        !setting.scheme().isEmpty() && !setting.css(site).equals(site.worth(setting.value()).css());
    String scheme =
        differs ? site.house().scheme(setting.scheme()).map(s -> " in " + s.name()).orElse("") : "";
    return setting.written(site) + scheme;
  }

  /** What stands for the ground in a sample: its worst colour, or the gradient itself. */
  static String groundCss(Pair pair, Contrast contrast, SiteFinishes site) {
    Optional<Pair.Blend> blend =
        pair.ground().stream()
            .filter(Pair.Blend.class::isInstance)
            .map(Pair.Blend.class::cast)
            .findFirst();
    if (blend.isPresent() && !pair.overPicture()) {
      return blend.get().gradient().css(site);
    }
    return contrast.grounds().stream()
        .min(Comparator.comparingDouble(contrast.text()::contrastOn))
        .map(Colour::css)
        .orElse("transparent");
  }
}
