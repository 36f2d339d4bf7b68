package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * A small button in a call to action in an opening band at three clients, as a designer makes it,
 * changes it and carries it out.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@ExtendWith(StepByStep.class)
class DepthTest extends WithDesigner {
  private static final String BAND = "/library/opening-band?site=saltmarsh-ferries";
  private static final String VALLEY_PAGE = "/sites/tern-valley/pages/tv-home";
  private static final String[] PAGES = {FERRIES_PAGE, MUSEUM_PAGE, VALLEY_PAGE};

  private static Locator button(String device) {
    return designer.frame(device).locator("main a[data-node*='ob-button']").first();
  }

  private static void keep(String name) {
    press("k");
    designer.field("Name").fill(name);
    press("Enter");
    designer.awaitSaved();
    assertThat(designer.region("Outline").getByText(name)).isVisible();
  }

  private static void round(int revision, String radius, String sites) {
    designer.go("/library?words=small+button");
    designer.link("Small button").first().click();
    awaitDrawn();
    designer.takeInHand("Next step");
    designer.set("Corner radius", radius);
    designer.awaitSaved();
    release(revision, "Corners of " + radius);
    assertThat(designer.region("Placements").getByText("follows, as it contains it").first())
        .isVisible();
    apply(sites);
  }

  private static String versions() {
    StringBuilder versions = new StringBuilder();
    for (String path : PAGES) {
      String page = path.substring(path.lastIndexOf('/') + 1);
      versions.append(
          page()
              .evaluate(
                  "async id => (await (await fetch(`/api/pages/${id}/workbench`)).json()).version",
                  page));
      versions.append(' ');
    }
    return versions.toString();
  }

  @Test
  @Order(1)
  void theButtonIsKeptInACallToActionInABandWithTwoVariants() {
    show(BAND);
    designer.takeInHand("Next step");
    keep("Small button");
    press("b");
    designer.awaitSaved();
    keep("What to do next");
    designer.button("Add a variant").click();
    designer.field("Name of a new variant").fill("Without the button");
    designer.button("Add and draw it").click();
    assertThat(designer.region("Reach").getByText("variant “Without the button”")).isVisible();
    designer.takeInHand("What to do next");
    press("Delete");
    designer.awaitSaved();
    assertThat(button(DESKTOP)).isHidden();
    show(BAND);
    assertThat(button(DESKTOP)).isVisible();
    release(3, "The button is a piece, and so is what stands around it");
    apply("2 sites");
    show(MUSEUM_PAGE);
    assertThat(button(DESKTOP)).hasText("Plan a visit");
  }

  @Test
  @Order(2)
  void itIsPlacedAtAThirdClientInOneOfItsVariantsAndBack() {
    show(VALLEY_PAGE);
    press("Escape", "Escape", "a");
    page().keyboard().type("Opening band");
    assertThat(designer.frame("How it looks here").locator("section")).isVisible();
    press("Enter");
    designer.awaitSaved();
    designer
        .field("Variant of Opening band")
        .selectOption(new SelectOption().setLabel("Without the button"));
    designer.awaitSaved();
    assertThat(button(DESKTOP)).isHidden();
    undo(1);
    assertThat(button(DESKTOP)).isVisible();
  }

  @Test
  @Order(3)
  void oneKeyGoesIntoThePieceAndBack() {
    show(FERRIES_PAGE);
    designer.takeSection("Opening band");
    designer
        .region("Outline")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Small button"))
        .click();
    assertThat(designer.region("Ladder").getByText("Small button")).isVisible();
    assertThat(designer.region("Reach").getByText("as “What to do next” has it")).isVisible();
    press("i");
    awaitDrawn();
    assertThat(designer.heading("Small button")).isVisible();
    press("i");
    assertThat(page()).hasURL(Pattern.compile("/pages/sf-home"));
  }

  @Test
  @Order(4)
  void itIsChangedOnceAndSeenEverywhereAfterOneRolloutAndNoPageIsWritten() {
    String before = versions();
    round(2, "31px", "3 sites");
    assertEquals(before, versions());
    for (String path : PAGES) {
      show(path);
      assertThat(button(PHONE)).hasCSS("border-top-left-radius", "31px");
    }
  }

  @Test
  @Order(5)
  void itsHistoryTellsTheFollowUpsAndTheRolloutGoesBackWhole() {
    show(BAND);
    designer.button("Revisions").click();
    assertThat(page().getByText("with Small button 2")).isVisible();
    press("Escape");
    designer.go("/rollouts");
    designer.button("Take back").first().click();
    assertThat(designer.button("Go back to revision 1 in the library")).isVisible();
    show(FERRIES_PAGE);
    assertThat(button(DESKTOP)).hasCSS("border-top-left-radius", "8px");
    designer.go("/rollouts");
    designer.button("Go back to revision 1 in the library").click();
    assertThat(page().getByText("Every site shows the current revision of every piece"))
        .isVisible();
  }

  @Test
  @Order(6)
  void aClientHoldsItAndLetsItFollowLaterAcrossTwoRevisionsWithItsWords() {
    show(MUSEUM_PAGE);
    designer.takeSection("Opening band");
    designer.button("Hold here").click();
    designer.awaitSaved();
    round(4, "21px", "3 sites");
    round(5, "22px", "3 sites");
    show(VALLEY_PAGE);
    assertThat(button(DESKTOP)).hasCSS("border-top-left-radius", "22px");
    show(MUSEUM_PAGE);
    assertThat(button(DESKTOP)).hasCSS("border-top-left-radius", "8px");
    designer.takeSection("Opening band");
    designer.button("Let it follow").click();
    designer.awaitSaved();
    assertThat(button(DESKTOP)).hasCSS("border-top-left-radius", "22px");
    assertThat(button(DESKTOP)).hasText("Plan a visit");
  }

  @Test
  @Order(7)
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
    assertThat(designer.region("Reach").getByText("Small button")).isHidden();
  }
}
