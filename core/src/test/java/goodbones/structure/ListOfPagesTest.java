package goodbones.structure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Bound;
import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.PageShown;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.PageEditor;
import goodbones.library.Shown;
import goodbones.propagation.Rebasing;
import goodbones.render.Facts;
import goodbones.render.Pictured;
import goodbones.render.Renderer;
import goodbones.render.Surroundings;
import goodbones.site.Links;
import goodbones.site.PageKind;
import goodbones.site.PageTree;
import goodbones.site.SitePage;
import goodbones.style.SiteFinishes;
import goodbones.survey.Finding;
import goodbones.survey.SiteSurvey;
import goodbones.survey.SurveyedDocument;
import goodbones.survey.SurveyedSite;
import goodbones.testing.HouseFinishes;
import goodbones.testing.Shelf;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Lists whose items show pages: title, summary, picture and link come from the page. */
class ListOfPagesTest {
  private static final SiteFinishes FINISHES = new SiteFinishes(HouseFinishes.house(), Map.of());
  private static final SitePage BOX =
      new SitePage(
          "box", "Box kites", "/box", PageKind.SERVICE, "", true, "Four corners.", "box-photo");
  private static final SitePage DELTA =
      new SitePage("delta", "Deltas", "/delta", PageKind.SERVICE, "", true, "", "");
  private static final PageTree TREE =
      new PageTree(List.of(new SitePage("home", "Home", "/", PageKind.HOME, "", true), BOX, DELTA));
  private final Shelf shelf = new Shelf();
  private final Adopted adopted = new Adopted(Map.of("cards", 1, "card", 1));
  private final PageEditor editor = new PageEditor(adopted, shelf, new Rebasing(shelf, adopted));
  private int next;

  private static NodeId id(String value) {
    return NodeId.of(value);
  }

  private static Node follows(String id, Kind kind, Bound what) {
    String stored = what.title();
    return Node.of(id(id), kind, "")
        .withContent(
            "words",
            new FieldValue.Words(
                stored, List.of(new Mark(Mark.Type.BOUND, 0, stored.length(), what.word()))));
  }

  /** Cards made from a pattern that shows a page; the link stands in a piece of its own. */
  private Node page() {
    Node more =
        Node.of(id("more"), Kind.BUTTON, "")
            .withContent("words", new FieldValue.Words("Read on"))
            .withContent("link", new FieldValue.Link(PageShown.LINK));
    shelf.keep("card", Node.of(id("inside"), Kind.BOX, "").withChildren(List.of(more)));
    Node picture =
        Node.of(id("pic"), Kind.PICTURE, "")
            .withContent("picture", new FieldValue.Picture(PageShown.PICTURE, "", true));
    Node card =
        Node.of(id("c"), Kind.BOX, "")
            .withChildren(
                List.of(
                    picture,
                    follows("name", Kind.HEADING, Bound.ITEM_TITLE),
                    follows("says", Kind.TEXT, Bound.ITEM_SUMMARY),
                    Node.placing(id("in"), "", "card")
                        .withPlacement(Placement.of("card").withBound(1))));
    Node list =
        Node.of(id("list"), Kind.BOX, "")
            .withChildren(
                List.of(
                    Node.of(id("like"), Kind.PATTERN, "").withChildren(List.of(card)),
                    Node.item(id("sample"))));
    shelf.keep("cards", Node.of(id("root"), Kind.BOX, "").withChildren(List.of(list)));
    return Node.of(id("page"), Kind.PAGE, "")
        .withChildren(
            List.of(
                Node.placing(id("at"), "", "cards")
                    .withPlacement(Placement.of("cards").withBound(1))));
  }

  private Bench bench(Node document) {
    return new Bench(
        document,
        Shown.of(document, adopted, shelf),
        FINISHES,
        () -> id("new" + next++),
        shelf,
        adopted);
  }

  private Edited filled(Node page, String... pages) {
    return editor.apply(page, new ListOfPages(bench(page)).of(id("at/list"), List.of(pages), ""));
  }

  private static String html(Shown shown, PageTree tree, Map<String, String> former, boolean ids) {
    Links links = Links.of(tree, former);
    Facts facts = Facts.of("Windrush", "", List.of(), links, "home", 2026);
    Surroundings around =
        new Surroundings(
            Pictured.at(id -> id + ".svg"),
            link -> links.address(link).orElse(""),
            List.of(),
            "",
            ids,
            facts);
    return Renderer.render(around.of(shown), FINISHES, around).blocks().get(0).html();
  }

  private String html(Node page) {
    return html(editor.shown(page), TREE, Map.of(), false);
  }

  @Test
  void aCardShowsItsPageAndLeavesOutWhatThePageDoesNotHave() {
    String html = html(filled(page(), "box", "delta").root());
    assertThat(html)
        .contains("src=\"box-photo.svg\"")
        .contains(">Box kites</h2>", ">Four corners.</p>", "href=\"/box\"")
        .contains(">Deltas</h2>", "href=\"/delta\"")
        .containsOnlyOnce("<img")
        .containsOnlyOnce("<p");
    assertThat(html(editor.shown(filled(page(), "delta").root()), TREE, Map.of(), true))
        .as("where it is worked on, what is missing is seen")
        .contains("src=\"stand-in.svg\"", "data-stand-in", "data-unset");
  }

  @Test
  void anItemThatNamesNoPageShowsNothingOfOne() {
    assertThat(html(page())).contains("Read on").doesNotContain("href", "<img", "<h2", "Home");
  }

  @Test
  void anotherOrderKeepsWhatACardSaysItselfAndComesBack() {
    Node two = filled(page(), "box", "delta").root();
    NodeId heading =
        editor.shown(two).root().all().stream()
            .filter(node -> node.kind() == Kind.HEADING)
            .findFirst()
            .orElseThrow()
            .id();
    Edit ours =
        new Edit.SetContent(heading, "words", Optional.of(new FieldValue.Words("Our box kite")));
    Node said = editor.apply(two, ours).root();
    Edited turned = filled(said, "delta", "box", "delta");
    assertThat(html(turned.root())).containsSubsequence("Deltas", "Our box kite");
    assertThat(turned.root().all().get(1).placement().orElseThrow().changes()).isNotEmpty();
    assertThat(editor.reapply(turned.root(), turned.inverse()).root()).isEqualTo(said);
    Edited without = filled(said, "delta");
    assertThat(html(without.root())).doesNotContain("kite");
    assertThat(html(editor.reapply(without.root(), without.inverse()).root()))
        .as("a card that comes back says what it said")
        .containsSubsequence("Our box kite", "Deltas");
  }

  @Test
  void aRenamedPageIsRenamedInItsCardAndOneThatLeadsOnShowsTheOther() {
    Shown shown = editor.shown(filled(page(), "box").root());
    SitePage renamed =
        new SitePage("box", "Boxes", "/boxes", PageKind.PAGE, "", true, "Six sides.", "");
    assertThat(html(shown, new PageTree(List.of(renamed)), Map.of(), false))
        .contains("Boxes", "Six sides.");
    assertThat(html(shown, new PageTree(List.of(DELTA)), Map.of("box", "delta"), false))
        .contains("Deltas");
    assertThat(html(shown, new PageTree(List.of(DELTA)), Map.of(), false))
        .doesNotContain("Deltas", "<h2");
  }

  @Test
  void whatIsNotToBeShownIsLeftOutWithItsCard() {
    Shown shown = editor.shown(filled(page(), "box", "delta").root());
    PageTree ready = new PageTree(List.of(DELTA));
    assertThat(html(shown, ready, Map.of(), true))
        .as("on the canvas it stays, unset")
        .contains("data-unset")
        .doesNotContain("Box kites");
    assertThat(html(shown, ready, Map.of(), false))
        .contains("Deltas")
        .doesNotContain("Box")
        .containsOnlyOnce("Read on");
    assertThat(shown.withPages(page -> true)).isSameAs(shown);
  }

  @Test
  void unlinkedTheCardsShowTheSamePages() {
    Node page = filled(page(), "box", "delta").root();
    Bench bench = bench(page);
    Node member = editor.shown(page).members().find(id("at")).orElseThrow();
    Node alone =
        bench.lifting(id("at/root"), bench.derived(id("at"))).lifted(member.children().get(0));
    Node unlinked = page.withChildren(List.of(alone));
    assertThat(html(unlinked).replaceAll("data-node=\"[^\"]*\"", ""))
        .isEqualTo(html(page).replaceAll("data-node=\"[^\"]*\"", ""));
  }

  private static List<String> missed(Shown shown) {
    SurveyedSite site =
        SurveyedSite.of(Links.of(TREE), List.of(), false, FINISHES, Pictured.at(id -> id));
    return SiteSurvey.RULES.stream()
        .filter(rule -> rule.word().equals("shown-pages"))
        .flatMap(rule -> rule.in(new SurveyedDocument("page", false, shown), site).stream())
        .filter(finding -> finding.node().equals(Optional.of(id("at/list"))))
        .map(Finding::message)
        .toList();
  }

  @Test
  void aListThatIsToShowAllOfSomethingIsMissedWhatItDoesNotShow() {
    Node page = page();
    String lot = "role:service";
    Edit some = new ListOfPages(bench(page)).of(id("at/list"), List.of("box", "home"), lot);
    Edited chosen = editor.apply(page, some);
    assertThat(PageShown.lot(editor.shown(chosen.root()).members().find(id("at/list")).get()))
        .isEqualTo(lot);
    assertThat(missed(editor.shown(chosen.root())))
        .containsExactly(
            "“Deltas” is of the kind “one service” and not shown here: choose the pages of the list"
                + " again",
            "“Home” is shown here and not of the kind “one service”");
    Node all =
        editor
            .apply(
                chosen.root(),
                new ListOfPages(bench(chosen.root()))
                    .of(id("at/list"), List.of("box", "delta"), lot))
            .root();
    assertThat(missed(editor.shown(all))).isEmpty();
    assertThat(editor.apply(chosen.root(), chosen.inverse()).root()).isEqualTo(page);
    Node free = filled(chosen.root(), "box").root();
    assertThat(missed(editor.shown(free))).isEmpty();
  }

  @Test
  void aKindThatIsNotThereHoldsUpNoSurvey() {
    Node page = page();
    for (String lot : List.of("role:king", "page:nowhere")) {
      Edit some = new ListOfPages(bench(page)).of(id("at/list"), List.of("box"), lot);
      assertThat(missed(editor.shown(editor.apply(page, some).root()))).hasSize(1);
    }
  }

  @Test
  void pagesAreChosenWhereThePieceIsPlaced() {
    Node page = page();
    Node piece = shelf.revision("cards", 1).root();
    assertThatThrownBy(() -> new ListOfPages(bench(piece)).of(id("list"), List.of("box"), ""))
        .hasMessageContaining("where the piece is placed");
    assertThatThrownBy(() -> new ListOfPages(bench(page)).of(id("at/list"), List.of(), ""))
        .hasMessageContaining("a page at least");
    assertThatThrownBy(() -> new ListOfPages(bench(page)).of(id("at/root"), List.of("box"), ""))
        .hasMessageContaining("no list");
    assertThatThrownBy(
            () ->
                editor.apply(
                    page,
                    new Edit.SetContent(
                        id("at/sample"),
                        PageShown.FIELD,
                        Optional.of(new FieldValue.Link("https://example.org")))))
        .hasMessageContaining("choose one of them");
  }
}
