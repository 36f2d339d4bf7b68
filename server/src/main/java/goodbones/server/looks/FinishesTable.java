package goodbones.server.looks;

import goodbones.document.Catalogue;
import goodbones.document.Kind;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.looks.FinishesViews.Cell;
import goodbones.server.looks.FinishesViews.PropertyView;
import goodbones.server.looks.FinishesViews.SettingView;
import goodbones.server.looks.FinishesViews.StyleRow;
import goodbones.server.memory.Memory;
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
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Describes the finishes for the interface: tokens as rows, the house and the sites as columns. */
@Service
class FinishesTable {
  private static final int TOLD = 12;

  /** Of the tables that readers may still have. */
  private static final int MOST_ROWS = 60_000;

  private final FinishesStore store;
  private final Sites sites;
  private final SiteLooks looks;
  private final Memory<String, List<FinishesViews.TokenRow>> sent =
      new Memory<>(MOST_ROWS, List::size);

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
              nodes.getOrDefault(token.id(), 0)));
    }
    List<FinishesViews.TokenRow> before =
        had.isEmpty() ? List.of() : sent.known(had).orElse(List.of());
    String drawing = UUID.randomUUID().toString();
    sent.put(drawing, rows);
    List<String> order = ids(rows);
    return new FinishesViews.Table(
        drawing,
        store.stamp(),
        store.current(),
        store.hasDraft(),
        store.toUndo().orElse(""),
        store.toRedo().orElse(""),
        clients.stream().map(site -> column(site, all)).toList(),
        before.isEmpty() || !order.equals(ids(before)) ? order : null,
        without(rows, before),
        schemes(all.house(), house),
        styles(all, clients, styled),
        store.revisions().stream()
            .map(r -> new FinishesViews.RevisionView(r.number(), r.note(), r.released()))
            .toList());
  }

  private static List<String> ids(List<FinishesViews.TokenRow> rows) {
    return rows.stream().map(FinishesViews.TokenRow::id).toList();
  }

  /** The rows that were not the same before. */
  private static List<FinishesViews.TokenRow> without(
      List<FinishesViews.TokenRow> rows, List<FinishesViews.TokenRow> before) {
    Map<String, FinishesViews.TokenRow> known = new HashMap<>();
    before.forEach(row -> known.put(row.id(), row));
    return rows.stream().filter(row -> !row.equals(known.get(row.id()))).toList();
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
