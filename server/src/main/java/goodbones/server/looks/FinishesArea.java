package goodbones.server.looks;

import goodbones.colour.Colour;
import goodbones.colour.Oklch;
import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.References;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.library.Shown;
import goodbones.server.finishes.AllFinishes;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.history.History;
import goodbones.server.library.Pieces;
import goodbones.server.looks.FinishesViews.Cell;
import goodbones.server.looks.FinishesViews.ColourPair;
import goodbones.server.looks.FinishesViews.ColourView;
import goodbones.server.looks.FinishesViews.FinishesEditRequest;
import goodbones.server.looks.FinishesViews.FinishesPlan;
import goodbones.server.looks.FinishesViews.PropertyView;
import goodbones.server.looks.FinishesViews.ReachView;
import goodbones.server.looks.FinishesViews.SettingView;
import goodbones.server.looks.FinishesViews.StyleRow;
import goodbones.server.looks.FinishesViews.Tried;
import goodbones.server.looks.FinishesViews.UseView;
import goodbones.server.looks.FinishesViews.Uses;
import goodbones.server.problems.BadInput;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.server.workbench.Frames;
import goodbones.style.Finishes;
import goodbones.style.NamedStyle;
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
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The finishes area: the table of tokens, edits tried on and kept, releases. */
@Service
class FinishesArea {
  private static final int STEPS = 11;
  private static final int MOST_PAIRS = 12;
  private static final int MOST_USES = 200;
  private static final int MOST_USERS = 6;
  private static final String REPLACE = "put another token in its place instead";
  private final FinishesStore store;
  private final Sites sites;
  private final Pieces pieces;
  private final SiteLooks looks;
  private final Measures measures;
  private final Reaching reaching;
  private final Users users;
  private final Frames frames;

  FinishesArea(
      FinishesStore store,
      Sites sites,
      Pieces pieces,
      SiteLooks looks,
      Measures measures,
      Reaching reaching,
      Users users,
      Frames frames) {
    this.store = store;
    this.sites = sites;
    this.pieces = pieces;
    this.looks = looks;
    this.measures = measures;
    this.reaching = reaching;
    this.users = users;
    this.frames = frames;
  }

  @Transactional(readOnly = true)
  public FinishesViews.Table table() {
    AllFinishes all = store.all();
    Finishes current = store.revision(store.current());
    List<SiteInfo> clients = sites.all();
    SiteFinishes house = all.of("");
    Map<String, SiteFinishes> bySite = new LinkedHashMap<>();
    clients.forEach(site -> bySite.put(site.id(), all.of(site.id())));
    Map<String, Integer> nodes = new HashMap<>();
    Map<String, Integer> styled = new HashMap<>();
    bySite.forEach((site, finishes) -> count(site, finishes, nodes, styled));
    List<FinishesViews.TokenRow> rows = new ArrayList<>();
    for (Token token : all.house().tokens()) {
      Map<String, Cell> cells = new LinkedHashMap<>();
      bySite.forEach((site, finishes) -> cells.put(site, cell(token, finishes, house)));
      boolean changed =
          current.token(token.id()).filter(old -> old.value().equals(token.value())).isEmpty();
      rows.add(
          new FinishesViews.TokenRow(
              token.id(),
              token.name(),
              token.type().word(),
              token.type().literal().form(),
              token.property(),
              token.description(),
              token.retired(),
              new Cell(
                  house.written(token.value()),
                  house.worth(token.id()).css(),
                  changed,
                  false,
                  chain(house, token)),
              cells,
              nodes.getOrDefault(token.id(), 0)));
    }
    return new FinishesViews.Table(
        store.stamp(),
        store.current(),
        store.hasDraft(),
        store.toUndo().orElse(""),
        store.toRedo().orElse(""),
        clients.stream().map(site -> column(site, all)).toList(),
        rows,
        schemes(all.house(), house),
        styles(all, clients, styled),
        store.revisions().stream()
            .map(r -> new FinishesViews.RevisionView(r.number(), r.note(), r.released()))
            .toList());
  }

  private FinishesViews.Column column(SiteInfo site, AllFinishes all) {
    int shown = store.adopted(site.id());
    return new FinishesViews.Column(
        site.id(),
        site.name(),
        site.logo(),
        shown,
        shown < store.current(),
        all.own(site.id()).values().size());
  }

  private void count(
      String site, SiteFinishes finishes, Map<String, Integer> nodes, Map<String, Integer> styled) {
    SiteLook look = looks.of(site, finishes);
    Map<String, Set<Object>> places = new HashMap<>();
    for (Setting setting : look.settings()) {
      SiteFinishes here = setting.scheme().isEmpty() ? finishes : finishes.in(setting.scheme());
      here.worth(setting.value())
          .chain()
          .forEach(
              step ->
                  look.uses(setting)
                      .forEach(
                          (page, there) ->
                              there
                                  .keySet()
                                  .forEach(
                                      node ->
                                          places
                                              .computeIfAbsent(
                                                  step.tokenId(), t -> new java.util.HashSet<>())
                                              .add(List.of(page, node)))));
    }
    places.forEach((token, where) -> nodes.merge(token, where.size(), Integer::sum));
    looks
        .shown(site)
        .values()
        .forEach(
            page ->
                page.root()
                    .walk(
                        node ->
                            node.namedStyles().forEach(id -> styled.merge(id, 1, Integer::sum))));
  }

  private static Cell cell(Token token, SiteFinishes finishes, SiteFinishes house) {
    Optional<StyleValue> own = finishes.ownValue(token.id());
    String css = finishes.worth(token.id()).css();
    return new Cell(
        own.map(finishes::written).orElse(""),
        css,
        own.isPresent(),
        !css.equals(house.worth(token.id()).css()),
        chain(finishes, token));
  }

  private static List<String> chain(SiteFinishes finishes, Token token) {
    return finishes.worth(token.id()).chain().stream()
        .map(SiteFinishes.Step::name)
        .skip(1)
        .toList();
  }

  private static List<FinishesViews.SchemeView> schemes(Finishes house, SiteFinishes look) {
    return house.schemes().stream()
        .map(
            scheme -> {
              Map<String, String> values = new LinkedHashMap<>();
              scheme.values().forEach((token, v) -> values.put(token, look.written(v)));
              return new FinishesViews.SchemeView(scheme.id(), scheme.name(), values);
            })
        .toList();
  }

  private static List<StyleRow> styles(
      AllFinishes all, List<SiteInfo> clients, Map<String, Integer> places) {
    List<StyleRow> rows = new ArrayList<>();
    SiteFinishes house = all.of("");
    for (NamedStyle style : all.house().namedStyles()) {
      rows.add(styleRow(style, "", house, places.getOrDefault(style.id(), 0)));
    }
    for (SiteInfo site : clients) {
      for (NamedStyle style : all.own(site.id()).styles().values()) {
        rows.add(styleRow(style, site.id(), all.of(site.id()), places.getOrDefault(style.id(), 0)));
      }
    }
    for (Kind kind : Kind.values()) {
      if (!Catalogue.styles(kind).isEmpty()) {
        rows.add(
            new StyleRow(
                StepReader.KIND + kind.word(),
                "Every " + kind.word(),
                "",
                "",
                settings(all.house().defaults().getOrDefault(kind, Map.of()), house),
                properties(Catalogue.styles(kind)),
                Catalogue.states(kind).stream().map(State::word).toList(),
                0));
      }
    }
    return rows;
  }

  private static StyleRow styleRow(
      NamedStyle style, String site, SiteFinishes finishes, int places) {
    return new StyleRow(
        style.id(),
        style.name(),
        site,
        style.basedOn().orElse(""),
        settings(style.styles(), finishes),
        properties(List.of(StyleProperty.values())),
        List.of(State.values()).stream().map(State::word).toList(),
        places);
  }

  private static List<PropertyView> properties(List<StyleProperty> properties) {
    return properties.stream()
        .map(
            p ->
                new PropertyView(
                    p.key(), p.label(), p.type().name().toLowerCase(), p.type().form()))
        .toList();
  }

  private static List<SettingView> settings(
      Map<StyleKey, StyleValue> styles, SiteFinishes finishes) {
    return styles.entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .map(
            e ->
                new SettingView(
                    e.getKey().property().key(),
                    e.getKey().property().label(),
                    e.getKey().device().word(),
                    e.getKey().state().word(),
                    finishes.written(e.getValue()),
                    finishes.worth(e.getValue()).css()))
        .toList();
  }

  private StepReader reader(AllFinishes all) {
    return new StepReader(all, id -> sites.get(id).name());
  }

  /**
   * Carries an edit out.
   *
   * @throws BadInput if something that is to go is still in use
   */
  @Transactional
  public FinishesViews.Table edit(FinishesEditRequest request) {
    AllFinishes all = store.all();
    StepReader.Read read = reader(all).read(request);
    if (request.type() == FinishesEditRequest.Type.REMOVE_TOKEN) {
      // Said before the finishes themselves find an alias that leads nowhere.
      String id = token(request);
      refuseIfUsed(
          all.house().token(id).map(Token::name).orElse(id), users.now(all).ofToken(id), REPLACE);
    }
    store.edit(read.step(), read.label());
    requireNothingMissed(all);
    return table();
  }

  /**
   * Refuses what took something away that is still in use; the transaction takes the edit back.
   *
   * @param before the finishes as they were
   */
  void requireNothingMissed(AllFinishes before) {
    AllFinishes after = store.all();
    List<Token> tokens =
        before.house().tokens().stream()
            .filter(token -> after.house().token(token.id()).isEmpty())
            .toList();
    List<Scheme> schemes =
        before.house().schemes().stream()
            .filter(scheme -> after.house().scheme(scheme.id()).isEmpty())
            .toList();
    List<NamedStyle> styles = new ArrayList<>(before.house().namedStyles());
    before.sites().values().forEach(own -> styles.addAll(own.styles().values()));
    styles.removeIf(
        style ->
            after.house().namedStyle(style.id()).isPresent()
                || after.sites().values().stream()
                    .anyMatch(own -> own.styles().containsKey(style.id())));
    if (tokens.isEmpty() && schemes.isEmpty() && styles.isEmpty()) {
      return;
    }
    Users.Now now = users.now(after);
    tokens.forEach(token -> refuseIfUsed(token.name(), now.ofToken(token.id()), REPLACE));
    schemes.forEach(
        scheme ->
            refuseIfUsed(
                "The scheme “" + scheme.name() + "”",
                now.ofScheme(scheme.id()),
                "let the sections take another first"));
    styles.forEach(
        style ->
            refuseIfUsed(
                "The style “" + style.name() + "”",
                now.ofStyle(style.id()),
                "take it off there first"));
  }

  private static void refuseIfUsed(String what, List<String> there, String mend) {
    if (!there.isEmpty()) {
      String more =
          there.size() > MOST_USERS ? " and " + (there.size() - MOST_USERS) + " more" : "";
      throw new BadInput(
          "token",
          what
              + " is still used by "
              + there.stream().limit(MOST_USERS).collect(Collectors.joining(", "))
              + more
              + ": "
              + mend);
    }
  }

  @Transactional
  public FinishesViews.Table turn(History.Way way) {
    AllFinishes before = store.all();
    store.turn(way);
    requireNothingMissed(before);
    return table();
  }

  /** Shows what an edit would look like, without keeping it. */
  @Transactional(readOnly = true)
  public Tried tried(FinishesViews.TryRequest request) {
    AllFinishes before = store.all();
    AllFinishes after;
    try {
      after = before.after(reader(before).read(request.edit()).step()).finishes();
    } catch (TokenProblem | IllegalArgumentException | BadInput refused) {
      String html = html(request.look(), request.page(), before.of(request.look()));
      return new Tried(String.valueOf(refused.getMessage()), "", html, null);
    }
    String html = html(request.look(), request.page(), after.of(request.look()));
    Optional<Token> token = after.house().token(token(request.edit()));
    String css = token.map(t -> after.of(site(request.edit())).worth(t.id()).css()).orElse("");
    return new Tried("", css, html, isColour(token) ? colour(css) : null);
  }

  private static String token(FinishesEditRequest edit) {
    return edit.token() == null ? "" : edit.token();
  }

  private static String site(FinishesEditRequest edit) {
    return edit.site() == null ? "" : edit.site();
  }

  private static boolean isColour(Optional<Token> token) {
    return token.filter(t -> t.type() == TokenType.COLOR).isPresent();
  }

  /** Says how far an edit would go, without keeping it. */
  @Transactional(readOnly = true)
  public FinishesViews.Reached reached(FinishesEditRequest edit) {
    AllFinishes before = store.all();
    AllFinishes after = before.after(reader(before).read(edit).step()).finishes();
    String scope = site(edit);
    return new FinishesViews.Reached(
        reach(scope, before, after),
        isColour(after.house().token(token(edit))) ? pairs(token(edit), scope, after) : List.of());
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
    boolean ofKind = styleId.startsWith(StepReader.KIND);
    Kind kind =
        ofKind
            ? Kind.ofWord(styleId.substring(StepReader.KIND.length()))
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
                        FinishesArea::joined));
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

  /** Everything that is worth what it is through a token, or has a named style. */
  @Transactional(readOnly = true)
  public Uses uses(String tokenId, String styleId) {
    AllFinishes all = store.all();
    List<UseView> views = new ArrayList<>();
    for (SiteInfo site : sites.all()) {
      SiteFinishes finishes = all.of(site.id());
      Map<String, Shown> shown = looks.shown(site.id());
      if (styleId.isEmpty()) {
        SiteLook look = looks.of(site.id(), finishes);
        for (Setting setting : look.settingsThrough(tokenId, finishes)) {
          look.uses(setting)
              .forEach(
                  (page, nodes) ->
                      nodes.forEach(
                          (node, devices) ->
                              views.add(
                                  use(
                                      site,
                                      page,
                                      shown,
                                      node,
                                      setting.property().label(),
                                      devices))));
        }
      } else {
        shown.forEach(
            (page, document) ->
                document
                    .root()
                    .walk(
                        node -> {
                          if (node.namedStyles().contains(styleId)) {
                            views.add(use(site, page, shown, node.id(), "", Set.of()));
                          }
                        }));
      }
    }
    List<String> direct =
        styleId.isEmpty() ? all.house().referringTo(tokenId) : users.now(all).ofStyle(styleId);
    return new Uses(
        direct, views.stream().limit(MOST_USES).toList(), Math.max(0, views.size() - MOST_USES));
  }

  private UseView use(
      SiteInfo site,
      String page,
      Map<String, Shown> shown,
      NodeId node,
      String property,
      Set<Device> devices) {
    return new UseView(
        site.id(),
        site.name(),
        page,
        sites.page(page).title(),
        node.value(),
        Reaching.title(shown.get(page), node),
        property,
        devices.stream().map(Device::word).toList());
  }

  /** What each site would show otherwise if it took the draft, or the newest revision. */
  @Transactional(readOnly = true)
  public List<FinishesPlan> plan() {
    AllFinishes all = store.all();
    return sites.all().stream()
        .map(
            site -> {
              Impact impact =
                  reaching.impact(site.id(), store.forSite(site.id()), all.of(site.id()));
              return new FinishesPlan(
                  site.id(),
                  site.name(),
                  store.adopted(site.id()),
                  reaching.view(Map.of(site.id(), impact)));
            })
        .toList();
  }

  /** Releases the draft, and brings some sites to it. */
  @Transactional
  public FinishesViews.Table release(FinishesViews.FinishesRelease request) {
    int revision = store.release(request.note());
    request.sites().forEach(site -> store.adopt(sites.get(site).id(), revision));
    return table();
  }

  /**
   * Brings a site to a revision, a newer or an older one.
   *
   * @throws BadInput if something at the site refers to what that revision does not have
   */
  @Transactional
  public FinishesViews.Table adopt(String siteId, int revision) {
    SiteInfo site = sites.get(siteId);
    Finishes wanted = store.revision(revision);
    AllFinishes.Own own = store.all().own(siteId);
    List<Node> documents = new ArrayList<>();
    sites.pages(siteId).forEach(page -> documents.add(page.root()));
    sites
        .adopted(siteId)
        .revisions()
        .forEach((piece, number) -> documents.add(pieces.revision(piece, number).root()));
    Set<String> styles = own.styles().keySet();
    List<String> lacking =
        documents.stream()
            .map(References::of)
            .flatMap(references -> wanted.lacks(references).stream())
            .filter(what -> styles.stream().noneMatch(what::endsWith))
            .distinct()
            .toList();
    if (!lacking.isEmpty()) {
      throw new BadInput(
          "revision",
          site.name()
              + " uses "
              + String.join(", ", lacking)
              + ", which revision "
              + revision
              + " does not have; it stays as it is");
    }
    new SiteFinishes(wanted, own.values(), List.copyOf(own.styles().values())).requireSound();
    store.adopt(siteId, revision);
    return table();
  }
}
