package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;

/** Cards that are fed from pages: chosen, put in order, followed, left out and missed. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@ExtendWith(StepByStep.class)
class PagesInListsTest extends WithDesigner {
  private static final String HOME = "/sites/tern-valley/pages/tv-home";

  private static Locator cards() {
    return designer
        .frame(DESKTOP)
        .locator("main section")
        .filter(new Locator.FilterOptions().setHasText("Where to read on"));
  }

  private static List<String> titles() {
    return cards().locator("h3").allInnerTexts();
  }

  @Test
  @Order(1)
  void threePagesBecomeCards() {
    show(HOME);
    press("l");
    page().keyboard().type("Pages as cards");
    assertThat(designer.region("Library drawer").locator("[role=option]").first())
        .containsText("Pages as cards");
    press("ArrowDown");
    assertThat(designer.button("Keep it here (Enter)")).isVisible();
    press("Enter");
    designer.awaitSaved();
    designer.takeInHand("Row");
    designer.button("Show pages in it").click();
    Locator sheet = page().getByRole(AriaRole.DIALOG);
    for (String title : new String[] {"Waiting list", "Seasons", "How it works"}) {
      sheet.getByRole(AriaRole.CHECKBOX, new Locator.GetByRoleOptions().setName(title)).check();
    }
    sheet
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("How it works up"))
        .click();
    designer.button("Show 3 pages").click();
    assertThat(sheet).isHidden();
    designer.awaitSaved();
    page().waitForCondition(() -> titles().size() == 3);
    assertThat(titles()).containsExactly("Waiting list", "How it works", "Seasons");
    assertThat(cards().locator("[data-unset]")).hasCount(0);
  }

  private static void settings(String page) {
    designer.go("/sites/tern-valley?page=" + page);
    assertThat(designer.field("Title")).isVisible();
  }

  private static void keep() {
    designer.button("Keep these settings").click();
    assertThat(page().getByText("Kept.")).isVisible();
  }

  @Test
  @Order(2)
  void theyFollowWhatTheirPagesSay() {
    assertThat(cards().getByText("What to do on the plot, month by month.")).isVisible();
    assertThat(cards().locator("img[data-stand-in]")).hasCount(3);
    settings("tv-seasons");
    designer.field("Title").fill("Through the year");
    designer.button("Choose a picture").click();
    Locator sheet = page().getByRole(AriaRole.DIALOG);
    sheet.locator("button[aria-pressed]").first().click();
    designer.button("Use this picture").click();
    assertThat(designer.region("About this page").locator("img")).isVisible();
    keep();
    show(HOME);
    assertThat(cards().locator("h3").last()).hasText("Through the year");
    assertThat(cards().locator("img[data-stand-in]")).hasCount(2);
    assertThat(cards().locator("a").last()).hasAttribute("href", Pattern.compile("tv-seasons"));
    designer.takeSection("Pages as cards");
    assertThat(designer.region("Outline")).containsText("Where to read on");
    designer.takeInHand("Picture");
    inHand("picture");
    designer.region("Ladder").getByText("Choose another").click();
    assertThat(designer.button("The picture of the page that the item shows"))
        .hasAttribute("aria-pressed", "true");
    designer.button("Leave it as it is").click();
  }

  private static String published() {
    designer.go("/sites/tern-valley");
    page()
        .waitForResponse(
            answer -> answer.request().method().equals("POST"),
            () -> designer.region("Publishing").getByRole(AriaRole.BUTTON).click());
    return page()
        .request()
        .get(page().url().replaceAll("(https?://[^/]+).*", "$1") + "/hosted/tern-valley/")
        .text();
  }

  @Test
  @Order(3)
  void publishedTheyLeadToTheirPagesAndLeaveOutWhatIsInWork() {
    assertThat(published())
        .contains(">Through the year</h3>", "href=\"seasons/", ">Waiting list</h3>")
        .doesNotContain("data-stand-in");
    settings("tv-how");
    page().getByLabel(Pattern.compile("^Ready for visitors")).uncheck();
    keep();
    assertThat(published()).contains(">Through the year</h3>").doesNotContain(">How it works</h3>");
    designer.go("/sites/tern-valley?tab=survey");
    assertThat(designer.region("Lists of pages show pages that are there"))
        .containsText("is in work");
  }

  @Test
  @Order(4)
  void aPageThatIsTakenAwayIsMissedWhereItIsShown() {
    settings("tv-waiting");
    designer.button("Take this page away").click();
    Locator sheet = page().getByRole(AriaRole.DIALOG);
    assertThat(sheet).containsText("would lead nowhere");
    assertThat(sheet.getByRole(AriaRole.LINK).getByText("Home").first()).isVisible();
    designer.button("Take it away").click();
    assertThat(sheet).isHidden();
    show(HOME);
    designer.takeSection("Pages as cards");
    designer.takeInHand("Row");
    designer.button("Show pages in it").click();
    sheet
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Show 2 pages"))
        .click();
    assertThat(sheet).isHidden();
    designer.awaitSaved();
    assertThat(cards().locator("h3")).hasCount(2);
    undo(1);
    assertThat(cards().locator("h3")).hasCount(3);
  }
}
