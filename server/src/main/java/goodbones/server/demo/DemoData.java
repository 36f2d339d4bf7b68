package goodbones.server.demo;

import static goodbones.server.demo.Make.button;
import static goodbones.server.demo.Make.column;
import static goodbones.server.demo.Make.heading;
import static goodbones.server.demo.Make.label;
import static goodbones.server.demo.Make.node;
import static goodbones.server.demo.Make.row;
import static goodbones.server.demo.Make.section;
import static goodbones.server.demo.Make.styled;
import static goodbones.server.demo.Make.text;

import goodbones.document.Aspect;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.Pieces;
import goodbones.server.pictures.Pictures;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Fills an empty store with the demo's finishes, pieces, sites and pages. */
@Component
@ConditionalOnProperty("goodbones.demo")
class DemoData implements ApplicationRunner {
  private static final String OPENING = "opening-band";
  private static final String TIMES = "hours-band";
  private static final String FERRIES = "saltmarsh-ferries";
  private static final String MUSEUM = "oakum-rope-museum";

  private final FinishesStore finishes;
  private final Pieces pieces;
  private final Sites sites;
  private final Pictures pictures;

  DemoData(FinishesStore finishes, Pieces pieces, Sites sites, Pictures pictures) {
    this.finishes = finishes;
    this.pieces = pieces;
    this.sites = sites;
    this.pictures = pictures;
  }

  @Override
  @Transactional
  public void run(ApplicationArguments args) {
    if (!sites.all().isEmpty()) {
      return;
    }
    finishes.keep(DemoFinishes.house());
    for (String picture :
        List.of("ferry-at-dusk", "harbour-morning", "ropewalk", "rope-coils", "roof-frame")) {
      pictures.add(picture, picture + ".svg", bytes(picture + ".svg"));
    }
    addPieces();
    addFerries();
    addMuseum();
  }

  private static byte[] bytes(String file) {
    try (InputStream in = DemoData.class.getResourceAsStream("/demo/" + file)) {
      return Objects.requireNonNull(in, file).readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void addPieces() {
    Node opening = openingBand();
    pieces.keep(
        OPENING,
        "Opening band",
        "Opens a page: label, heading, text and button over a picture",
        opening,
        "The first drawing",
        1);
    release(
        OPENING,
        opening.change(
            NodeId.of("ob-heading"), n -> styled(n, "font-size@phone", "{t-display-phone}")),
        "Heading fits a phone");
    Node hours = hoursBand();
    pieces.keep(
        TIMES,
        "Hours band",
        "When it is open or sails, beside a note",
        hours,
        "The first drawing",
        1);
  }

  private void release(String piece, Node root, String note) {
    pieces.edit(piece, pieces.get(piece).version(), root);
    pieces.release(piece, pieces.get(piece).version(), note, 1);
  }

  private static Node openingBand() {
    Node band =
        section(
            "ob-section",
            "Opening band",
            styled(label("ob-label", "Small label"), "color", "{t-on-picture}"),
            styled(
                heading("ob-heading", 1, "Say what it is in one line"),
                "font-size",
                "{t-display}",
                "line-height",
                "1.08",
                "max-width",
                "760px"),
            styled(
                text("ob-text", "One or two sentences that say for whom, and what comes next."),
                "font-size",
                "20px",
                "max-width",
                "520px",
                "margin-bottom",
                "12px"),
            styled(button("ob-button", "Next step", "/"), "border-radius", "8px"));
    return styled(
        band.withContent("picture", new FieldValue.Picture("roof-frame", "")),
        "color",
        "{t-on-picture}",
        "background-color",
        "#1c3140",
        "overlay-color",
        "{t-overlay}",
        "padding-top",
        "112px",
        "padding-bottom",
        "96px",
        "padding-top@phone",
        "72px",
        "padding-bottom@phone",
        "64px",
        "min-height",
        "60vh",
        "content-align",
        "center");
  }

  private static Node hoursBand() {
    Node band =
        section(
            "hb-section",
            "Hours band",
            row(
                "hb-row",
                "7 5",
                column(
                    "hb-main",
                    heading("hb-heading", 2, "When we are open"),
                    text("hb-text", "Say the days and the hours here.")),
                column(
                    "hb-side",
                    label("hb-label", "Good to know"),
                    text("hb-note", "One thing that people ask."))));
    return styled(
        band, "background-color", "{t-surface}", "padding-top", "56px", "padding-bottom", "56px");
  }

  private static Node placing(String id, String name, String piece, Map<LocalKey, LocalValue> own) {
    return Node.placing(NodeId.of(id), name, piece)
        .withPlacement(Placement.of(piece).withChanges(own));
  }

  private static Map.Entry<LocalKey, LocalValue> words(String node, String words) {
    return Map.entry(
        new LocalKey(NodeId.of(node), Aspect.content("words")),
        new LocalValue.ContentIs(new FieldValue.Words(words)));
  }

  private static Map.Entry<LocalKey, LocalValue> link(String node, String target) {
    return Map.entry(
        new LocalKey(NodeId.of(node), Aspect.content("link")),
        new LocalValue.ContentIs(new FieldValue.Link(target)));
  }

  private static Map.Entry<LocalKey, LocalValue> picture(String node, String id, String alt) {
    return Map.entry(
        new LocalKey(NodeId.of(node), Aspect.content("picture")),
        new LocalValue.ContentIs(new FieldValue.Picture(id, alt)));
  }

  private static Map.Entry<LocalKey, LocalValue> style(String node, String key, String value) {
    return Map.entry(
        new LocalKey(NodeId.of(node), Aspect.style(StyleKey.parse(key))),
        new LocalValue.StyleIs(Optional.of(StyleValue.parse(value))));
  }

  private void addFerries() {
    sites.add(new SiteInfo(FERRIES, "Saltmarsh Ferries", "en-GB"));
    DemoFinishes.ferries().forEach((token, v) -> finishes.setValue(FERRIES, token, Optional.of(v)));
    sites.adopt(FERRIES, OPENING, 2);
    sites.adopt(FERRIES, TIMES, 1);
    Node page =
        node("sf-home", Kind.PAGE, "")
            .withChildren(
                List.of(
                    placing(
                        "sf-opening",
                        "",
                        OPENING,
                        Map.ofEntries(
                            words("ob-label", "Sailing since 1931"),
                            words("ob-heading", "Three islands, one short crossing"),
                            words(
                                "ob-text",
                                "Eleven sailings a day from Wick Quay. Dogs and bicycles go free."),
                            words("ob-button", "See today’s sailings"),
                            link("ob-button", "/#next"),
                            picture("ob-section", "ferry-at-dusk", ""))),
                    routes(),
                    placing(
                        "sf-hours",
                        "",
                        TIMES,
                        Map.ofEntries(
                            words("hb-heading", "Next from Wick Quay"),
                            words(
                                "hb-text",
                                "09:40, 11:10, 12:40 and 14:10 every day until October."),
                            words("hb-label", "Before you board"),
                            words(
                                "hb-note",
                                "Be on the quay ten minutes before. The last boat back waits for"
                                    + " nobody."),
                            style("hb-section", "padding-top", "72px"))),
                    section(
                        "sf-words",
                        "Words of travellers",
                        styled(
                            heading("sf-words-h", 2, "“The best half hour of our week.”"),
                            "max-width",
                            "720px"),
                        text("sf-words-t", "Maud Tillery, Gull Holm, on the seven o’clock boat"))));
    sites.addPage(
        "sf-home",
        FERRIES,
        "Home",
        "/",
        "Ferries from Wick Quay to three islands, all year.",
        page);
  }

  private static Node routes() {
    return section(
        "sf-routes",
        "Three routes",
        heading("sf-routes-h", 2, "Where shall we take you?"),
        styled(
            row(
                "sf-routes-row",
                "4 4 4",
                route("1", "Gull Holm", "35 minutes. Seals on most mornings, tea at the landing."),
                route("2", "Inner Skerry", "50 minutes. A lighthouse with 142 steps to climb."),
                route("3", "Long Sand", "Summer only. Bring a blanket and something to read.")),
            "columns@tablet",
            "6 6"));
  }

  private static Node route(String number, String name, String words) {
    return styled(
        column(
            "sf-route-" + number,
            styled(heading("sf-route-h" + number, 3, name), "font-size", "22px"),
            text("sf-route-t" + number, words)),
        "border-top-width",
        "3px",
        "border-top-color",
        "{t-accent}",
        "padding-top",
        "16px");
  }

  private void addMuseum() {
    sites.add(new SiteInfo(MUSEUM, "Oakum Rope Museum", "en-GB"));
    DemoFinishes.museum().forEach((token, v) -> finishes.setValue(MUSEUM, token, Optional.of(v)));
    sites.adopt(MUSEUM, OPENING, 2);
    sites.adopt(MUSEUM, TIMES, 1);
    Node page =
        node("om-home", Kind.PAGE, "")
            .withChildren(
                List.of(
                    placing(
                        "om-opening",
                        "",
                        OPENING,
                        Map.ofEntries(
                            words("ob-label", "Open all winter"),
                            words("ob-heading", "Four hundred years of rope"),
                            words("ob-text", "Walk the longest brick shed in the county."),
                            words("ob-button", "Plan a visit"),
                            link("ob-button", "/#visit"),
                            picture("ob-section", "ropewalk", ""))),
                    section(
                        "om-month",
                        "This month",
                        label("om-month-l", "This month"),
                        heading("om-month-h", 2, "The great wheel turns again"),
                        text(
                            "om-month-t",
                            "Demonstrations at eleven and at three. Bring strong hands: visitors lay"
                                + " the last strand themselves, and take a yard of it home.")),
                    placing(
                        "om-hours",
                        "",
                        TIMES,
                        Map.ofEntries(
                            words("hb-heading", "Tuesday to Sunday, ten to five"),
                            words("hb-text", "Last entry at four. Closed on Mondays, when we tar."),
                            words("hb-label", "With children"),
                            words("hb-note", "Under twelves come in free and may ring the bell."))),
                    styled(
                        section(
                            "om-yard",
                            "From the yard",
                            heading("om-yard-h", 2, "Every ship in the bay once hung on our rope"),
                            text(
                                "om-yard-t",
                                "In 1840 the walk made nine miles of cable a week. Its ledgers name"
                                    + " every ship, every spinner and every broken strand.")),
                        "color",
                        "#f6ead6",
                        "background-color",
                        "#33261c")));
    sites.addPage(
        "om-home",
        MUSEUM,
        "Home",
        "/",
        "A working ropewalk, four hundred years old, with demonstrations every day.",
        page);
  }
}
