package goodbones.server.starters;

import static goodbones.server.starters.Draw.forSite;
import static goodbones.server.starters.Draw.inScheme;
import static goodbones.server.starters.Draw.inStyle;
import static goodbones.server.starters.Draw.optional;
import static goodbones.server.starters.Draw.padded;
import static goodbones.server.starters.Draw.ruled;
import static goodbones.server.starters.Draw.ruledLine;
import static goodbones.server.starters.Draw.styled;
import static goodbones.server.starters.Draw.withForms;

import goodbones.document.Node;
import goodbones.library.Purpose;
import java.util.List;

/** Sections with lists of like things, of which each page has as many as it needs. */
final class Listed {
  private Listed() {}

  static List<Starter> all() {
    return List.of(
        cards(),
        lines(),
        steps(),
        stepsDown(),
        team(),
        questions(),
        prices(),
        priceCards(),
        news(),
        ShownPages.asCards(),
        ShownPages.inLines(),
        gallery());
  }

  static Node small(Node heading) {
    return styled(heading, "font-size", "22px");
  }

  private static Starter cards() {
    Draw d = new Draw("st-cards");
    Node card =
        styled(
            padded(
                d.column(
                    optional(d.named("photo", d.picture("3 / 2"))),
                    d.named("name", small(d.heading(3, "A short name"))),
                    d.named("says", d.text("What the reader gets, in one or two lines."))),
                "20px"),
            "background-color",
            "{t-surface}",
            "border-radius",
            "{t-radius}",
            "row-gap",
            "12px");
    Node cards =
        styled(
            d.named(
                "list",
                d.rowList(
                    "4",
                    card,
                    d.item("name", "The first of them"),
                    d.item("name", "The second of them"),
                    d.item("name", "The third of them"))),
            "columns@tablet",
            "6");
    return Starter.template(
        Purpose.CARDS,
        "Things of equal weight beside each other, with a picture or without",
        withForms(
            d.section("Cards", d.heading(2, "What there is to choose from"), cards),
            d.new Form("four", "Four in a line").style("list", "columns", "3"),
            d.new Form("two", "Two in a line").style("list", "columns", "6")),
        "box",
        "list");
  }

  private static Starter lines() {
    Draw d = new Draw("st-lines");
    Node line =
        ruledLine(
            d.row(
                "4 8",
                d.column(d.named("name", small(d.heading(3, "A short name")))),
                d.column(
                    d.named("says", d.text("What is to be said about it, as long as it takes.")))));
    return Starter.template(
        Purpose.CARDS,
        "The same as cards, but as lines between rules: for longer texts",
        d.section(
            "Lines",
            d.heading(2, "What there is to choose from"),
            d.list(
                line,
                d.item("name", "The first of them"),
                d.item("name", "The second of them"),
                d.item("name", "The third of them"))),
        "list");
  }

  private static Starter steps() {
    Draw d = new Draw("st-steps");
    Node step =
        styled(
            ruled(
                d.column(
                    d.named("number", d.label("Step")),
                    d.named("name", small(d.heading(3, "What happens"))),
                    d.named("says", d.text("What the reader does, and what they get.")))),
            "padding-top",
            "16px");
    return Starter.template(
        Purpose.STEPS,
        "How it goes, from left to right",
        d.section(
            "Steps beside each other",
            d.placing("title", Blocks.LABELLED),
            styled(
                d.rowList(
                    "4",
                    step,
                    d.item("number", "First", "name", "They ask"),
                    d.item("number", "Then", "name", "It is made"),
                    d.item("number", "At last", "name", "They have it")),
                "columns@tablet",
                "12")),
        "list");
  }

  private static Starter stepsDown() {
    Draw d = new Draw("st-steps-down");
    Node step =
        styled(
            d.row(
                "2 10",
                d.column(
                    d.named(
                        "number",
                        styled(d.heading(3, "1"), "font-size", "44px", "color", "{t-small}"))),
                styled(
                    d.column(
                        d.named("name", small(d.heading(4, "What happens"))),
                        d.named("says", d.text("What the reader does, and what they get."))),
                    "row-gap",
                    "4px")),
            "columns@phone",
            "2 10",
            "padding-top",
            "16px",
            "padding-bottom",
            "16px");
    return Starter.template(
        Purpose.STEPS,
        "How it goes, from top to bottom: for steps that need words",
        inScheme(
            "tinted",
            d.section(
                "Steps below each other",
                d.heading(2, "How it goes"),
                d.list(
                    step,
                    d.item("number", "1", "name", "They ask"),
                    d.item("number", "2", "name", "It is made"),
                    d.item("number", "3", "name", "They have it")))),
        "list");
  }

  private static Starter team() {
    Draw d = new Draw("st-team");
    Node person =
        styled(
            d.column(
                d.named("portrait", d.picture("1 / 1")),
                d.named("name", small(d.heading(3, "First and last name"))),
                d.named("task", inStyle("s-caption", d.text("What they do here")))),
            "row-gap",
            "6px");
    return Starter.template(
        Purpose.TEAM,
        "The people, all portraits cropped alike",
        d.section(
            "Team",
            d.row(
                "8",
                d.column(
                    d.heading(2, "Who is here"),
                    optional(d.text("How long they have been at it, and what for.")))),
            styled(
                d.rowList(
                    "3",
                    person,
                    d.item("task", "Keeps the accounts"),
                    d.item("task", "Answers the door"),
                    d.item("task", "Does the work"),
                    d.item("task", "Does it too")),
                "columns@tablet",
                "6",
                "columns@phone",
                "6")),
        "people",
        "list");
  }

  private static Starter questions() {
    Draw d = new Draw("st-questions");
    Node question =
        styled(
            ruled(
                d.box(
                    d.named("asked", small(d.heading(3, "What do people ask?"))),
                    d.named("answer", d.text("The answer first, then what belongs to it.")))),
            "padding-top",
            "16px",
            "padding-bottom",
            "16px",
            "row-gap",
            "6px");
    return Starter.template(
        Purpose.QUESTIONS,
        "Questions with their answers, all open",
        d.section(
            "Questions and answers",
            d.row(
                "4 8",
                styled(
                    d.column(
                        d.heading(2, "Often asked"),
                        optional(inStyle("s-quiet", d.button("Ask something else")))),
                    "row-gap",
                    "16px"),
                d.column(
                    d.list(
                        question,
                        d.item("asked", "What does it cost?"),
                        d.item("asked", "How long does it take?"),
                        d.item("asked", "What if it goes wrong?"))))),
        "list");
  }

  private static Starter prices() {
    Draw d = new Draw("st-prices");
    Node line =
        styled(
            ruled(
                d.row(
                    "9 3",
                    styled(
                        d.column(
                            d.named("what", styled(d.text("What it is"), "font-weight", "600")),
                            optional(
                                d.named("note", inStyle("s-caption", d.text("What is in it"))))),
                        "row-gap",
                        "0"),
                    d.column(
                        d.named(
                            "price",
                            styled(d.text("0.00"), "text-align", "end", "font-weight", "600"))))),
            "columns@phone",
            "8 4",
            "padding-top",
            "12px",
            "padding-bottom",
            "12px");
    return Starter.template(
        Purpose.PRICES,
        "A price to a line, for many things",
        d.section(
            "Prices in lines",
            d.row(
                "2+8",
                styled(
                    d.column(
                        d.heading(2, "What it costs"),
                        d.list(
                            line,
                            d.item("what", "One thing", "price", "4.00"),
                            d.item("what", "Another thing", "price", "7.00"),
                            d.item("what", "All of it", "price", "10.00")),
                        optional(inStyle("s-caption", d.text("What all prices include.")))),
                    "row-gap",
                    "16px"))),
        "prices",
        "list");
  }

  private static Starter priceCards() {
    Draw d = new Draw("st-price-cards");
    Node card =
        styled(
            padded(
                d.column(
                    d.named("what", d.label("What it is called")),
                    d.named(
                        "price", styled(d.heading(3, "0.00"), "font-size", "{t-display-phone}")),
                    d.named("gets", d.text("What one gets for it, and for how long.")),
                    optional(d.named("take", d.button("Take it")))),
                "28px"),
            "border",
            "{t-hair}",
            "border-radius",
            "{t-radius}",
            "row-gap",
            "12px");
    return Starter.template(
        Purpose.PRICES,
        "A few offers to choose from, side by side",
        d.section(
            "Prices as offers",
            d.heading(2, "Choose what suits"),
            styled(
                d.rowList(
                    "4",
                    card,
                    d.item("what", "Small", "price", "10"),
                    d.item("what", "Medium", "price", "25"),
                    d.item("what", "Large", "price", "60")),
                "columns@tablet",
                "12")),
        "prices",
        "box",
        "list");
  }

  private static Starter news() {
    Draw d = new Draw("st-news");
    Node entry =
        ruledLine(
            d.row(
                "3 9",
                d.column(d.named("photo", d.picture("4 / 3"))),
                styled(
                    d.column(
                        d.named("when", d.label("1 January")),
                        d.named("title", small(d.heading(3, "What is new, in a line"))),
                        d.named("says", d.text("The first two sentences of it."))),
                    "row-gap",
                    "6px",
                    "content-align",
                    "center")));
    return Starter.template(
        Purpose.NEWS,
        "What is new, the newest first",
        d.section(
            "News",
            d.heading(2, "What is new"),
            d.list(
                entry,
                d.item("title", "The newest of it"),
                d.item("title", "What was new before"),
                d.item("title", "What was new before that"))),
        "list");
  }

  private static Starter gallery() {
    Draw d = new Draw("st-gallery");
    Node picture = styled(d.column(d.named("photo", d.picture("1 / 1"))), "row-gap", "0");
    return Starter.template(
        Purpose.GALLERY,
        "Pictures of one shape in even lines",
        d.section(
            "Gallery",
            optional(d.heading(2, "To look at")),
            styled(
                d.rowList(
                    "3", picture, d.item(), d.item(), d.item(), d.item(), d.item(), d.item(),
                    d.item(), d.item()),
                "column-gap",
                "12px",
                "row-gap",
                "12px",
                "columns@phone",
                "6")),
        "picture",
        "list");
  }

  /** What customers say stands once for the whole site, so it is no list. */
  static Starter voices() {
    Draw d = new Draw("st-voices");
    return Starter.template(
        Purpose.TESTIMONIALS,
        "Three voices, written once and the same on every page of a client",
        inScheme(
            "tinted",
            d.section(
                "Testimonials",
                d.heading(2, "What others say"),
                styled(d.row("4 4 4", voice(d), voice(d), voice(d)), "columns@tablet", "12"))),
        "words");
  }

  private static Node voice(Draw d) {
    return styled(
        padded(
            d.column(
                forSite(
                    d.text("“A sentence or two that somebody really said, and would say again.”")),
                forSite(inStyle("s-caption", d.text("Who said it, and where")))),
            "24px"),
        "background-color",
        "{t-ground}",
        "border",
        "{t-hair}",
        "border-radius",
        "{t-radius}",
        "row-gap",
        "12px");
  }
}
