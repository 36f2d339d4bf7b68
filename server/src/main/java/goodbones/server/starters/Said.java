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

/** Sections that say one thing: a quote, what to do next, where to find somebody. */
final class Said {
  private Said() {}

  static List<Starter> all() {
    return List.of(quote(), action(), actionSlim(), contact(), hours(), text(), closing());
  }

  private static Starter quote() {
    Draw d = new Draw("st-quote");
    return Starter.template(
        Purpose.QUOTE,
        "One sentence that somebody said, large, with who it was",
        withForms(
            inScheme(
                "dark",
                d.section(
                    "Quote",
                    d.row(
                        "1+10",
                        styled(
                            d.column(
                                inStyle(
                                    "s-quote",
                                    d.heading(2, "“One good sentence that somebody said.”")),
                                inStyle("s-caption", d.text("Who said it, and where"))),
                            "row-gap",
                            "20px")))),
            d.new Form("tint", "On a tint").scheme("tinted")),
        "words");
  }

  private static Starter action() {
    Draw d = new Draw("st-action");
    return Starter.template(
        Purpose.CALL_TO_ACTION,
        "Near the foot of a page: what the reader should do now",
        inScheme(
            "tinted",
            d.section(
                "Call to action, centred",
                d.row(
                    "3+6",
                    styled(
                        d.column(
                            styled(
                                d.heading(2, "What should they do now?"), "text-align", "center"),
                            styled(
                                d.text("Take away the last doubt in a sentence."),
                                "text-align",
                                "center",
                                "place",
                                "center"),
                            styled(d.box(d.placing("buttons", Blocks.BUTTONS)), "place", "center")),
                        "row-gap",
                        "16px")))),
        "buttons");
  }

  private static Starter actionSlim() {
    Draw d = new Draw("st-action-slim");
    Node band =
        styled(
            d.section(
                "Call to action in a line",
                d.row(
                    "8 4",
                    styled(
                        d.column(
                            styled(d.heading(2, "One sentence that asks"), "font-size", "26px")),
                        "content-align",
                        "center"),
                    styled(
                        d.column(styled(d.button("Do it"), "place", "end", "place@phone", "start")),
                        "content-align",
                        "center"))),
            "padding-top",
            "32px",
            "padding-bottom",
            "32px",
            "border-top-width",
            "1px",
            "border-top-color",
            "{t-accent}");
    return Starter.template(
        Purpose.CALL_TO_ACTION,
        "A question and a button in one line, between two sections",
        band,
        "buttons",
        "slim");
  }

  private static Starter contact() {
    Draw d = new Draw("st-contact");
    Node line =
        styled(
            ruled(
                d.row(
                    "4 8",
                    d.column(d.named("way", d.label("Which way"))),
                    d.column(d.named("where", d.text("The number, or the address"))))),
            "columns@phone",
            "5 7",
            "padding-top",
            "12px",
            "padding-bottom",
            "12px");
    return Starter.template(
        Purpose.CONTACT,
        "Every way to reach somebody, and a picture of where they are",
        d.section(
            "Contact",
            d.row(
                "6 6",
                styled(
                    d.column(
                        d.heading(2, "How to reach us"),
                        d.text("When somebody answers, and how soon."),
                        d.list(
                            line,
                            d.item("way", "Telephone"),
                            d.item("way", "Mail"),
                            d.item("way", "Letters"))),
                    "row-gap",
                    "16px"),
                d.column(optional(d.picture("4 / 3"))))),
        "list");
  }

  private static Starter hours() {
    Draw d = new Draw("st-hours");
    Node line =
        styled(
            ruled(
                d.row(
                    "6 6",
                    d.column(d.named("days", d.text("Which days"))),
                    d.column(
                        d.named(
                            "times", styled(d.text("From when to when"), "text-align", "end"))))),
            "columns@phone",
            "6 6",
            "padding-top",
            "10px",
            "padding-bottom",
            "10px");
    return Starter.template(
        Purpose.HOURS,
        "The days in lines, with what is different on holidays at their foot",
        inScheme(
            "tinted",
            d.section(
                "Opening hours",
                d.row(
                    "5 7",
                    d.column(d.placing("title", Blocks.LABELLED)),
                    styled(
                        d.column(
                            d.list(
                                line,
                                d.item("days", "Weekdays", "times", "9 to 5"),
                                d.item("days", "Saturdays", "times", "10 to 1"),
                                d.item("days", "Sundays", "times", "closed")),
                            optional(
                                inStyle("s-caption", d.text("What is different on holidays.")))),
                        "row-gap",
                        "12px")))),
        "list");
  }

  private static Starter text() {
    Draw d = new Draw("st-text");
    return Starter.template(
        Purpose.TEXT,
        "Running text at a width that reads well",
        withForms(
            d.section(
                "Running text",
                d.named(
                    "row",
                    d.row(
                        "2+8",
                        styled(
                            d.column(
                                d.heading(2, "What this part is about"),
                                inStyle("s-lead", d.text("The sentence that sums it up.")),
                                d.text(
                                    "Then the rest of it, a thought to a paragraph. Say who did what, when and where, and leave out what nobody asks for.")),
                            "row-gap",
                            "16px")))),
            d.new Form("edge", "From the edge").style("row", "columns", "8")),
        "words");
  }

  private static Starter closing() {
    Draw d = new Draw("st-closing");
    Node band =
        styled(
            inScheme(
                "dark",
                d.section(
                    "Closing band",
                    styled(
                        d.row(
                            "5 4 3",
                            styled(
                                d.column(
                                    styled(d.heading(2, "Name"), "font-size", "26px"),
                                    inStyle("s-caption", d.text("What they do, in a line"))),
                                "row-gap",
                                "8px"),
                            styled(
                                d.column(
                                    d.label("Where"),
                                    inStyle("s-caption", d.text("Street and town"))),
                                "row-gap",
                                "8px"),
                            styled(
                                d.column(
                                    d.label("When"),
                                    inStyle("s-caption", d.text("Days and hours"))),
                                "row-gap",
                                "8px")),
                        "columns@tablet",
                        "12 6 6"))),
            "padding-top",
            "56px",
            "padding-bottom",
            "56px");
    return Starter.template(
        Purpose.FOOTER, "Who, where and when, at the foot of a page", band, "dark");
  }
}
