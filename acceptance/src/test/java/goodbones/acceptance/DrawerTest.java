package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * The library beside the page: pieces are tried in place by the arrow keys, kept or let go, and
 * dragged; a copy is tied again; a piece makes way for another one everywhere.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@ExtendWith(StepByStep.class)
class DrawerTest extends WithDesigner {
  private static final String HOME = "/sites/tern-valley/pages/tv-home";

  private static Locator drawer() {
    return designer.region("Library drawer");
  }

  private static Locator cards() {
    return drawer().locator("[role=option]");
  }

  /** Opens the drawer, and looks for something in it. */
  private static void look(String words) {
    press("l");
    assertThat(cards().first()).isVisible();
    page().keyboard().type(words);
  }

  private static Locator sections(String frame) {
    return designer.frame(frame).locator("main section");
  }

  private static void assertSections(int count) {
    for (String frame : new String[] {DESKTOP, TABLET, PHONE}) {
      assertThat(sections(frame)).hasCount(count);
    }
  }

  private static Locator undo() {
    return page().getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo"));
  }

  @Test
  @Order(1)
  void piecesAreTriedInPlaceByTheArrowKeysAndLeaveNoTrace() {
    show(HOME);
    assertThat(sections(DESKTOP).first()).isVisible();
    int before = sections(DESKTOP).count();
    look("");
    press("ArrowDown", "ArrowDown", "ArrowDown");
    assertSections(before + 1);
    press("ArrowDown");
    assertSections(before + 1);
    press("Escape");
    assertThat(drawer()).isHidden();
    assertSections(before);
    assertThat(undo()).isDisabled();
    page().reload();
    assertSections(before);
  }

  @Test
  @Order(2)
  void enterKeepsWhatIsTriedAndEscapeInTheAddBoxDoesNot() {
    int before = sections(DESKTOP).count();
    look("call to action in a line");
    press("ArrowDown");
    assertSections(before + 1);
    press("Enter");
    assertThat(drawer()).isHidden();
    designer.awaitSaved();
    assertThat(designer.region("Reach").locator("strong")).hasText("Call to action in a line");
    assertSections(before + 1);
    press("Control+z");
    designer.awaitSaved();
    assertSections(before);
    press("a");
    page().keyboard().type("closing band");
    press("ArrowDown");
    assertSections(before + 1);
    press("Escape");
    assertSections(before);
  }

  @Test
  @Order(3)
  void aCardIsDraggedOntoThePageDrawing() {
    int before = sections(DESKTOP).count();
    look("closing band");
    Locator card = cards().first();
    assertThat(card).isVisible();
    BoundingBox from = card.boundingBox();
    BoundingBox strip = page().locator("[data-strip]").last().boundingBox();
    page().mouse().move(from.x + 60, from.y + 20);
    page().mouse().down();
    page().mouse().move(strip.x + 60, strip.y + 30);
    page().mouse().move(strip.x + 60, strip.y + strip.height - 2);
    page().mouse().up();
    designer.awaitSaved();
    assertSections(before + 1);
    drawer().getByText("Close").click();
    press("Control+z");
    designer.awaitSaved();
  }

  @Test
  @Order(4)
  void anUnlinkedCopyIsTiedAgainAndNothingSeenChanges() {
    designer.takeSection("Three cards");
    String words = designer.frame(DESKTOP).locator("body").innerText();
    designer.button("Unlink").click();
    designer.awaitSaved();
    assertThat(designer.region("Reach").getByText("Own section of this page")).isVisible();
    designer.button("Tie to a piece").click();
    Locator sheet = page().getByRole(AriaRole.DIALOG);
    assertThat(sheet.getByText("nothing else differs").first()).isVisible();
    sheet.getByText("Tie it to Three cards").click();
    designer.awaitSaved();
    assertThat(designer.region("Reach").locator("strong")).hasText("Three cards");
    assertThat(designer.frame(DESKTOP).locator("body").innerText()).isEqualTo(words);
  }

  @Test
  @Order(5)
  void aPieceMakesWayForAnotherOneEverywhereAndComesBack() {
    designer.go("/library");
    designer.field("Choose Call to action").first().check();
    designer.button("Replace everywhere").click();
    Locator sheet = page().getByRole(AriaRole.DIALOG);
    sheet
        .getByRole(
            AriaRole.OPTION, new Locator.GetByRoleOptions().setName("Call to action, centred"))
        .click();
    assertThat(sheet.getByText("carried over").first()).isVisible();
    sheet.getByText("Replace at 4 placements and retire Call to action").click();
    assertThat(sheet).isHidden();
    designer.go("/rollouts");
    assertThat(page().getByText("Call to action, centred in the place of Call to action"))
        .isVisible();
    designer.button("Take back").first().click();
    assertThat(page().getByText("taken back").first()).isVisible();
  }
}
