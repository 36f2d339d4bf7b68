package goodbones.survey;

import static goodbones.testing.Built.node;
import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Bound;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.library.Shown;
import goodbones.render.Pictured;
import goodbones.site.Details;
import goodbones.site.Links;
import goodbones.site.PageKind;
import goodbones.site.PageTree;
import goodbones.site.SitePage;
import goodbones.style.SiteFinishes;
import goodbones.testing.HouseFinishes;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class SiteSurveyTest {
  private static final SitePage HOME = new SitePage("home", "Home", "/", PageKind.HOME, "", true);
  private static final SurveyedSite SITE =
      new SurveyedSite(
          new Links(new PageTree(List.of(HOME)), Details.NONE, Map.of(), Map.of()),
          Set.of(Bound.NAME),
          Set.of("Main"),
          true,
          false,
          new SiteFinishes(HouseFinishes.house(), Map.of()),
          id ->
              new Pictured(
                  id,
                  0,
                  0,
                  id.startsWith("said") ? "A boat" : "",
                  id.startsWith("frill"),
                  Pictured.Focus.CENTRE,
                  List.of()));

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
  void aPlacementThatWaitsIsFoundAtWhatItDraws() {
    Node section = node("p/s", Kind.SECTION);
    Placement held = Placement.of("piece").withSettled(1);
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
}
