package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;

/** A piece looked at with other words and at every client, what it wants, and going back. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@ExtendWith(StepByStep.class)
class PieceTest extends WithDesigner {
  private static Locator heading() {
    return designer.frame(DESKTOP).locator("main h2").first();
  }

  private static void with(String words) {
    designer.field("With which words").selectOption(words);
  }

  @Test
  @Order(1)
  void itIsLookedAtWithShortLongAndNoWordsAndNothingIsKept() {
    show("/library/st-quote?site=tern-valley");
    String own = heading().innerText();
    with("long");
    assertThat(heading()).containsText("Thoroughgoingness");
    with("none");
    assertThat(heading()).hasText("");
    with("short");
    assertThat(heading()).not().hasText("");
    with("");
    assertThat(heading()).hasText(own);
    assertThat(designer.button("Undo")).isDisabled();
  }

  @Test
  @Order(2)
  void itIsSeenAtEveryClientSideBySide() {
    designer.button("See it at every client").click();
    Locator sheet = page().getByRole(AriaRole.DIALOG);
    assertThat(sheet.locator("figure")).hasCount(4);
    sheet.getByRole(AriaRole.RADIO, new Locator.GetByRoleOptions().setName("390")).click();
    assertThat(sheet.locator("iframe").first()).isVisible();
    press("Escape");
    assertThat(sheet).isHidden();
  }

  @Test
  @Order(3)
  void theAuthorSaysWhatASlotWantsAndAPageIsTold() {
    designer.takeInHand("“One good sentence");
    page().getByText("What it wants").click();
    designer.field("Most characters of words").fill("20");
    press("Tab");
    designer.awaitSaved();
    designer.field("What words is for").fill("what somebody said");
    press("Tab");
    designer.awaitSaved();
    page().reload();
    awaitDrawn();
    designer.takeInHand("“One good sentence");
    assertThat(designer.field("Most characters of words")).hasValue("20");
    with("long");
    assertThat(heading()).not().containsText("Thoroughgoingness");
    with("");
    release(2, "Short quotes only");
    show("/sites/oakum-rope-museum/pages/om-numbers");
    press("l");
    assertThat(designer.region("Library drawer").locator("[role=option]").first()).isVisible();
    page().keyboard().type("quote");
    Locator quote =
        designer
            .region("Library drawer")
            .locator("[role=option]")
            .filter(new Locator.FilterOptions().setHasText("Quote"));
    for (Locator each : quote.all()) {
      if (each.getAttribute("id").equals("drawer st-quote")) {
        each.click();
      }
    }
    designer.button("Keep it here (Enter)").click();
    designer.awaitSaved();
    designer.takeInHand("“One good sentence");
    designer.set("Words", "A sentence that is longer than twenty characters");
    designer.awaitSaved();
    assertThat(page().getByText("48 characters; the piece wants at most 20")).isVisible();
  }

  @Test
  @Order(4)
  void anEarlierRevisionBecomesTheDraftAndUndoTakesThatBack() {
    show("/library/st-quote?site=tern-valley");
    assertThat(designer.button("Release revision 3")).isHidden();
    designer.button("Revisions").click();
    page().getByText("make it the draft").click();
    assertThat(designer.button("Release revision 3")).isVisible();
    designer.takeInHand("“One good sentence");
    page().getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo")).click();
    assertThat(designer.button("Release revision 3")).isHidden();
  }
}
