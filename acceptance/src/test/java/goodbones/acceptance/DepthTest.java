package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;

/** A small button in the opening band, as a designer makes it, changes it and carries it out. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@ExtendWith(StepByStep.class)
class DepthTest extends WithDesigner {
  private static final String BAND = "/library/opening-band?site=saltmarsh-ferries";

  @Test
  @Order(1)
  void theButtonIsKeptAsAPieceAndEveryPageKeepsItsWords() {
    show(BAND);
    designer.takeInHand("Next step");
    press("k");
    designer.field("Name").fill("Small button");
    designer.field("What it is for").fill("One thing to do");
    press("Enter");
    assertThat(designer.region("Outline").getByText("Small button")).isVisible();
    release(3, "The button is a piece");
    assertThat(designer.page().getByText("nothing to see").first()).isVisible();
    apply("2 sites");
    show(MUSEUM_PAGE);
    assertThat(designer.frame(DESKTOP).locator("a").first()).hasText("Plan a visit");
  }

  @Test
  @Order(2)
  void oneKeyGoesIntoThePieceAndBack() {
    show(FERRIES_PAGE);
    designer.takeSection("Opening band");
    designer
        .region("Outline")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Small button"))
        .click();
    assertThat(designer.region("Ladder").getByText("Small button")).isVisible();
    assertThat(designer.region("Reach").getByText("as “Opening band” has it")).isVisible();
    press("i");
    awaitDrawn();
    assertThat(designer.heading("Small button")).isVisible();
    press("i");
    assertThat(page()).hasURL(Pattern.compile("/pages/sf-home"));
  }

  @Test
  @Order(3)
  void itIsChangedOnceAndSeenEverywhereAfterOneRollout() {
    designer.go("/library");
    designer.link("Small button").first().click();
    awaitDrawn();
    designer.takeInHand("Next step");
    designer.set("Corner radius", "31px");
    designer.awaitSaved();
    release(2, "Rounder");
    assertThat(designer.region("Placements").getByText("follows, as it contains it").first())
        .isVisible();
    apply("2 sites");
    for (String path : new String[] {FERRIES_PAGE, MUSEUM_PAGE}) {
      show(path);
      assertThat(designer.frame(PHONE).locator("a").first())
          .hasCSS("border-top-left-radius", "31px");
    }
  }

  @Test
  @Order(4)
  void itsHistoryTellsTheFollowUpsAndTheRolloutGoesBackWhole() {
    show(BAND);
    designer.button("Revisions").click();
    assertThat(page().getByText("with Small button 2")).isVisible();
    press("Escape");
    designer.go("/rollouts");
    designer.button("Take back").first().click();
    assertThat(designer.button("Go back to revision 1 in the library")).isVisible();
    show(FERRIES_PAGE);
    assertThat(designer.frame(DESKTOP).locator("a").first())
        .hasCSS("border-top-left-radius", "8px");
    designer.go("/rollouts");
    designer.button("Go back to revision 1 in the library").click();
    assertThat(page().getByText("Every site shows the current revision of every piece"))
        .isVisible();
  }

  @Test
  @Order(5)
  void itIsPlacedByNameAndUnlinkedAgain() {
    show(FERRIES_PAGE);
    press("Escape", "Escape", "Escape");
    press("a");
    page().keyboard().type("small button");
    assertThat(page().frameLocator("iframe[title='How it looks here']").locator("a")).isVisible();
    press("Enter");
    designer.awaitSaved();
    assertThat(designer.region("Reach").getByText("Small button")).isVisible();
    designer.button("Unlink").click();
    designer.awaitSaved();
    assertThat(designer.region("Outline").getByText("Small button")).isHidden();
  }
}
