package goodbones.server.starters;

import static goodbones.server.starters.Draw.inScheme;
import static goodbones.server.starters.Draw.inStyle;
import static goodbones.server.starters.Draw.optional;
import static goodbones.server.starters.Draw.padded;
import static goodbones.server.starters.Draw.styled;
import static goodbones.server.starters.Draw.withForms;

import goodbones.document.FieldValue;
import goodbones.document.Node;
import goodbones.library.Purpose;
import java.util.List;

/** What a page begins with, and pictures with text. */
final class Openings {
  /** The quieter button, where it stands on a picture. */
  private static final List<String> QUIET_ON_PICTURE =
      List.of(
          "st-buttons-second",
          "color",
          "{t-on-picture}",
          "st-buttons-second",
          "border",
          "2px solid {t-on-picture}",
          "st-buttons-second",
          "background-color:hover",
          "rgb(0 0 0 / 60%)");

  private Openings() {}

  static List<Starter> all() {
    return List.of(
        overPicture(), besidePicture(), inWords(), forInnerPage(), pictureWithText(), captioned());
  }

  private static Node title(Draw d, String words) {
    return styled(
        d.heading(1, words),
        "font-size",
        "{t-display}",
        "font-size@phone",
        "{t-display-phone}",
        "line-height",
        "1.1",
        "max-width",
        "820px");
  }

  private static Starter overPicture() {
    Draw d = new Draw("st-opening-picture");
    Node band =
        styled(
            d.section(
                    "Opening over a picture",
                    styled(d.label("Who it is"), "color", "{t-on-picture}"),
                    title(d, "What they do, for whom, in one line"),
                    d.named(
                        "lead",
                        inStyle("s-lead", d.text("The sentence that makes the reader stay."))),
                    d.placing("buttons", Blocks.BUTTONS, QUIET_ON_PICTURE))
                .withContent("picture", FieldValue.Picture.STAND_IN),
            "color",
            "{t-on-picture}",
            "background-color",
            "#26323a",
            "overlay-color",
            "rgb(10 16 22 / 72%)",
            "min-height",
            "92vh",
            "content-align",
            "center");
    return Starter.template(
        Purpose.OPENING,
        "Fills the first screen with a picture; the words stand on a dark veil",
        withForms(
            band,
            d.new Form("half", "Half the screen").style("", "min-height", "52vh"),
            d.new Form("slim", "Slim, heading only")
                .style("", "min-height", "28vh")
                .without("lead")
                .without("buttons")),
        "picture",
        "tall");
  }

  private static Starter besidePicture() {
    Draw d = new Draw("st-opening-beside");
    Node words =
        styled(
            d.named(
                "words",
                d.column(
                    d.label("Who it is"),
                    title(d, "What they do, for whom, in one line"),
                    inStyle("s-lead", d.text("The sentence that makes the reader stay.")),
                    d.placing("buttons", Blocks.BUTTONS))),
            "row-gap",
            "16px",
            "content-align",
            "center");
    Node side = d.named("side", d.column(styled(d.picture("4 / 5"), "box-shadow", "{t-shadow}")));
    return Starter.template(
        Purpose.OPENING,
        "Words first, an upright picture at their side",
        withForms(
            d.section("Opening beside a picture", d.named("row", d.row("7 5", words, side))),
            d.new Form("leading", "Picture first")
                .style("side", "order", "-1")
                .style("row", "columns", "5 7"),
            d.new Form("none", "No picture").without("side").style("row", "columns", "9")),
        "picture");
  }

  private static Starter inWords() {
    Draw d = new Draw("st-opening-words");
    Node band =
        inScheme(
            "tinted",
            d.section(
                "Opening in words",
                d.row(
                    "9 3",
                    styled(
                        d.column(
                            title(d, "A sentence large enough to stand without a picture"),
                            inStyle("s-lead", d.text("Then say what is different about it."))),
                        "row-gap",
                        "20px"),
                    styled(
                        d.column(
                            optional(
                                styled(
                                    padded(
                                        d.box(
                                            d.label("Good to know"),
                                            inStyle(
                                                "s-caption",
                                                d.text("One fact that many ask for."))),
                                        "20px"),
                                    "background-color",
                                    "{t-ground}",
                                    "border",
                                    "{t-hair}",
                                    "border-radius",
                                    "{t-radius}"))),
                        "content-align",
                        "end"))));
    return Starter.template(
        Purpose.OPENING, "No picture: one large sentence, and a fact at its side", band, "words");
  }

  private static Starter forInnerPage() {
    Draw d = new Draw("st-opening-inner");
    Node band =
        styled(
            d.section(
                "Heading of an inner page",
                d.label("Where we are"),
                styled(
                    d.heading(1, "Title of the page"),
                    "font-size",
                    "44px",
                    "font-size@phone",
                    "34px"),
                optional(inStyle("s-lead", d.text("What is on it, in a sentence.")))),
            "padding-top",
            "56px",
            "padding-bottom",
            "40px",
            "border-top-width",
            "6px",
            "border-top-color",
            "{t-accent}");
    return Starter.template(
        Purpose.OPENING, "Low, under a rule in the accent; for pages below home", band, "slim");
  }

  private static Starter pictureWithText() {
    Draw d = new Draw("st-picture-text");
    Node side = d.named("side", d.column(d.picture("4 / 3")));
    Node words =
        styled(
            d.named(
                "words",
                d.column(
                    d.placing("title", Blocks.LABELLED),
                    d.text(
                        "A paragraph about what is seen. Say what it is, who made it and why it matters to the reader."),
                    optional(inStyle("s-quiet", d.button("Read on"))))),
            "row-gap",
            "14px",
            "content-align",
            "center");
    return Starter.template(
        Purpose.PICTURE_WITH_TEXT,
        "One picture and what there is to say about it",
        withForms(
            d.section("Picture with text", d.named("row", d.row("6 6", side, words))),
            d.new Form("trailing", "Picture last").style("side", "order", "1"),
            d.new Form("under", "Picture underneath")
                .style("row", "columns", "12")
                .style("side", "order", "1"),
            d.new Form("none", "No picture").without("side").style("row", "columns", "2+8"),
            d.new Form("slim", "Slim")
                .style("row", "columns", "3 9")
                .style("", "padding-top", "32px")
                .style("", "padding-bottom", "32px")),
        "picture");
  }

  private static Starter captioned() {
    Draw d = new Draw("st-picture-wide");
    return Starter.template(
        Purpose.PICTURE_WITH_TEXT,
        "A picture as wide as the content, its caption set to the side below",
        d.section(
            "Wide picture with a caption",
            d.picture("21 / 9"),
            d.row(
                "4 8",
                d.column(d.label("Where it was taken")),
                d.column(
                    inStyle("s-caption", d.text("What is seen, and what to look for in it."))))),
        "picture");
  }
}
