package goodbones.server.demo;

import static goodbones.server.demo.Make.button;
import static goodbones.server.demo.Make.column;
import static goodbones.server.demo.Make.forSite;
import static goodbones.server.demo.Make.heading;
import static goodbones.server.demo.Make.item;
import static goodbones.server.demo.Make.label;
import static goodbones.server.demo.Make.list;
import static goodbones.server.demo.Make.named;
import static goodbones.server.demo.Make.optional;
import static goodbones.server.demo.Make.picture;
import static goodbones.server.demo.Make.row;
import static goodbones.server.demo.Make.scheme;
import static goodbones.server.demo.Make.section;
import static goodbones.server.demo.Make.styled;
import static goodbones.server.demo.Make.text;
import static goodbones.server.demo.Make.words;

import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Variant;
import goodbones.library.Described;
import goodbones.library.Expanded;
import goodbones.library.Guess;
import goodbones.library.Showing;
import goodbones.server.library.Pieces;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The pieces in the library of Purlin & Daughters. */
final class DemoPieces {
  static final String OPENING = "opening-band";
  static final String TIMES = "hours-band";
  static final String SPLIT = "split-opening";
  static final String TITLE = "title-band";
  static final String CARDS = "three-cards";
  static final String QUOTE = "quote-band";
  static final String ACTION = "call-to-action";
  static final String PRICES = "price-list";
  static final String VOICE = "testimonial";
  private final Pieces pieces;

  DemoPieces(Pieces pieces) {
    this.pieces = pieces;
  }

  void add() {
    Node opening = openingBand();
    keep(
        OPENING,
        "Opening band",
        "Opens a page: label, heading, text and button over a picture",
        opening);
    release(
        pieces,
        OPENING,
        opening.change(
            NodeId.of("ob-heading"), n -> styled(n, "font-size@phone", "{t-display-phone}")),
        "Heading fits a phone");
    keep(TIMES, "Hours band", "When it is open or sails, beside a note", hoursBand());
    keep(SPLIT, "Split opening", "Opens a page: words beside a picture", splitOpening());
    keep(TITLE, "Title band", "Opens an inner page on a tint", titleBand());
    keep(CARDS, "Three cards", "Three things of equal weight", threeCards());
    keep(QUOTE, "Quote band", "One good sentence on the dark scheme", quoteBand());
    keep(ACTION, "Call to action", "Sends the reader on, near the foot of a page", callToAction());
    keep(PRICES, "Price list", "What things cost, a line for each", priceList());
    keep(VOICE, "Testimonial", "What one customer says, the same on every page", testimonial());
  }

  private void keep(String id, String name, String notes, Node root) {
    Described guessed = Guess.of(Expanded.of(root, Showing.BOUND, pieces).drawn());
    Described said = Described.of(name, guessed.kind(), guessed.purpose()).withNotes(notes);
    pieces.keep(id, said, root, "The first drawing", 1);
  }

  static void release(Pieces pieces, String piece, Node root, String note) {
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

  private static Node splitOpening() {
    Node words =
        styled(
            column(
                "so-words",
                label("so-label", "Small label"),
                styled(
                    heading("so-heading", 1, "Say what it is in one line"),
                    "font-size",
                    "{t-display}",
                    "line-height",
                    "1.08",
                    "font-size@phone",
                    "{t-display-phone}"),
                named(text("so-text", "One or two sentences that say for whom."), "s-lead"),
                button("so-button", "Next step", "/")),
            "row-gap",
            "16px",
            "content-align",
            "center");
    Node photo =
        column(
            "so-side",
            styled(
                picture("so-picture", "roof-frame", ""),
                "aspect-ratio",
                "4 / 3",
                "border-radius",
                "{t-radius}",
                "box-shadow",
                "{t-shadow}"));
    return section("so-section", "Split opening", row("so-row", "6 6", words, photo));
  }

  private static Node titleBand() {
    return styled(
        section(
                "tb-section",
                "Title band",
                label("tb-label", "Small label"),
                styled(heading("tb-heading", 1, "Title of the page"), "font-size", "44px"),
                named(text("tb-text", "What the page is about, in a sentence."), "s-lead"))
            .withScheme(Optional.of("tinted")),
        "padding-top",
        "64px",
        "padding-bottom",
        "56px");
  }

  private static Node threeCards() {
    return section(
        "tc-section",
        "Three cards",
        heading("tc-heading", 2, "Three good reasons"),
        styled(row("tc-row", "4 4 4", card("1"), card("2"), card("3")), "columns@tablet", "6 6"));
  }

  private static Node card(String number) {
    return styled(
        column(
            "tc-card-" + number,
            styled(heading("tc-h" + number, 3, "A short name"), "font-size", "22px"),
            text("tc-t" + number, "What it gives, in one or two lines.")),
        "background-color",
        "{t-surface}",
        "border-radius",
        "{t-radius}",
        "border",
        "{t-hair}",
        "padding-top",
        "24px",
        "padding-right",
        "24px",
        "padding-bottom",
        "24px",
        "padding-left",
        "24px");
  }

  private static Node quoteBand() {
    return section(
            "qb-section",
            "Quote band",
            named(heading("qb-words", 2, "“One good sentence that somebody said.”"), "s-quote"),
            named(text("qb-author", "Who said it, and where"), "s-caption"))
        .withScheme(Optional.of("dark"));
  }

  private static Node callToAction() {
    return styled(
        section(
                "ca-section",
                "Call to action",
                heading("ca-heading", 2, "What should they do now?"),
                text("ca-text", "Take away the last doubt."),
                button("ca-button", "Do it", "/"))
            .withScheme(Optional.of("tinted")),
        "padding-top",
        "64px",
        "padding-bottom",
        "64px");
  }

  /** A list with a line for each price, a note that may be left out, and a variant on a tint. */
  private static Node priceList() {
    Node line =
        styled(
            row(
                "pl-line",
                "9 3",
                column("pl-what-column", text("pl-what", "What it is")),
                column(
                    "pl-price-column",
                    styled(text("pl-price", "0.00"), "text-align", "end", "font-weight", "600"))),
            "columns@phone",
            "8 4",
            "padding-top",
            "12px",
            "padding-bottom",
            "12px");
    Node section =
        section(
            "pl-section",
            "Price list",
            heading("pl-heading", 2, "What it costs"),
            optional(named(text("pl-note", "Say what is included in all prices."), "s-caption")),
            list(
                "pl-list",
                line,
                item("pl-first", words("pl-what", "One thing"), words("pl-price", "4.00")),
                item("pl-second", words("pl-what", "Another thing"), words("pl-price", "7.00")),
                item("pl-third", words("pl-what", "All of it"), words("pl-price", "10.00"))));
    Map.Entry<LocalKey, LocalValue> tint = scheme("pl-section", "tinted");
    Variant tinted =
        new Variant(
            "pl-tinted", "On a tint", Placement.of("").with(tint.getKey(), tint.getValue()));
    return section.withOptions(section.options().withVariants(List.of(tinted)));
  }

  private static Node testimonial() {
    return styled(
        section(
            "tm-section",
            "Testimonial",
            forSite(
                styled(
                    heading("tm-words", 2, "“One sentence that a customer said.”"),
                    "max-width",
                    "760px")),
            forSite(named(text("tm-who", "Who said it"), "s-caption"))),
        "background-color",
        "{t-surface}");
  }
}
