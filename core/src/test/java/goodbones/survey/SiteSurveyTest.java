package goodbones.survey;

import static goodbones.testing.Built.node;
import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Bound;
import goodbones.document.Edit;
import goodbones.document.Editor;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.PageShown;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.layout.Room;
import goodbones.library.Members;
import goodbones.library.Shown;
import goodbones.render.Pictured;
import goodbones.site.Links;
import goodbones.site.PageKind;
import goodbones.site.PageTree;
import goodbones.site.SitePage;
import goodbones.style.Finishes;
import goodbones.style.NamedStyle;
import goodbones.style.SiteFinishes;
import goodbones.testing.CataloguePages;
import goodbones.testing.HouseFinishes;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

class SiteSurveyTest {
  private static final SitePage HOME = new SitePage("home", "Home", "/", PageKind.HOME, "", true);
  private static final SitePage WORK =
      new SitePage("work", "Later", "/later", PageKind.PAGE, "", false);
  private static final SitePage WHOLE =
      new SitePage("whole", "All", "/all", PageKind.PAGE, "", true, "All of it.", "said 1");
  private static final SurveyedSite SITE =
      new SurveyedSite(
          Links.of(new PageTree(List.of(HOME, WORK, WHOLE))),
          Set.of(Bound.NAME),
          Set.of("Main"),
          true,
          false,
          new SiteFinishes(HouseFinishes.house(), Map.of()),
          id ->
              new Pictured(
                  id,
                  id.endsWith("100x50") ? 100 : 0,
                  id.endsWith("100x50") ? 50 : 0,
                  id.startsWith("said") ? "A boat" : "",
                  id.startsWith("frill"),
                  Pictured.Focus.CENTRE,
                  id.endsWith("100x50")
                      ? List.of(new Pictured.Size(100, id))
                      : List.<Pictured.Size>of()));

  private static Node heading(String id, int level) {
    return node(id, Kind.HEADING)
        .withContent("words", new FieldValue.Words("Words"))
        .withContent("level", new FieldValue.Level(level));
  }

  private static SurveyedDocument document(String id, Node... things) {
    return new SurveyedDocument(id, false, Shown.of(node(id, Kind.PAGE, things)));
  }

  /** What each rule finds, as {@code rule document/node}. */
  private static List<String> found(String description, SurveyedDocument... documents) {
    List<String> found = new ArrayList<>();
    SurveyedPage page = new SurveyedPage(HOME, description, List.of(documents));
    for (SurveyRule rule : SiteSurvey.RULES) {
      List<Finding> all = new ArrayList<>();
      for (SurveyedDocument document : documents) {
        all.addAll(rule.in(document, SITE));
      }
      all.addAll(rule.on(page, SITE));
      all.forEach(
          finding ->
              found.add(
                  rule.word()
                      + " "
                      + finding.document()
                      + finding.node().map(node -> "/" + node).orElse("")));
    }
    return found;
  }

  @Test
  void aSoundPageHasNoFindings() {
    assertThat(
            found(
                "What it is",
                document(
                    "head", node("m", Kind.MENU).withContent("menu", new FieldValue.Menu("Main"))),
                document(
                    "home",
                    heading("a", 1),
                    heading("b", 2),
                    heading("c", 3),
                    heading("d", 2),
                    node("go", Kind.BUTTON).withContent("link", new FieldValue.Link("page:home")))))
        .isEmpty();
  }

  @Test
  void headingsAreReadThroughEverythingThatStandsOnThePage() {
    assertThat(
            found(
                "x",
                document("head", heading("a", 1)),
                document("home", heading("b", 3), heading("c", 1))))
        .containsExactly("main-heading home/c", "heading-order home/b");
    assertThat(found("x", document("home", heading("a", 2)))).containsExactly("main-heading home");
  }

  @Test
  void linksBoundWordsStandInsPicturesAndDescriptions() {
    Node text =
        node("t", Kind.TEXT)
            .withContent(
                "words",
                new FieldValue.Words(
                    "Call Phone here",
                    List.of(
                        new Mark(Mark.Type.BOUND, 5, 10, "phone"),
                        new Mark(Mark.Type.LINK, 11, 15, "page:gone"))));
    assertThat(
            found(
                "",
                document(
                    "home",
                    heading("a", 1),
                    text,
                    node("b", Kind.BUTTON),
                    node("s", Kind.SOCIAL),
                    node("m", Kind.MENU).withContent("menu", new FieldValue.Menu("Other")),
                    node("p", Kind.PICTURE)
                        .withContent("picture", new FieldValue.Picture("boat", "")),
                    node("q", Kind.PICTURE).withContent("picture", FieldValue.Picture.STAND_IN))))
        .containsExactly(
            "links home/t",
            "links home/b",
            "alternative-text home/p",
            "bound home/t",
            "bound home/s",
            "bound home/m",
            "stand-ins home/q",
            "description home");
  }

  @Test
  void aPictureSpeaksForItselfUnlessItIsSaidHere() {
    assertThat(
            found(
                "Said",
                document(
                    "home",
                    heading("a", 1),
                    pictured("1", new FieldValue.Picture("boat", "")),
                    pictured("2", new FieldValue.Picture("boat", "A boat at the quay")),
                    pictured("3", new FieldValue.Picture("boat", "", true)),
                    pictured("4", new FieldValue.Picture("said", "")),
                    pictured("5", new FieldValue.Picture("frill", "")))))
        .containsExactly("alternative-text home/1");
  }

  private static Node pictured(String id, FieldValue.Picture picture) {
    return node(id, Kind.PICTURE).withContent("picture", picture);
  }

  private static Node styled(Node node, String key, String value) {
    return node.withStyle(StyleKey.parse(key), StyleValue.literal(value));
  }

  /**
   * WCAG 2.2, 1.4.3: #777 on white is 4.48 to 1, #767676 is 4.54 (from memory of the W3C’s
   * examples).
   */
  @Test
  void faintAndSmallWordsAreFoundOnceWhereTheyAreWorst() {
    Node faint = styled(text("t"), "color", "#777777");
    assertThat(found("x", document("home", heading("a", 1), faint)))
        .containsExactly("contrast home/t");
    assertThat(found("x", document("home", heading("a", 1), styled(text("t"), "color", "#767676"))))
        .isEmpty();
    assertThat(found("x", document("home", heading("a", 1), styled(faint, "font-size", "24px"))))
        .as("large words")
        .isEmpty();
    assertThat(
            found(
                "x",
                document("home", heading("a", 1), styled(text("t"), "font-size@phone", "11px"))))
        .containsExactly("phone-text home/t");
    assertThat(
            found("x", document("home", heading("a", 1), styled(text("t"), "font-size", "12px"))))
        .isEmpty();
  }

  @Test
  void tooFaintWordsGetTheNearestTokenOrLightnessThatIsEnough() {
    Random random = new Random(3);
    int mended = 0;
    for (int i = 0; i < 60; i++) {
      Node page = new CataloguePages(random, 6).page(40);
      for (Finding finding : faint(page)) {
        NodeId node = finding.node().orElseThrow();
        if (finding.mend().isPresent()) {
          Edit mend = finding.mend().get();
          assertThat(faint(Editor.apply(page, mend).root()))
              .as("%s of page %d by %s", node, i, mend)
              .extracting(Finding::node)
              .doesNotContain(Optional.of(node));
          mended++;
        }
      }
    }
    assertThat(mended).isGreaterThan(100);
  }

  @Test
  void faintWordsInATokenGetTheNearestTokenThatIsEnough() {
    Node words = text("t").withStyle(StyleKey.parse("color"), StyleValue.token("color.accent"));
    Node page =
        node(
            "home",
            Kind.PAGE,
            styled(node("s", Kind.SECTION, words), "background-color", "#bfd8d2"));
    assertThat(faint(page))
        .singleElement()
        .satisfies(
            finding ->
                assertThat(finding.mend())
                    .contains(
                        new Edit.Group(
                            List.of(
                                new Edit.SetStyle(
                                    words.id(),
                                    StyleKey.parse("color"),
                                    Optional.of(StyleValue.token("color.accent.deep")))))));
  }

  private static List<Finding> faint(Node page) {
    return new ContrastIsEnough().in(new SurveyedDocument("p", false, Shown.of(page)), SITE);
  }

  @Test
  void aPlacementThatWaitsIsFoundAtWhatItDraws() {
    Node section = node("p/s", Kind.SECTION);
    Placement held = Placement.of("piece").withBound(1);
    for (Pin.Reason reason : Pin.Reason.values()) {
      Node member =
          Node.placing(NodeId.of("p"), "", "piece")
              .withPlacement(held.withPin(Optional.of(new Pin(1, reason))))
              .withChildren(List.of(section));
      Node root = node("home", Kind.PAGE, heading("a", 1), section);
      Node members = node("home", Kind.PAGE, heading("a", 1), member);
      SurveyedDocument page =
          new SurveyedDocument("home", false, new Shown(root, members, Map.of()));
      assertThat(found("x", page))
          .isEqualTo(
              reason == Pin.Reason.WAITING ? List.of("waiting home/p/s") : List.<String>of());
    }
  }

  private static final String LONG = "a sentence that goes on ".repeat(20).strip();

  /** One page on which every rule that can mend finds something. */
  private static Node wanting() {
    return node(
        "home",
        Kind.PAGE,
        heading("a", 1),
        heading("b", 3),
        heading("c", 1),
        node(
            "s",
            Kind.SECTION,
            styled(text("small"), "font-size@phone", "9px"),
            styled(text("long", LONG), "font-size", "12px"),
            styled(text("red"), "color", "#1f6f64"),
            styled(styled(button("low"), "padding-top", "0px"), "padding-bottom", "0px")));
  }

  private static Node text(String id, String words) {
    return node(id, Kind.TEXT).withContent("words", new FieldValue.Words(words));
  }

  private static Node button(String id) {
    return styled(styled(node(id, Kind.BUTTON), "font-size", "12px"), "line-height", "1.2")
        .withContent("words", new FieldValue.Words("Book"))
        .withContent("link", new FieldValue.Link("role:home"));
  }

  @Test
  void everyMendMendsWhatWasFound() {
    Node page = wanting();
    Set<String> mended = new TreeSet<>();
    for (SurveyRule rule : SiteSurvey.RULES) {
      List<Finding> before = by(rule, page);
      List<Edit> mends = before.stream().map(Finding::mend).flatMap(Optional::stream).toList();
      if (!mends.isEmpty()) {
        mended.add(rule.word());
        page = Editor.apply(page, new Edit.Group(mends)).root();
        assertThat(by(rule, page)).as(rule.word()).hasSize(before.size() - mends.size());
      }
    }
    assertThat(mended)
        .containsExactly(
            "heading-order", "line-length", "main-heading", "phone-text", "target-size", "tokens");
  }

  @Test
  void aLengthThatATokenIsForIsThatTokenAndNoOther() {
    Node page =
        node(
            "home",
            Kind.PAGE,
            styled(text("as-large"), "font-size", "18px"),
            styled(text("larger"), "font-size", "19px"),
            styled(text("other-use"), "padding-top", "18px"),
            styled(text("bends"), "font-size", "60px"));
    Finishes house =
        Finishes.of(
            HouseFinishes.house().tokens(),
            List.of(
                new NamedStyle("said", "Said", HouseFinishes.styles("font-size", "{size.text}")),
                new NamedStyle(
                    "loud", "Loud", HouseFinishes.styles("font-size", "{size.display}"))),
            Map.of());
    SurveyedSite site =
        SurveyedSite.of(
            Links.NONE, List.of(), false, new SiteFinishes(house, Map.of()), SITE.pictures());
    assertThat(new ValuesAreTokens().in(new SurveyedDocument("home", false, Shown.of(page)), site))
        .extracting(Finding::message)
        .containsExactly("Text size 18px is as good as the token size.text: put that on");
  }

  private static List<Finding> by(SurveyRule rule, Node page) {
    SurveyedDocument document = new SurveyedDocument("home", false, Shown.of(page));
    List<Finding> found = new ArrayList<>(rule.in(document, SITE));
    found.addAll(rule.on(new SurveyedPage(HOME, "Said", List.of(document)), SITE));
    return found;
  }

  @Test
  void whatIsDrawnLargerThanItIsOrOutOfTheScreenIsFound() {
    Node photo = pictured("photo", new FieldValue.Picture("said 100x50", "A boat"));
    Node wide = styled(node("wide", Kind.BOX, text("t")), "width", "900px");
    assertThat(found("x", document("home", heading("a", 1), node("s", Kind.SECTION, photo, wide))))
        .containsExactly("overflow home/wide", "pictures home/photo");
    Node high = styled(styled(photo, "width", "90px"), "aspect-ratio", "1 / 1");
    assertThat(found("x", document("home", heading("a", 1), node("s", Kind.SECTION, high))))
        .as("90 px wide, cropped out of 180")
        .containsExactly("pictures home/photo");
    Node whole = styled(high, "object-fit", "contain");
    assertThat(found("x", document("home", heading("a", 1), node("s", Kind.SECTION, whole))))
        .isEmpty();
  }

  @Test
  void besideASideColumnThereIsLessRoom() {
    Node wide = styled(node("wide", Kind.BOX, text("t")), "width", "400px");
    Node phone = styled(wide, "width@tablet", "100%");
    Node page = node("home", Kind.PAGE, node("s", Kind.SECTION, phone));
    SurveyRule overflow = new NothingOverflows();
    for (Room room : Room.values()) {
      List<Finding> found =
          overflow.in(new SurveyedDocument("home", false, Shown.of(page), room), SITE);
      assertThat(found).as("%s", room).hasSize(room == Room.SIDE_COLUMN ? 1 : 0);
    }
    assertThat(
            overflow.in(new SurveyedDocument("home", true, Shown.of(page), Room.SIDE_COLUMN), SITE))
        .extracting(Finding::message)
        .allMatch(said -> said.contains("At 1280 px it stands out of its column by 80 px"));
  }

  @Test
  void whatReadsWellIsLeftAlone() {
    Node narrow = styled(styled(text("n", LONG), "font-size", "12px"), "max-width", "500px");
    Node other = styled(text("o"), "color", "#0b3d2e");
    assertThat(
            found("x", document("home", heading("a", 1), node("s", Kind.SECTION, narrow, other))))
        .isEmpty();
  }

  private static Node text(String id) {
    return node(id, Kind.TEXT).withContent("words", new FieldValue.Words("Words"));
  }

  @Test
  void everyRuleSaysWhatItAsksForAndWhereThatIsWritten() {
    assertThat(SiteSurvey.RULES).extracting(SurveyRule::word).doesNotHaveDuplicates();
    for (SurveyRule rule : SiteSurvey.RULES) {
      assertThat(rule.title()).isNotBlank();
      assertThat(rule.source()).containsAnyOf("WCAG 2.2", "common practice");
    }
  }

  /** An item of a list that shows title, summary and picture of a page; of none if it is empty. */
  private static Node item(String id, String page) {
    Mark title = new Mark(Mark.Type.BOUND, 0, 5, Bound.ITEM_TITLE.word());
    Mark summary = new Mark(Mark.Type.BOUND, 0, 7, Bound.ITEM_SUMMARY.word());
    Node card =
        node(
            id + "/card",
            Kind.BOX,
            node(id + "/name", Kind.TEXT)
                .withContent("words", new FieldValue.Words("Title", List.of(title))),
            node(id + "/says", Kind.TEXT)
                .withContent("words", new FieldValue.Words("Summary", List.of(summary))),
            node(id + "/photo", Kind.PICTURE)
                .withContent("picture", new FieldValue.Picture(PageShown.PICTURE, "")));
    Node item = Node.item(NodeId.of(id)).withChildren(List.of(card));
    return page.isEmpty()
        ? item
        : item.withContent(
            PageShown.FIELD, Optional.of(new FieldValue.Link(PageShown.PAGE + page)));
  }

  @Test
  void itemsShowPagesThatAreThereAndSaySomething() {
    Node list =
        node("list", Kind.BOX)
            .withChildren(
                List.of(
                    Node.of(NodeId.of("like"), Kind.PATTERN, ""),
                    item("none", ""),
                    item("gone", "gone"),
                    item("late", "work"),
                    item("bare", "home"),
                    item("good", "whole")));
    Node members = node("page", Kind.PAGE, heading("a", 1), list);
    SurveyedDocument document =
        new SurveyedDocument(
            "home", false, new Shown(Members.withoutMembers(members), members, Map.of()));
    assertThat(found("x", document))
        .containsExactly(
            "links home/gone/card",
            "shown-pages home/none/card",
            "shown-pages home/late/card",
            "shown-pages home/bare/card");
    assertThat(new ItemsShowPages().in(document, SITE).stream().map(Finding::message))
        .anyMatch(words -> words.contains("“Later” is in work"))
        .anyMatch(words -> words.contains("“Home” has no description and no picture"));
    SurveyedDocument loose =
        document("home", heading("a", 1), item("none", "").children().get(0).children().get(0));
    assertThat(found("x", loose)).containsExactly("shown-pages home/none/name");
  }
}
