package goodbones.render;

import static goodbones.testing.Built.node;
import static goodbones.testing.Built.styled;
import static goodbones.testing.Built.text;
import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.library.Shown;
import goodbones.style.SiteFinishes;
import goodbones.testing.HouseFinishes;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.parser.Parser;
import org.junit.jupiter.api.Test;

/** Words with their marks, and nodes for other programs. */
class PlainHtmlTest {
  private static final SiteFinishes FINISHES = new SiteFinishes(HouseFinishes.house(), Map.of());

  private static String inside(String words, Mark... marks) {
    return PlainHtml.inside(new FieldValue.Words(words, List.of(marks)));
  }

  private static Mark mark(Mark.Type type, int from, int to) {
    return new Mark(type, from, to, "");
  }

  @Test
  void marksInEachOtherAreClosedInOrder() {
    String html =
        inside(
            "Plots free in June",
            new Mark(Mark.Type.LINK, 0, 18, "/plots"),
            mark(Mark.Type.BOLD, 0, 10),
            mark(Mark.Type.ITALIC, 6, 18));
    assertThat(html)
        .isEqualTo("<a href=\"/plots\"><strong>Plots <em>free</em></strong><em> in June</em></a>");
    assertThat(Parser.htmlParser().setTrackErrors(1).parseInput(html, "").wholeText())
        .isEqualTo("Plots free in June");
  }

  @Test
  void aColourSaysWhatIsStored() {
    assertThat(inside("Sold out", new Mark(Mark.Type.COLOUR, 0, 4, "{color.accent}")))
        .isEqualTo("<span data-colour=\"{color.accent}\">Sold</span> out");
  }

  @Test
  void linesOfAListBecomeItemsAndOtherLinesParagraphs() {
    String words = "Bring\nforks\nspades\nand friends\nagain";
    String html = inside(words, mark(Mark.Type.LIST, 6, 18), mark(Mark.Type.BOLD, 12, 18));
    assertThat(html)
        .isEqualTo(
            "<p>Bring</p><ul><li>forks</li><li><strong>spades</strong></li></ul>"
                + "<p>and friends<br>again</p>");
  }

  @Test
  void aLinkInWordsMayOpenBesideThePage() {
    assertThat(
            inside(
                "the gate", new Mark(Mark.Type.LINK, 4, 8, "/gate"), mark(Mark.Type.NEW_TAB, 4, 8)))
        .isEqualTo("the <a href=\"/gate\" target=\"_blank\" rel=\"noopener\">gate</a>");
    assertThat(inside("the gate", mark(Mark.Type.NEW_TAB, 4, 8))).isEqualTo("the gate");
  }

  @Test
  void aListThatIsCountedIsNumbered() {
    String words = "dig\nsow\nrest\nand wait";
    assertThat(
            inside(
                words, new Mark(Mark.Type.LIST, 0, 7, Mark.NUMBERED), mark(Mark.Type.LIST, 8, 12)))
        .isEqualTo("<ol><li>dig</li><li>sow</li></ol><ul><li>rest</li></ul><p>and wait</p>");
  }

  @Test
  void whatIsWrittenIsNeverReadAsHtml() {
    assertThat(inside("<b> & \"", mark(Mark.Type.BOLD, 0, 7)))
        .isEqualTo("<strong>&lt;b&gt; &amp; &quot;</strong>");
    assertThat(inside("here", new Mark(Mark.Type.LINK, 0, 4, "/\" onclick=\"x")))
        .doesNotContain("\" onclick");
  }

  @Test
  void nodesForOtherProgramsHaveNoClassesAndNoIds() {
    Node section =
        node(
            "s",
            Kind.SECTION,
            styled(text("t", "Plots"), "color", "{color.accent}"),
            node("h", Kind.HEADING)
                .withContent("level", new FieldValue.Level(3))
                .withContent("words", new FieldValue.Words("June")),
            node("empty", Kind.LABEL));
    Node page = node("page", Kind.PAGE, section);
    String html = PlainHtml.of(Shown.of(page), FINISHES, List.of(page));
    assertThat(html).isEqualTo("<section><p>Plots</p><h3>June</h3></section>");
    assertThat(
            PlainHtml.of(
                Shown.of(page), FINISHES, Arrays.asList(section.children().toArray(Node[]::new))))
        .isEqualTo("<p>Plots</p>\n<h3>June</h3>\n");
    assertThat(Jsoup.parse(html).select("[class],[data-node],[style]")).isEmpty();
  }
}
