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
import goodbones.layout.Room;
import goodbones.library.Shown;
import goodbones.style.Finishes;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import goodbones.testing.Built;
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

  /** As a picture of pixels is known, with two narrower files. */
  private static Pictured photo(String id) {
    return new Pictured(
        "pictures/" + id + ".jpg",
        2000,
        1000,
        "Its own words",
        false,
        new Pictured.Focus(0.25, 1),
        List.of(
            new Pictured.Size(640, "pictures/" + id + "-640.jpg"),
            new Pictured.Size(2000, "pictures/" + id + ".jpg")));
  }

  private static Rendered withPhotos(Node section, boolean withIds) {
    return withPhotos(section, withIds, Room.WHOLE);
  }

  private static Rendered withPhotos(Node section, boolean withIds, Room room) {
    Node page = Node.of(NodeId.of("page"), Kind.PAGE, "").withChildren(List.of(section));
    return Renderer.render(
        Shown.of(page),
        FINISHES,
        new Surroundings(
            RendererTest::photo,
            UnaryOperator.identity(),
            List.of(),
            "../",
            withIds,
            Facts.NONE,
            room));
  }

  private static Node column(String id, Node... things) {
    return Node.of(NodeId.of(id), Kind.COLUMN, "").withChildren(List.of(things));
  }

  @Test
  void aBrowserIsToldHowWideAPictureIsDrawnAndWhichFilesThereAre() {
    Node picture =
        Node.of(NodeId.of("p"), Kind.PICTURE, "")
            .withContent("picture", new FieldValue.Picture("ferry", ""));
    Node row =
        Node.of(NodeId.of("r"), Kind.ROW, "")
            .withStyle(StyleKey.parse("columns"), StyleValue.literal("6 6"))
            .withStyle(StyleKey.parse("columns@phone"), StyleValue.literal("12"))
            .withStyle(StyleKey.parse("column-gap"), StyleValue.literal("40px"))
            .withStyle(StyleKey.parse("column-gap@phone"), StyleValue.literal("0px"))
            .withChildren(List.of(column("c1", picture), column("c2")));
    assertThat(withPhotos(section(row), false).body())
        .contains(
            "src=\"../pictures/ferry.jpg\" alt=\"Its own words\" width=\"2000\" height=\"1000\""
                + " srcset=\"../pictures/ferry-640.jpg 640w, ../pictures/ferry.jpg 2000w\""
                + " sizes=\"(max-width: 639px) 100vw, calc(50vw - 20px)\"");
    assertThat(withPhotos(section(row), true).body()).doesNotContain("srcset");
    assertThat(withPhotos(section(row), false, Room.BESIDE_COLUMN).body())
        .as("beside a side column, which there is on a desktop only")
        .contains(
            " sizes=\"(max-width: 639px) 100vw, (max-width: 1023px) calc(50vw - 20px),"
                + " calc(37.5vw - 20px)\"");
  }

  @Test
  void aLinkOpensBesideThePageOnlyWhereThatIsSaidAndItLeadsSomewhere() {
    Node button =
        Node.of(NodeId.of("b"), Kind.BUTTON, "").withContent("words", new FieldValue.Words("Book"));
    assertThat(render(section(button.withContent("link", link("/a", true))), false).body())
        .contains("href=\"/a\" target=\"_blank\" rel=\"noopener\"");
    assertThat(render(section(button.withContent("link", link("/a", false))), false).body())
        .doesNotContain("_blank");
    assertThat(render(section(button.withContent("link", link("", true))), false).body())
        .doesNotContain("_blank");
  }

  private static FieldValue.Link link(String to, boolean newTab) {
    return new FieldValue.Link(to, newTab);
  }

  @Test
  void whatMattersInAPictureIsSeenHoweverItIsCropped() {
    FieldValue.Picture ferry = new FieldValue.Picture("ferry", "");
    Node picture = Node.of(NodeId.of("p"), Kind.PICTURE, "").withContent("picture", ferry);
    assertThat(css(withPhotos(section(picture), true))).contains("object-position:25% 100%");
    assertThat(css(withPhotos(section().withContent("picture", ferry), true)))
        .contains("background-position:25% 100%");
    assertThat(css(render(section(picture), true))).doesNotContain("-position:5");
  }

  @Test
  void wordsHereGoBeforeThePicturesOwnAndDecorationSaysNothing() {
    for (var said : Map.of("", "Its own words", "Here", "Here").entrySet()) {
      FieldValue.Picture ferry = new FieldValue.Picture("ferry", said.getKey());
      Node picture = Node.of(NodeId.of("p"), Kind.PICTURE, "").withContent("picture", ferry);
      assertThat(withPhotos(section(picture), false).body())
          .contains("alt=\"" + said.getValue() + "\"");
    }
    FieldValue.Picture frill = new FieldValue.Picture("ferry", "", true);
    Node picture = Node.of(NodeId.of("p"), Kind.PICTURE, "").withContent("picture", frill);
    assertThat(withPhotos(section(picture), false).body()).contains("alt=\"\"");
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

  private static Node styled(Node node, String... settings) {
    return Built.styled(node, settings);
  }

  private static Node button() {
    return Node.of(NodeId.of("b"), Kind.BUTTON, "")
        .withContent("words", new FieldValue.Words("Join"))
        .withContent("link", new FieldValue.Link("/join?a=1&b=2"));
  }

  @Test
  void aButtonIsALinkWithItsStatesAfterItsLook() {
    Rendered rendered =
        render(
            section(
                styled(
                    button(),
                    "background-color",
                    "#111111",
                    "background-color:hover",
                    "#222222",
                    "background-color@phone:focus",
                    "#333333")),
            false);
    assertThat(rendered.body()).contains("href=\"/join?a=1&amp;b=2\"");
    String rules = css(rendered);
    assertThat(rules.indexOf("#111111")).isLessThan(rules.indexOf(":hover{"));
    assertThat(rules.indexOf(":hover{")).isLessThan(rules.lastIndexOf(":focus-visible{"));
    assertThat(rules).containsPattern("@media \\(width < 640px\\)\\{[^}]*:focus-visible\\{");
  }

  @Test
  void edgesAndMotionAreWrittenOutInLonghands() {
    String rules =
        css(
            render(
                section(
                    styled(
                        button(),
                        "border",
                        "2px dashed #123456",
                        "border:hover",
                        "none",
                        "transition",
                        "150ms",
                        "border-radius",
                        "6px")),
                false));
    assertThat(rules)
        .contains("border-left-style:dashed;border-left-width:2px;border-left-color:#123456")
        .contains("border-left-style:none")
        .contains("transition-property:color,background-color,border-color,box-shadow")
        .contains("transition-duration:150ms;transition-delay:0ms;transition-timing-function:ease")
        .contains("border-bottom-right-radius:6px")
        .doesNotContain("border:")
        .doesNotContain("border-radius:");
  }

  @Test
  void groundsLieOverEachOtherOverlayFirst() {
    Node band =
        styled(
            section().withContent("picture", new FieldValue.Picture("ferry", "")),
            "overlay-color",
            "#00000080",
            "background-gradient",
            "linear-gradient(90deg, #111111 0%, #222222 100%)",
            "background-color",
            "#333333");
    assertThat(css(render(band, false)))
        .contains("background-color:#333333")
        .containsPattern(
            "background-image:linear-gradient\\(#00000080,#00000080\\),"
                + "linear-gradient\\(90deg, ?#111111.*\\),url\\(\"pictures/ferry.svg\"\\)");
    assertThat(css(render(styled(section(), "overlay-color", "transparent"), false)))
        .doesNotContain("background-image");
  }

  @Test
  void placesInABoxAreWrittenForGridAndForLines() {
    Node pinned = styled(text("p", "New"), "pin", "top-right", "order@phone", "2");
    Node across =
        styled(
            Node.of(NodeId.of("x"), Kind.BOX, "").withChildren(List.of(pinned)),
            "flow",
            "across",
            "content-align",
            "end",
            "min-height",
            "50vh");
    Node down = styled(Node.of(NodeId.of("d"), Kind.BOX, ""), "content-align", "space-between");
    String rules = css(render(section(across, down), false));
    assertThat(rules)
        .contains("position:absolute;top:0;right:0")
        .contains("order:2")
        .containsPattern("display:flex[^}]*align-items:end")
        .contains("align-content:space-between")
        .contains("min-height:calc(var(--vh,1vh)*50)");
  }

  @Test
  void aMarginOfAPictureLiesInsideItsPlace() {
    Node picture =
        styled(
            Node.of(NodeId.of("p"), Kind.PICTURE, "")
                .withContent("picture", new FieldValue.Picture("ferry", "")),
            "margin-left",
            "12px",
            "margin-right@phone",
            "auto");
    assertThat(css(render(section(picture), false)))
        .contains("width:calc(100% - 12px - 0px)")
        .contains("margin-right:auto");
  }

  @Test
  void rulesOfTwoPagesOfASiteAreSharedAndInOneOrder() {
    Rendered one = render(section(text("a", "x"), styled(text("b", "y"), "color", "#111")), false);
    Rendered two = render(section(styled(text("c", "z"), "color", "#111")), false);
    String sheet = StyleSheet.of(List.of(one, two));
    assertThat(sheet).isEqualTo(StyleSheet.of(List.of(two, one)));
    assertThat(sheet.split("color:#111", -1)).hasSize(2);
  }
}
