package goodbones.server.starters;

import static goodbones.server.starters.Draw.inStyle;
import static goodbones.server.starters.Draw.optional;
import static goodbones.server.starters.Draw.padded;
import static goodbones.server.starters.Draw.ruled;
import static goodbones.server.starters.Draw.styled;

import goodbones.document.Node;
import java.util.List;

/** Small parts that stand in sections, in other pieces above all. */
final class Blocks {
  static final String BUTTONS = "st-buttons";
  static final String LABELLED = "st-labelled";

  private Blocks() {}

  static List<Starter> all() {
    return List.of(buttons(), labelled(), card(), priceLine(), person(), figure());
  }

  private static Starter buttons() {
    Draw d = new Draw(BUTTONS);
    Node pair =
        styled(
            d.across(
                d.named("first", d.button("First step")),
                optional(d.named("second", inStyle("s-quiet", d.button("Second thought"))))),
            "column-gap",
            "12px",
            "row-gap",
            "12px",
            "margin-top",
            "8px");
    return Starter.block(
        "The step that most should take, and a quieter one that can be left out",
        d.whole("Button pair", pair),
        "buttons");
  }

  private static Starter labelled() {
    Draw d = new Draw(LABELLED);
    return Starter.block(
        "A small label that says what kind of thing it is, over a heading",
        d.whole(
            "Label with heading",
            styled(
                d.box(d.label("What it is about"), d.heading(2, "The point of it in a line")),
                "row-gap",
                "10px")),
        "words");
  }

  private static Starter card() {
    Draw d = new Draw("st-card");
    Node card =
        styled(
            padded(
                d.box(
                    styled(d.heading(3, "A short name"), "font-size", "22px"),
                    d.text("What the reader gets, in one or two lines.")),
                "24px"),
            "background-color",
            "{t-surface}",
            "border-radius",
            "{t-radius}",
            "border",
            "{t-hair}");
    return Starter.block("One thing among others, set off by a tint", d.whole("Card", card), "box");
  }

  private static Starter priceLine() {
    Draw d = new Draw("st-price-line");
    Node line =
        styled(
            ruled(
                d.row(
                    "9 3",
                    d.column(d.text("What it is")),
                    d.column(styled(d.text("0.00"), "text-align", "end", "font-weight", "600")))),
            "columns@phone",
            "8 4",
            "padding-top",
            "12px",
            "padding-bottom",
            "12px");
    return Starter.block("What one thing costs", d.whole("Price line", line), "prices");
  }

  private static Starter person() {
    Draw d = new Draw("st-person");
    Node person =
        styled(
            d.box(
                d.picture("1 / 1"),
                styled(d.heading(3, "First and last name"), "font-size", "22px"),
                inStyle("s-caption", d.text("What they do here"))),
            "row-gap",
            "6px",
            "max-width",
            "260px");
    return Starter.block("A portrait with a name and a task", d.whole("Person", person), "people");
  }

  private static Starter figure() {
    Draw d = new Draw("st-figure");
    Node figure =
        styled(
            d.box(
                styled(d.heading(3, "240"), "font-size", "{t-display-phone}", "color", "{t-small}"),
                inStyle("s-caption", d.text("What is counted"))),
            "row-gap",
            "0");
    return Starter.block("One number and what it counts", d.whole("Figure", figure), "numbers");
  }
}
