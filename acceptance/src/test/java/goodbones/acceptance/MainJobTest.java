package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** The main job from end to end, one step after the other, as a designer does it. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class MainJobTest extends WithDesigner {

  @Test
  @Order(1)
  void theLibraryShowsThePieceAsItselfInAnyClientsLook() {
    designer.go("/library?words=opening+band");
    Locator card =
        designer
            .page()
            .getByRole(AriaRole.LISTITEM)
            .filter(new Locator.FilterOptions().setHasText("Opening band"));
    assertThat(card).containsText("2 placements on 2 pages of 2 sites");
    String sample = "Opening band on a desktop";
    assertThat(designer.frame(sample).locator("main h1")).hasText("Say what it is in one line");
    designer.field("In the look of").selectOption("saltmarsh-ferries");
    designer.frame(sample).locator("main h1").waitFor();
    assertThat(designer.style(sample, "h1", "font-family")).contains("Literata");
    assertThat(designer.style(sample, "a", "background-color")).isEqualTo("rgb(226, 161, 58)");
    designer.field("In the look of").selectOption("oakum-rope-museum");
    assertThat(designer.style(sample, "h1", "font-family")).contains("Rokkitt");
    assertThat(designer.frame(sample).locator("main a").first())
        .hasCSS("background-color", "rgb(138, 58, 34)");
    designer.field("Find a piece").fill("nothing like it");
    assertThat(page().getByText("No piece answers all of this")).isVisible();
  }

  @Test
  @Order(2)
  void onThePageSlotsAreFilledAndARadiusIsChangedLocally() {
    designer.go(MUSEUM_PAGE);
    for (String[] frame : new String[][] {{DESKTOP, "1280"}, {TABLET, "834"}, {PHONE, "390"}}) {
      designer.frame(frame[0]).locator("h1").waitFor();
      assertThat(designer.viewportWidth(frame[0])).isEqualTo(Double.parseDouble(frame[1]));
    }
    designer.clickAt(designer.frame(DESKTOP).locator("main h1"));
    designer.set("Words", "Five hundred years of rope");
    for (String frame : List.of(DESKTOP, TABLET, PHONE)) {
      assertThat(designer.frame(frame).locator("main h1")).hasText("Five hundred years of rope");
    }
    designer.takeSection("Opening band");
    page().getByText("Choose another").click();
    page().getByRole(AriaRole.DIALOG).getByText("rope-coils.svg").click();
    designer.button("Use this picture").click();
    assertThat(designer.frame(DESKTOP).locator("main section").first())
        .hasCSS("background-image", java.util.regex.Pattern.compile(".*rope-coils.*"));
    designer.takeInHand("Plan a visit");
    designer.set("Corner radius", "20px");
    assertThat(designer.frame(PHONE).locator("main a").first())
        .hasCSS("border-top-left-radius", "20px");
    assertThat(designer.region("Reach")).containsText("1 local change here");
    designer.region("Local changes").getByText("Back to the piece’s").click();
    assertThat(designer.region("Local changes")).containsText("None.");
    assertThat(designer.frame(DESKTOP).locator("main a").first())
        .hasCSS("border-top-left-radius", "8px");
    page().keyboard().press("Control+z");
    assertThat(designer.frame(DESKTOP).locator("main a").first())
        .hasCSS("border-top-left-radius", "20px");
  }

  @Test
  @Order(3)
  void theTemplateIsChangedLiveAtThreeWidthsWithUndoThatOutlivesARestart() throws IOException {
    designer.go("/library/opening-band?site=saltmarsh-ferries");
    designer.takeInHand("Say what it is in one line");
    designer.set("Text size", "72px");
    assertThat(designer.frame(DESKTOP).locator("main h1")).hasCSS("font-size", "72px");
    assertThat(designer.frame(TABLET).locator("main h1")).hasCSS("font-size", "72px");
    assertThat(designer.frame(PHONE).locator("main h1")).hasCSS("font-size", "38px");
    designer.takeInHand("Opening band");
    designer.set("Padding top", "140px");
    assertThat(designer.frame(DESKTOP).locator("main section")).hasCSS("padding-top", "140px");
    designer.takeInHand("Next step");
    designer.set("Corner radius", "{radius.nope}");
    assertThat(designer.region("Ladder").getByRole(AriaRole.ALERT))
        .containsText("There is no token “radius.nope”");
    assertThat(designer.field("Corner radius")).hasValue("{radius.nope}");
    designer.set("Corner radius", "{radius.button}");
    designer.awaitSaved();
    designer.takeInHand("One or two sentences");
    designer.button("Add").click();
    page().keyboard().type("text");
    page().keyboard().press("Enter");
    assertThat(designer.frame(PHONE).locator("main p")).hasCount(3);
    designer.button("Undo: add text").click();
    assertThat(designer.frame(PHONE).locator("main p")).hasCount(2);
    application.restart();
    designer.signIn();
    designer.go("/library/opening-band?site=oakum-rope-museum");
    assertThat(designer.frame(DESKTOP).locator("main h1")).hasCSS("font-size", "72px");
    designer.button("Redo").click();
    assertThat(designer.frame(DESKTOP).locator("main p")).hasCount(3);
    assertThat(designer.frame(DESKTOP).locator("main a")).hasCSS("border-top-left-radius", "3px");
  }

  @Test
  @Order(4)
  void theReleaseIsReviewedWithOneConflictToDecide() {
    designer.button("Release revision 3").click();
    designer.field("What is new").fill("Roomier, and the button follows the client");
    designer
        .page()
        .getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Release revision 3"))
        .click();
    designer.link("Review the rollout").click();
    Locator placements = designer.region("Placements");
    assertThat(placements).containsText("1 to decide");
    assertThat(placements.getByRole(AriaRole.BUTTON)).hasCount(2);
    assertThat(placements).containsText("clean");
    assertThat(placements).containsText("corner radius");
    assertThat(designer.region("Decisions")).containsText("Both changed corner radius");
    assertThat(designer.frame("Now, revision 2").locator("h1")).hasCSS("font-size", "68px");
    assertThat(designer.frame("After, revision 3").locator("h1")).hasCSS("font-size", "72px");
    assertThat(designer.frame("After, revision 3").locator("h1"))
        .hasText("Five hundred years of rope");
    designer.field("Take the library’s{radius.button} = 3px").check();
    assertThat(designer.frame("After, revision 3").locator("main a").first())
        .hasCSS("border-top-left-radius", "3px");
    page().getByLabel("Keep the Oakum Rope Museum’s").check();
    assertThat(designer.frame("After, revision 3").locator("main a").first())
        .hasCSS("border-top-left-radius", "20px");
  }

  @Test
  @Order(5)
  void itIsAppliedTakenBackAndAppliedAgainAtOneSite() {
    designer.button("Apply to 2 sites").click();
    assertThat(designer.region("History")).containsText("Opening band, revision 3");
    showsNewTemplate(MUSEUM_PAGE, true);
    assertThat(designer.frame(DESKTOP).locator("main h1")).hasText("Five hundred years of rope");
    assertThat(designer.frame(DESKTOP).locator("main a").first())
        .hasCSS("border-top-left-radius", "20px");
    showsNewTemplate(FERRIES_PAGE, true);
    assertThat(designer.frame(DESKTOP).locator("main h1"))
        .hasText("Three islands, one short crossing");

    designer.go("/rollouts");
    designer.button("Take back").click();
    assertThat(designer.region("History")).containsText("taken back");
    showsNewTemplate(MUSEUM_PAGE, false);
    assertThat(designer.frame(DESKTOP).locator("main a").first())
        .hasCSS("border-top-left-radius", "20px");
    showsNewTemplate(FERRIES_PAGE, false);

    designer.go("/rollouts");
    designer.link("Review").click();
    page().getByLabel("Keep the Oakum Rope Museum’s").check();
    page().getByLabel("Saltmarsh Ferries, 1 page changes").uncheck();
    designer.button("Apply to 1 site").click();
    assertThat(designer.region("Waiting")).containsText("1 placement at Saltmarsh Ferries");
    showsNewTemplate(MUSEUM_PAGE, true);
    showsNewTemplate(FERRIES_PAGE, false);
    assertThat(designer.region("Reach")).containsText("behind: revision 3 is released");
  }

  private static void showsNewTemplate(String path, boolean yes) {
    designer.go(path);
    designer.takeSection("Opening band");
    assertThat(designer.frame(DESKTOP).locator("main section").first())
        .hasCSS("padding-top", yes ? "140px" : "112px");
    assertThat(designer.frame(DESKTOP).locator("main section").first().locator("p"))
        .hasCount(yes ? 3 : 2);
  }

  @Test
  @Order(6)
  void aSiteIsPublishedAndItsPagesPassAnHtmlChecker() throws IOException, InterruptedException {
    for (String site : List.of("oakum-rope-museum", "saltmarsh-ferries")) {
      designer.go("/sites/" + site);
      designer.region("Publishing").getByRole(AriaRole.BUTTON).click();
      assertThat(designer.region("Publishing")).containsText("files written");
      String html = application.get("/hosted/" + site + "/").body();
      assertThat(HtmlChecker.errors(html)).isEmpty();
    }
    designer.go("/hosted/oakum-rope-museum/");
    Locator heading = page().locator("h1");
    assertThat(heading).hasText("Five hundred years of rope");
    assertThat(heading).hasCSS("font-size", "72px");
    assertThat(page().locator("main a").first()).hasCSS("border-top-left-radius", "20px");
    page().setViewportSize(390, 844);
    assertThat(heading).hasCSS("font-size", "38px");
    page().setViewportSize(1280, 800);
    assertThat(
            (Boolean)
                designer
                    .page()
                    .evaluate(
                        "async () => { await document.fonts.ready; return document.fonts.check('16px Rokkitt') }"))
        .isTrue();
  }
}
