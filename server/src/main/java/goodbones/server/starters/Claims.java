package goodbones.server.starters;

import static goodbones.server.starters.Draw.inScheme;
import static goodbones.server.starters.Draw.inStyle;
import static goodbones.server.starters.Draw.optional;
import static goodbones.server.starters.Draw.ruled;
import static goodbones.server.starters.Draw.styled;
import static goodbones.server.starters.Draw.withForms;

import goodbones.document.Node;
import goodbones.library.Purpose;
import java.util.List;

/** Sections that say why: reasons, under icons too, and numbers. */
final class Claims {
  private Claims() {}

  static List<Starter> all() {
    return List.of(reasons(), signs(), statistics());
  }

  private static Starter reasons() {
    Draw d = new Draw("st-reasons");
    Node reason =
        styled(
            d.column(
                d.named("name", Listed.small(d.heading(3, "A reason in three words"))),
                d.named("says", d.text("What it means for the reader."))),
            "row-gap",
            "6px");
    return Starter.template(
        Purpose.REASONS,
        "One claim at the side, the reasons for it in two columns",
        d.section(
            "Reasons",
            d.row(
                "4 8",
                styled(
                    d.column(
                        d.placing("title", Blocks.LABELLED),
                        optional(inStyle("s-caption", d.text("What all of them have in common.")))),
                    "row-gap",
                    "12px"),
                d.column(
                    d.rowList(
                        "6",
                        reason,
                        d.item("name", "Because it lasts"),
                        d.item("name", "Because it is near"),
                        d.item("name", "Because it is fair"),
                        d.item("name", "Because they know how"))))),
        "list");
  }

  private static Starter signs() {
    Draw d = new Draw("st-signs");
    Node sign =
        styled(
            ruled(
                d.column(
                    d.named("icon", d.icon("circle-check")),
                    d.named("name", Listed.small(d.heading(3, "A sign in three words"))),
                    d.named("says", d.text("What it stands for, in a line.")))),
            "row-gap",
            "10px",
            "padding-top",
            "20px");
    return Starter.template(
        Purpose.REASONS,
        "Short reasons beside each other, each under an icon that can be seen from afar",
        withForms(
            d.section(
                "Signs",
                d.heading(2, "What you can count on"),
                styled(
                    d.named(
                        "list",
                        d.rowList(
                            "4",
                            sign,
                            d.withIcon(d.item("name", "Open every day"), "icon", "clock"),
                            d.withIcon(d.item("name", "Easy to reach"), "icon", "map-pin"),
                            d.withIcon(d.item("name", "Made to last"), "icon", "shield-check"))),
                    "columns@tablet",
                    "4")),
            d.new Form("four", "Four in a line").style("list", "columns", "3")),
        "list");
  }

  private static Starter statistics() {
    Draw d = new Draw("st-statistics");
    Node figure =
        styled(
            d.column(
                d.named(
                    "number",
                    styled(
                        d.heading(3, "240"),
                        "font-size",
                        "{t-display}",
                        "font-size@phone",
                        "{t-display-phone}",
                        "line-height",
                        "1")),
                d.named("what", inStyle("s-caption", d.text("What is counted")))),
            "row-gap",
            "8px");
    return Starter.template(
        Purpose.STATISTICS,
        "A few large numbers on the dark scheme",
        inScheme(
            "dark",
            d.section(
                "Statistics",
                optional(d.heading(2, "In numbers")),
                styled(
                    d.rowList(
                        "3",
                        figure,
                        d.item("number", "1921", "what", "Since when"),
                        d.item("number", "38", "what", "How many"),
                        d.item("number", "4.5", "what", "How long, in hours"),
                        d.item("number", "12", "what", "How often in a year")),
                    "columns@tablet",
                    "6",
                    "columns@phone",
                    "6"))),
        "numbers",
        "list");
  }
}
