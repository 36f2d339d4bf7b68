package goodbones.render;

import static goodbones.testing.Built.node;
import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Bound;
import goodbones.document.Catalogue;
import goodbones.document.FieldValue;
import goodbones.document.Icons;
import goodbones.document.Kind;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.layout.Room;
import goodbones.library.Shown;
import goodbones.site.Details;
import goodbones.site.Links;
import goodbones.site.Menu;
import goodbones.site.PageKind;
import goodbones.site.PageTree;
import goodbones.site.Region;
import goodbones.site.SitePage;
import goodbones.style.SiteFinishes;
import goodbones.testing.HouseFinishes;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/** Logo, menus, bound words and what stands around the content of a page. */
class FrameElementsTest {
  private static final SiteFinishes FINISHES = new SiteFinishes(HouseFinishes.house(), Map.of());
  private static final PageTree TREE =
      new PageTree(
          List.of(
              new SitePage("home", "Home", "/", PageKind.HOME, "", true),
              new SitePage("kites", "Kites <all>", "/kites", PageKind.PAGE, "", true),
              new SitePage("big", "Big ones", "/kites/big", PageKind.PAGE, "kites", true)));
  private static final Details DETAILS =
      new Details(
          "01632 960 551",
          "",
          "2 Sail Loft\nWindrush",
          "",
          List.of(new Details.Social("Knots", "https://knots.example", "anchor")));

  private static final Links LINKS = new Links(TREE, DETAILS, Map.of(), Map.of(), Set.of("prices"));

  private static final Menu MAIN =
      new Menu(
          "Main",
          List.of(
              new Menu.Item("", "page:kites", List.of(new Menu.Item("Big", "page:big", List.of()))),
              new Menu.Item("Gone", "page:gone", List.of()),
              new Menu.Item("Call", "detail:phone", true, List.of())));

  private static String html(Node node, boolean withIds, String logo) {
    Facts facts = Facts.of("Windrush", logo, List.of(MAIN), LINKS, "kites", 2026);
    Surroundings surroundings =
        new Surroundings(
            Pictured.at(id -> id + ".svg"),
            UnaryOperator.identity(),
            List.of(),
            "",
            withIds,
            facts);
    Node page = node("page", Kind.PAGE, node);
    return Renderer.render(Shown.of(page), FINISHES, surroundings).blocks().get(0).html();
  }

  private static Node menu(String name) {
    return node("m", Kind.MENU).withContent("menu", new FieldValue.Menu(name));
  }

  @Test
  void aMenuIsOneListOfLinksThatItsButtonOpens() {
    String html = html(menu("Main"), false, "");
    assertThat(html)
        .containsOnlyOnce("<nav")
        .contains("popovertarget=\"menu-")
        .contains("<li><a href=\"page:kites\" aria-current=\"page\">Kites &lt;all&gt;</a><ul>")
        .contains("<ul><li><a href=\"page:big\">Big</a></li></ul>")
        .contains("href=\"detail:phone\" target=\"_blank\" rel=\"noopener\">Call")
        .doesNotContain("Gone");
    assertThat(html(menu("None"), false, "")).isEmpty();
    assertThat(html(menu("None"), true, "")).contains("data-unset");
  }

  @Test
  void aSocialLinkHasItsIconBeforeItsWords() {
    String drawn = Icons.named("anchor").orElseThrow().outline().get(0);
    assertThat(html(node("so", Kind.SOCIAL), false, ""))
        .containsSubsequence(
            "<a href=\"https://knots.example\">", "<svg", drawn, "</svg>Knots</a>");
  }

  @Test
  void anIconIsDrawnInTheColourOfTextAndIsSilent() {
    Node icon = node("i", Kind.ICON);
    Node star = icon.withContent("icon", new FieldValue.Icon("star", false));
    assertThat(html(star, false, ""))
        .contains("<svg viewBox=\"0 0 24 24\" aria-hidden=\"true\" fill=\"none\"")
        .contains("stroke=\"currentColor\"")
        .contains(Icons.named("star").orElseThrow().outline().get(0));
    assertThat(html(star.withContent("icon", new FieldValue.Icon("star", true)), false, ""))
        .contains("fill=\"currentColor\"")
        .doesNotContain("stroke=");
    assertThat(html(icon, false, "")).isEmpty();
    assertThat(html(icon, true, "")).contains("<svg");
  }

  /** CSS Lists 3, 3.1: a keyword, or a string. */
  @Test
  void theMarksOfAListAreKeywordsOrStrings() {
    Mark list = new Mark(Mark.Type.LIST, 0, 5, "");
    Node text =
        node("t", Kind.TEXT).withContent("words", new FieldValue.Words("Forks", List.of(list)));
    StyleKey key = StyleKey.parse("list-style-type");
    assertThat(css(text.withStyle(key, StyleValue.literal("square"))))
        .contains("list-style-type:square");
    assertThat(css(text.withStyle(key, StyleValue.literal("check"))))
        .contains("list-style-type:\"✓ \"");
    assertThat(Catalogue.faults(text.withStyle(key, StyleValue.literal("\"x\"}")))).isNotEmpty();
  }

  private static String css(Node node) {
    Node page = node("page", Kind.PAGE, node);
    return String.join(
        "\n",
        Renderer.render(
                Shown.of(page),
                FINISHES,
                new Surroundings(
                    Pictured.at(id -> id),
                    UnaryOperator.identity(),
                    List.of(),
                    "",
                    false,
                    Facts.NONE))
            .rules()
            .values());
  }

  @Test
  void theStatesOfAMenuAreThoseOfItsLinks() {
    Node menu =
        menu("Main")
            .withStyle(StyleKey.parse("color:hover"), StyleValue.literal("#123456"))
            .withStyle(StyleKey.parse("color:current"), StyleValue.literal("#654321"));
    Node page = node("page", Kind.PAGE, menu);
    Surroundings plain =
        new Surroundings(
            Pictured.at(id -> id), UnaryOperator.identity(), List.of(), "", true, Facts.NONE);
    String css = StyleSheet.of(List.of(Renderer.render(Shown.of(page), FINISHES, plain)));
    assertThat(css)
        .containsPattern("\\.g\\w+ a:hover\\{color:#123456}")
        .containsPattern("\\.g\\w+ a\\[aria-current]\\{color:#654321}");
  }

  @Test
  void theLogoLeadsHomeAndIsTheNameWhileThereIsNone() {
    assertThat(html(node("l", Kind.LOGO), false, "")).contains("href=\"role:home\">Windrush</a>");
    assertThat(html(node("l", Kind.LOGO), false, "mark"))
        .contains("<img src=\"mark.svg\" alt=\"Windrush\">");
  }

  private static Node bound(String text, int from, int to, Bound what) {
    return node("t", Kind.TEXT)
        .withContent(
            "words",
            new FieldValue.Words(text, List.of(new Mark(Mark.Type.BOUND, from, to, what.word()))));
  }

  @Test
  void boundWordsAreWrittenOnceAndRightEverywhere() {
    assertThat(html(bound("© Year by us", 2, 6, Bound.YEAR), false, "")).contains("© 2026 by us");
    assertThat(html(bound("Find us at Address", 11, 18, Bound.ADDRESS), false, ""))
        .contains("Find us at 2 Sail Loft<br>Windrush");
    assertThat(html(bound("Open Hours", 5, 10, Bound.HOURS), false, "")).contains(">Open </p>");
    assertThat(html(bound("Hours", 0, 5, Bound.HOURS), false, ""))
        .as("what would say nothing is not there")
        .isEmpty();
    assertThat(html(bound("Hours", 0, 5, Bound.HOURS), true, "")).contains("data-unset>Hours<");
  }

  @Test
  void whatCanBeBoundSurvivesTypingAndComesBackFromTheCanvas() {
    FieldValue.Words words =
        new FieldValue.Words("© Year", List.of(new Mark(Mark.Type.BOUND, 2, 6, "year")));
    assertThat(goodbones.exchange.MarkedHtml.words(PlainHtml.inside(words))).isEqualTo(words);
    assertThat(words.retyped("All © Year").marks())
        .containsExactly(new Mark(Mark.Type.BOUND, 6, 10, "year"));
  }

  @Test
  void whatStandsAroundAPageIsInTheElementsThatSayWhatItIs() {
    Surroundings plain =
        new Surroundings(
            Pictured.at(id -> id), UnaryOperator.identity(), List.of(), "", false, Facts.NONE);
    Rendered page =
        Renderer.render(
            Shown.of(node("page", Kind.PAGE, node("own", Kind.SECTION))), FINISHES, plain);
    Rendered part =
        Renderer.render(
            Shown.of(node("around", Kind.PAGE, node("band", Kind.SECTION))), FINISHES, plain);
    Framed framed =
        new Framed(
            page,
            List.of(
                new Framed.Part(Region.HEADER, "h", part),
                new Framed.Part(Region.BAND_ABOVE, "b", part),
                new Framed.Part(Region.SIDE, "s", part),
                new Framed.Part(Region.FOOTER, "f", part)));
    assertThat(framed.body().replaceAll(" class=\"(section[^\"]*)\"", ""))
        .contains(
            "<header><div class=\"around\"><section></section></div></header>"
                + "<div class=\"beside\"><aside><div class=\"around\"><section></section></div>"
                + "</aside><main><div class=\"around\"><section></section></div>"
                + "<div class=\"own\"><section></section></div></main></div>"
                + "<footer><div class=\"around\"><section></section></div></footer></body>");
    assertThat(Framed.bare(page).body()).isEqualTo(page.body());
    assertThat(new Framed(part, List.of(), true, Room.SIDE_COLUMN).body())
        .as("a side column by itself is as narrow as where it stands")
        .contains("<div class=\"beside\"><main><div class=\"own\"><section")
        .endsWith("</div></main></div></body>");
  }
}
