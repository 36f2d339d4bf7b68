package goodbones.server.finishes;

import goodbones.document.Catalogue;
import goodbones.document.Kind;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.server.finishes.FinishesViews.Cell;
import goodbones.server.finishes.FinishesViews.PropertyView;
import goodbones.server.finishes.FinishesViews.SettingView;
import goodbones.server.finishes.FinishesViews.StyleRow;
import goodbones.server.reach.SiteLooks;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.AllFinishes;
import goodbones.style.Finishes;
import goodbones.style.NamedStyle;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.survey.Setting;
import goodbones.survey.SiteLook;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Describes the finishes for the interface: tokens as rows, the house and the sites as columns. */
@Service
class FinishesTable {
  private static final int TOLD = 12;

  private final FinishesStore store;
  private final Sites sites;
  private final SiteLooks looks;
  private final ToldRows told = new ToldRows();
  private volatile @Nullable Made made;

  FinishesTable(FinishesStore store, Sites sites, SiteLooks looks) {
    this.store = store;
    this.sites = sites;
    this.looks = looks;
  }

  /**
   * The finishes as they stand.
   *
   * @param had the table that the reader has; empty for none
   */
  @Transactional(readOnly = true)
  public FinishesViews.Table now(String had) {
    AllFinishes all = store.all();
    Finishes current = store.revision(store.current());
    List<SiteInfo> clients = sites.all();
    SiteFinishes house = all.of("");
    Map<String, Integer> nodes = new HashMap<>();
    Map<String, Integer> styled = new HashMap<>();
    clients.forEach(site -> count(site.id(), all.of(site.id()), nodes, styled));
    List<FinishesViews.TokenRow> rows = rows(new Basis(all, current, clients, nodes));
    ToldRows.News news = told.tell(had, rows);
    return new FinishesViews.Table(
        news.telling(),
        store.stamp(),
        store.current(),
        store.hasDraft(),
        store.toUndo().orElse(""),
        store.toRedo().orElse(""),
        clients.stream().map(site -> column(site, all)).toList(),
        news.order(),
        news.rows(),
        schemes(all.house(), house),
        styles(all, clients, styled),
        store.revisions().stream()
            .map(r -> new FinishesViews.RevisionView(r.number(), r.note(), r.released()))
            .toList());
  }

  /** What the rows are made of. */
  private record Basis(
      AllFinishes all, Finishes current, List<SiteInfo> clients, Map<String, Integer> nodes) {
    List<String> names() {
      return all.house().tokens().stream().map(token -> token.id() + " " + token.name()).toList();
    }

    List<String> siteIds() {
      return clients.stream().map(SiteInfo::id).toList();
    }

    int nodes(String token) {
      return nodes.getOrDefault(token, 0);
    }
  }

  /** Rows as they were made last. */
  private record Made(Basis basis, Map<String, FinishesViews.TokenRow> rows) {
    /** The row of a token, where nothing that it is made of has changed. */
    Predicate<Token> holds(Basis now) {
      boolean alike =
          now.current() == basis.current()
              && now.siteIds().equals(basis.siteIds())
              && now.names().equals(basis.names());
      Set<String> changed =
          alike ? now.all().differing(basis.all(), now.siteIds()) : Set.<String>of();
      return token ->
          alike
              && !changed.contains(token.id())
              && now.nodes(token.id()) == basis.nodes(token.id());
    }
  }

  private List<FinishesViews.TokenRow> rows(Basis now) {
    Made before = made;
    Predicate<Token> holds = before == null ? token -> false : before.holds(now);
    Map<String, FinishesViews.TokenRow> rows = new LinkedHashMap<>();
    for (Token token : now.all().house().tokens()) {
      rows.put(
          token.id(),
          before != null && holds.test(token) ? before.rows().get(token.id()) : row(token, now));
    }
    made = new Made(now, rows);
    return List.copyOf(rows.values());
  }

  private static FinishesViews.TokenRow row(Token token, Basis basis) {
    SiteFinishes house = basis.all().of("");
    Map<String, Cell> cells = new LinkedHashMap<>();
    basis.siteIds().forEach(site -> cells.put(site, cell(token, basis.all().of(site), house)));
    boolean changed =
        basis.current().token(token.id()).filter(o -> o.value().equals(token.value())).isEmpty();
    return new FinishesViews.TokenRow(
        token.id(),
        token.name(),
        token.type().word(),
        token.type().literal().form(),
        house.property(new StyleValue.TokenRef(token.id(), "")),
        token.description(),
        token.retired(),
        new Cell(
            house.written(token.value()),
            house.worth(token.id()).css(),
            changed,
            false,
            chain(house, token)),
        cells,
        basis.nodes(token.id()));
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

  /** The tokens on the way to a value by their names; of a long way the beginning. */
  private static List<String> chain(SiteFinishes finishes, Token token) {
    List<SiteFinishes.Step> steps = finishes.worth(token.id()).chain();
    List<String> names = new ArrayList<>();
    for (SiteFinishes.Step step : steps) {
      if (names.size() > TOLD) {
        names.add("… and " + (steps.size() - TOLD - 1) + " more");
        break;
      }
      names.add(step.name());
    }
    return List.copyOf(names.subList(1, names.size()));
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
                StyleStep.KIND + kind.word(),
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
}
