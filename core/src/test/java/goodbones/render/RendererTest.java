package goodbones.render;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.fonts.FontFace;
import goodbones.library.Shown;
import goodbones.style.Finishes;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import goodbones.testing.Trees;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;

class RendererTest {
  private static final SiteFinishes FINISHES =
      new SiteFinishes(
          Finishes.of(
              List.of(
                  Token.of(
                      "t",
                      "font.body",
                      TokenType.FONT_FAMILY,
                      StyleValue.parse("Source Sans 3, Arial, sans-serif"),
                      ""),
                  Token.of(
                      "c", "color.accent", TokenType.COLOR, StyleValue.literal("#123456"), "")),
              List.of(),
              Map.of(Kind.PAGE, Map.of(StyleKey.parse("font-family"), StyleValue.token("t")))),
          Map.of());

  private static Surroundings surroundings(boolean withIds) {
    return new Surroundings(
        id -> "pictures/" + id + ".svg",
        UnaryOperator.identity(),
        List.of(
            new FontFace("Source Sans 3", "fonts/source.woff2", "woff2", 200, 900),
            new FontFace("Other", "fonts/other.ttf", "truetype", 400, 400)),
        "../",
        withIds);
  }

  private static Rendered render(Node section, boolean withIds) {
    Node page = Node.of(NodeId.of("page"), Kind.PAGE, "").withChildren(List.of(section));
    return Renderer.render(Shown.of(page), FINISHES, surroundings(withIds));
  }

  private static Node section(Node... children) {
    return Node.of(NodeId.of("s"), Kind.SECTION, "").withChildren(List.of(children));
  }

  private static Node text(String id, String words) {
    return Node.of(NodeId.of(id), Kind.TEXT, "").withContent("words", new FieldValue.Words(words));
  }

  private static String css(Rendered rendered) {
    return StyleSheet.of(List.of(rendered));
  }

  @Test
  void wordsAreEscapedAndLineBreaksKept() {
    String html =
        render(section(text("a", "<script>alert('x')</script> & \"co\"\nnext")), false).body();
    assertThat(html).doesNotContain("<script>").contains("<br>next");
    assertThat(Jsoup.parse(html).selectFirst("p").wholeText())
        .isEqualTo("<script>alert('x')</script> & \"co\"\nnext");
  }

  @Test
  void theSameInputGivesTheSameBytesAndTheHtmlParsesBackToTheTree() {
    for (long seed = 0; seed < 300; seed++) {
      Node tree = new Trees(seed, "n").section();
      Rendered once = render(tree, true);
      assertThat(render(tree, true)).as("seed %d", seed).isEqualTo(once);
      Document parsed = Jsoup.parse("<html>" + once.body() + "</html>");
      assertThat(parsed.select("[data-node]").eachAttr("data-node"))
          .as("seed %d", seed)
          .containsExactlyElementsOf(
              java.util.stream.Stream.concat(
                      java.util.stream.Stream.of("page"),
                      tree.all().stream().map(n -> n.id().value()))
                  .toList());
    }
  }

  @Test
  void equalStylesShareOneClassAndIdsStayOutOfPublishedPages() {
    Rendered rendered = render(section(text("a", "one"), text("b", "two")), false);
    Document parsed = Jsoup.parse(rendered.body());
    assertThat(parsed.select("p").eachAttr("class").stream().distinct()).hasSize(1);
    assertThat(rendered.body()).doesNotContain("data-node");
  }

  @Test
  void devicesComeInExclusiveRanges() {
    Node sized =
        text("a", "x")
            .withStyle(StyleKey.parse("font-size"), StyleValue.literal("20px"))
            .withStyle(StyleKey.parse("font-size@phone"), StyleValue.literal("16px"))
            .withHiddenOn(Set.of(Device.TABLET));
    String rules = css(render(section(sized), false));
    assertThat(rules)
        .contains("@media (width >= 1024px)")
        .contains("@media (640px <= width < 1024px)")
        .contains("@media (width < 640px)")
        .contains("display:none");
  }

  @Test
  void familiesAreQuotedSoThatTheDeclarationIsValid() {
    String rules = css(render(section(text("a", "x")), false));
    assertThat(rules)
        .contains("--font-body:\"Source Sans 3\",\"Arial\",sans-serif")
        .contains("url(\"fonts/source.woff2\")");
  }

  @Test
  void aPictureBehindLiesUnderItsOverlay() {
    Node band =
        section()
            .withContent("picture", new FieldValue.Picture("ferry", ""))
            .withStyle(StyleKey.parse("overlay-color"), StyleValue.literal("#00000080"));
    Rendered rendered = render(band, false);
    assertThat(css(rendered))
        .contains(
            "background-image:linear-gradient(#00000080,#00000080),url(\"pictures/ferry.svg\")");
    assertThat(rendered.pictures()).containsExactly("ferry");
  }

  @Test
  void aPictureInThePageIsFoundFromThePagesFolder() {
    Node picture =
        Node.of(NodeId.of("p"), Kind.PICTURE, "")
            .withContent("picture", new FieldValue.Picture("ferry", "A \"ferry\""));
    assertThat(render(section(picture), false).body())
        .contains("src=\"../pictures/ferry.svg\" alt=\"A &quot;ferry&quot;\"");
  }

  @Test
  void columnsTakeTheirTwelfths() {
    Node row =
        Node.of(NodeId.of("r"), Kind.ROW, "")
            .withStyle(StyleKey.parse("columns"), StyleValue.literal("7 5"))
            .withStyle(StyleKey.parse("columns@phone"), StyleValue.literal("12"))
            .withChildren(
                List.of(
                    Node.of(NodeId.of("c1"), Kind.COLUMN, ""),
                    Node.of(NodeId.of("c2"), Kind.COLUMN, "")));
    assertThat(css(render(section(row), false)))
        .contains("grid-column:span 7 / auto")
        .contains("grid-column:span 5 / auto")
        .contains("grid-template-columns:repeat(12,minmax(0,1fr))")
        .contains("grid-template-columns:minmax(0,1fr)")
        .contains("grid-column:span 1 / auto");
  }
}
