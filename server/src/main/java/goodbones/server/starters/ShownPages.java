package goodbones.server.starters;

import static goodbones.server.starters.Draw.inStyle;
import static goodbones.server.starters.Draw.optional;
import static goodbones.server.starters.Draw.ruledLine;
import static goodbones.server.starters.Draw.styled;
import static goodbones.server.starters.Listed.small;

import goodbones.document.Node;
import goodbones.library.Purpose;

/** Lists whose items show pages of the site. */
final class ShownPages {
  private ShownPages() {}

  /** Cards of pages: all that they say comes from the pages. */
  static Starter asCards() {
    Draw d = new Draw("st-pages-cards");
    Node card =
        styled(
            d.column(
                optional(d.named("photo", d.pictureShown("3 / 2"))),
                title(d),
                summary(d),
                optional(more(d))),
            "row-gap",
            "12px");
    return Starter.template(
        Purpose.CARDS,
        "Pages beside each other: title, picture and summary come from each page",
        d.section(
            "Pages as cards",
            optional(d.heading(2, "Where to read on")),
            styled(
                d.named("list", d.rowList("4", card, d.item(), d.item(), d.item())),
                "columns@tablet",
                "6")),
        "list");
  }

  static Starter inLines() {
    Draw d = new Draw("st-pages-lines");
    Node line =
        ruledLine(
            d.row(
                "9 3",
                styled(d.column(title(d), summary(d)), "row-gap", "6px"),
                styled(d.column(more(d)), "content-align", "center")));
    return Starter.template(
        Purpose.NEWS,
        "Pages as lines between rules, without pictures: for many of them",
        d.section(
            "Pages in lines",
            optional(d.heading(2, "What there is to read")),
            d.list(line, d.item(), d.item(), d.item())),
        "list");
  }

  private static Node title(Draw d) {
    return d.named("name", small(d.bound(d.heading(3, ""), "{item-title}")));
  }

  private static Node summary(Draw d) {
    return d.named("says", d.bound(d.text(""), "{item-summary}"));
  }

  private static Node more(Draw d) {
    return d.named(
        "more", inStyle("s-quiet", d.bound(d.buttonToShown(""), "Read on: {item-title}")));
  }
}
