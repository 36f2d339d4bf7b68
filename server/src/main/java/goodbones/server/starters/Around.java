package goodbones.server.starters;

import static goodbones.server.starters.Draw.inScheme;
import static goodbones.server.starters.Draw.inStyle;
import static goodbones.server.starters.Draw.optional;
import static goodbones.server.starters.Draw.real;
import static goodbones.server.starters.Draw.ruled;
import static goodbones.server.starters.Draw.styled;

import goodbones.document.FieldValue;
import goodbones.document.Node;
import goodbones.library.PieceKind;
import goodbones.library.Purpose;
import goodbones.site.Menu;
import java.util.List;

/**
 * What stands around the content of pages: headers, footers and bands, bound to client and page.
 */
final class Around {
  private static final String FOOTER_MENU = "Footer";

  private Around() {}

  static List<Starter> all() {
    return List.of(
        headerLine(),
        headerAbove(),
        headerSide(),
        headerPicture(),
        footerLine(),
        footerColumns(),
        footerName(),
        footerAction(),
        notice(),
        heading());
  }

  private static Starter header(String notes, Node root, String... tags) {
    return Starter.of(PieceKind.HEADER, Purpose.HEADER, notes, root, tags);
  }

  private static Starter footer(String notes, Node root, String... tags) {
    return Starter.of(PieceKind.FOOTER, Purpose.FOOTER, notes, root, tags);
  }

  private static Node low(Node section) {
    return styled(
        section,
        "padding-top",
        "16px",
        "padding-bottom",
        "16px",
        "padding-top@phone",
        "12px",
        "padding-bottom@phone",
        "12px");
  }

  /** Columns that stand beside each other on a phone too. */
  private static Node beside(Node row) {
    return styled(row, "columns@phone", "6 6", "content-align", "center");
  }

  private static Starter headerLine() {
    Draw d = new Draw("st-header-line");
    return header(
        "The usual one: who it is at the left, where one can go at the right",
        low(
            d.section(
                "Header in one line",
                beside(
                    d.row(
                        "4 8",
                        d.column(d.logo()),
                        d.column(styled(d.menu(Menu.MAIN), "place", "end")))))),
        "menu",
        "logo");
  }

  private static Starter headerAbove() {
    Draw d = new Draw("st-header-above");
    return header(
        "For a name that is worth a line of its own",
        styled(
            low(
                d.section(
                    "Header with the logo above",
                    styled(d.logo(), "place", "center"),
                    d.divider(),
                    styled(d.menu(Menu.MAIN), "place", "center", "column-gap", "36px"))),
            "row-gap",
            "14px"),
        "menu",
        "logo");
  }

  private static Starter headerSide() {
    Draw d = new Draw("st-header-side");
    Node section =
        d.section(
            "Header beside the page",
            d.logo(),
            styled(d.menu(Menu.MAIN), "flow", "down", "row-gap", "6px"),
            optional(inStyle("s-caption", d.bound(d.text(""), "{phone}"))));
    return header(
        "Stands in the side column, on a phone above the page",
        styled(
            section,
            "padding-top",
            "40px",
            "padding-bottom",
            "40px",
            "padding-top@phone",
            "14px",
            "padding-bottom@phone",
            "14px",
            "row-gap",
            "24px"),
        "menu",
        "logo",
        "side column");
  }

  private static Starter headerPicture() {
    Draw d = new Draw("st-header-picture");
    Node section =
        d.section(
            "Header over a picture",
            beside(
                d.row(
                    "4 8",
                    d.column(d.logo()),
                    d.column(styled(d.menu(Menu.MAIN), "place", "end")))),
            styled(
                d.bound(d.heading(2, ""), "{name}"),
                "font-size",
                "{t-display}",
                "font-size@phone",
                "{t-display-phone}",
                "margin-top",
                "96px",
                "margin-top@phone",
                "40px"));
    return header(
        "Opens every page with the same picture, the client’s name over it",
        inScheme(
            "dark",
            styled(
                low(section).withContent("picture", FieldValue.Picture.STAND_IN),
                "overlay-color",
                "{t-overlay}",
                "background-color",
                "{t-ground}",
                "color",
                "{t-on-picture}",
                "padding-bottom",
                "40px")),
        "menu",
        "logo",
        "picture");
  }

  /** What most pages end with: whose they are, and a few links. */
  private static Node yearAndMenu(Draw d) {
    return d.row(
        "6 6",
        d.column(inStyle("s-caption", d.bound(d.text(""), "© {year} {name}"))),
        d.column(
            styled(
                inStyle("s-caption", d.menu(FOOTER_MENU)),
                "place",
                "end",
                "place@phone",
                "start")));
  }

  private static Starter footerLine() {
    Draw d = new Draw("st-footer-line");
    return footer(
        "The least that a page ends with: year, name, and a few links",
        styled(
            inScheme("tinted", d.section("Footer in one line", yearAndMenu(d))),
            "padding-top",
            "24px",
            "padding-bottom",
            "24px",
            "background-color",
            "{t-ground}"),
        "menu",
        "year");
  }

  private static Starter footerColumns() {
    Draw d = new Draw("st-footer-columns");
    return footer(
        "Where and when, how to reach somebody, and where else one can go",
        styled(
            inScheme(
                "dark",
                d.section(
                    "Footer in three columns",
                    d.row(
                        "4 4 4",
                        d.column(
                            real(d.label("Find us")),
                            d.bound(d.text(""), "{address}"),
                            d.bound(d.text(""), "{phone}")),
                        d.column(real(d.label("Open")), d.bound(d.text(""), "{hours}")),
                        d.column(
                            real(d.label("More")),
                            styled(d.menu(FOOTER_MENU), "flow", "down", "row-gap", "2px"),
                            d.social())),
                    d.divider(),
                    inStyle("s-caption", d.bound(d.text(""), "© {year} {name}")))),
            "padding-top",
            "56px",
            "padding-bottom",
            "28px",
            "background-color",
            "{t-ground}",
            "color",
            "{t-text}",
            "row-gap",
            "24px"),
        "menu",
        "year",
        "address",
        "hours");
  }

  private static Starter footerName() {
    Draw d = new Draw("st-footer-name");
    return footer(
        "Ends the page with the client’s name, as large as the page allows",
        styled(
            d.section(
                "Footer with a large name",
                styled(
                    d.bound(d.text(""), "{name}"),
                    "font-family",
                    "{t-heading-font}",
                    "font-weight",
                    "600",
                    "font-size",
                    "{t-display}",
                    "font-size@phone",
                    "{t-display-phone}",
                    "line-height",
                    "1.1",
                    "max-width",
                    "none"),
                ruled(
                    styled(
                        d.row(
                            "8 4",
                            d.column(d.bound(d.text(""), "{address}")),
                            d.column(styled(d.social(), "place", "end", "place@phone", "start"))),
                        "padding-top",
                        "16px")),
                inStyle("s-caption", d.bound(d.text(""), "© {year}"))),
            "row-gap",
            "20px",
            "padding-bottom",
            "32px"),
        "year",
        "address");
  }

  private static Starter footerAction() {
    Draw d = new Draw("st-footer-action");
    return footer(
        "Says once more what to do now, before the page ends",
        styled(
            inScheme(
                "dark",
                d.section(
                    "Footer with a call to action",
                    d.row(
                        "8 4",
                        d.column(
                            styled(
                                d.heading(2, "What should they do now?"), "margin-bottom", "8px"),
                            d.text("Take away the last doubt in a sentence.")),
                        d.column(
                            styled(
                                d.leading(d.button("Get in touch"), "role:contact"),
                                "place",
                                "end",
                                "place@phone",
                                "start"))),
                    d.divider(),
                    yearAndMenu(d))),
            "background-color",
            "{t-ground}",
            "color",
            "{t-text}",
            "padding-bottom",
            "28px",
            "row-gap",
            "28px"),
        "menu",
        "year",
        "buttons");
  }

  private static Starter notice() {
    Draw d = new Draw("st-band-notice");
    return Starter.template(
        Purpose.NOTICE,
        "One line that all pages show for a while: closed today, a new number",
        styled(
            inScheme(
                "tinted",
                d.section(
                    "Notice in a line",
                    styled(
                        d.text("What everybody has to know today."),
                        "place",
                        "center",
                        "text-align",
                        "center",
                        "font-weight",
                        "600"))),
            "padding-top",
            "10px",
            "padding-bottom",
            "10px",
            "padding-top@phone",
            "10px",
            "padding-bottom@phone",
            "10px",
            "background-color",
            "{t-ground}"),
        "band");
  }

  private static Starter heading() {
    Draw d = new Draw("st-band-heading");
    return Starter.template(
        Purpose.OPENING,
        "The title of whatever page it stands on, in the same place on all of them",
        styled(
            inScheme(
                "tinted",
                d.section(
                    "Page heading",
                    styled(d.bound(d.heading(1, ""), "{page}"), "font-size", "{t-title}"),
                    d.divider())),
            "padding-top",
            "40px",
            "padding-bottom",
            "20px",
            "padding-top@phone",
            "28px",
            "padding-bottom@phone",
            "16px",
            "background-color",
            "{t-ground}"),
        "band",
        "heading");
  }
}
