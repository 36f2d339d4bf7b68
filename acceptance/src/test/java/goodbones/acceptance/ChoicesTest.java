package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * What a page chooses of a piece, as a designer does it: one more line of a price list, a variant,
 * a part left out, words of the whole site; and the piece bettered under all of that.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@ExtendWith(StepByStep.class)
class ChoicesTest extends WithDesigner {
  private static final String PRICES = "/library/price-list?site=saltmarsh-ferries";
  private static final String VOICE = "/library/testimonial?site=saltmarsh-ferries";
  private static final String SITE = "/sites/saltmarsh-ferries/pages/";
  private static final String FARES = SITE + "sf-fares";

  private static FrameLocator desktop() {
    return designer.frame(DESKTOP);
  }

  /** Puts a piece at the end of a page, by its name. */
  private static void place(String page, String piece) {
    show(page);
    press("Escape", "Escape", "a");
    page().keyboard().type(piece);
    assertThat(designer.frame("How it looks here").locator("section")).isVisible();
    press("Enter");
    designer.awaitSaved();
    assertThat(designer.region("Reach").locator("strong")).hasText(piece);
  }

  private static void write(String node, String words) {
    designer.takeInHand(node);
    designer.set("Words", words);
    designer.awaitSaved();
  }

  private static Locator prices() {
    return desktop().locator("p", new FrameLocator.LocatorOptions().setHasText(".00"));
  }

  private static void carryOut(int revision, String note) {
    release(revision, note);
    apply("1 site");
  }

  private static void undoByButton() {
    page()
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Undo")))
        .click();
    designer.awaitSaved();
  }

  @Test
  @Order(1)
  void aListGetsAFourthItemOnOnePageWithWordsOfItsOwn() {
    place(FARES, "Price list");
    assertThat(prices()).hasCount(3);
    designer.takeInHand("All of it");
    press("n");
    designer.awaitSaved();
    assertThat(designer.region("Ladder").getByText("Item 4 of 4").first()).isVisible();
    write("What it is", "A dog, on a lead");
    write("0.00", "1.00");
    assertThat(prices()).hasCount(4);
    assertThat(desktop().getByText("A dog, on a lead")).isVisible();
  }

  @Test
  @Order(2)
  void theTitleIsSetOnceInThePatternAndAllFourFollow() {
    show(PRICES);
    designer.takeInHand("7.00");
    assertThat(designer.field("all 3 items")).isChecked();
    designer.set("Letter spacing", "3px");
    designer.awaitSaved();
    for (int i = 0; i < 3; i++) {
      assertThat(prices().nth(i)).hasCSS("letter-spacing", "3px");
    }
    carryOut(2, "Wider figures");
    show(FARES);
    assertThat(prices()).hasCount(4);
    for (int i = 0; i < 4; i++) {
      assertThat(prices().nth(i)).hasCSS("letter-spacing", "3px");
    }
    assertThat(desktop().getByText("A dog, on a lead")).isVisible();
  }

  @Test
  @Order(3)
  void oneItemAloneIsSetOtherwise() {
    show(PRICES);
    designer.takeInHand("10.00");
    designer.field("this item alone").check();
    designer.set("Letter spacing", "5px");
    designer.awaitSaved();
    assertThat(prices().nth(0)).hasCSS("letter-spacing", "3px");
    assertThat(prices().nth(2)).hasCSS("letter-spacing", "5px");
    undoByButton();
    assertThat(prices().nth(2)).hasCSS("letter-spacing", "3px");
  }

  @Test
  @Order(4)
  void aVariantIsChosenAndAPartIsLeftOut() {
    show(FARES);
    designer.takeSection("Price list");
    designer.takeInHand("What it costs");
    Locator band =
        desktop().locator("section", new FrameLocator.LocatorOptions().setHasText("What it costs"));
    String plain = (String) band.evaluate("e => getComputedStyle(e).backgroundColor");
    designer.field("Variant of Price list").selectOption(new SelectOption().setLabel("On a tint"));
    designer.awaitSaved();
    assertThat(band).not().hasCSS("background-color", plain);
    designer.field("Say what is included in all prices.").click();
    designer.awaitSaved();
    assertThat(desktop().getByText("Say what is included in all prices.")).isHidden();
    assertThat(designer.region("Ladder").getByText("switched off here")).isVisible();
    undoByButton();
    assertThat(desktop().getByText("Say what is included in all prices.")).isVisible();
  }

  @Test
  @Order(5)
  void aHeldPageFollowsLaterAcrossTwoRevisionsWithItsWords() {
    show(FARES);
    designer.takeSection("Price list");
    designer.takeInHand("What it costs");
    designer.set("Words", "Fares for everybody");
    designer.awaitSaved();
    designer.button("Hold here").click();
    designer.awaitSaved();
    for (int revision = 3; revision <= 4; revision++) {
      show(PRICES);
      designer.takeInHand("7.00");
      designer.set("Letter spacing", revision + 2 + "px");
      designer.awaitSaved();
      carryOut(revision, "Wider still");
    }
    show(FARES);
    assertThat(prices().first()).hasCSS("letter-spacing", "3px");
    designer.takeSection("Price list");
    designer.button("Let it follow").click();
    designer.awaitSaved();
    for (int i = 0; i < 4; i++) {
      assertThat(prices().nth(i)).hasCSS("letter-spacing", "6px");
    }
    assertThat(desktop().getByText("Fares for everybody")).isVisible();
    assertThat(desktop().getByText("A dog, on a lead")).isVisible();
  }

  @Test
  @Order(6)
  void aTestimonialIsWrittenOnOnePageAndReadOnThree() {
    String[] pages = {SITE + "sf-home", SITE + "sf-timetable", FARES};
    for (String path : pages) {
      place(path, "Testimonial");
    }
    show(pages[1]);
    designer.takeSection("Testimonial");
    designer.takeInHand("“One sentence that a customer said.”");
    assertThat(designer.region("Ladder").getByText("slot of the whole site")).isVisible();
    designer.set("Words", "“They waited for us.”");
    designer.awaitSaved();
    assertThat(designer.region("Ladder").getByText("filled for the whole site")).isVisible();
    for (String path : pages) {
      show(path);
      assertThat(desktop().getByText("“They waited for us.”")).isVisible();
    }
    show(pages[1]);
    press("Control+z");
    designer.awaitSaved();
    show(pages[0]);
    assertThat(desktop().getByText("“One sentence that a customer said.”")).isVisible();
  }

  @Test
  @Order(7)
  void aVariantIsMadeInThePiece() {
    show(VOICE);
    designer.button("Add a variant").click();
    designer.field("Name of a new variant").fill("Without a name");
    designer.button("Add and draw it").click();
    assertThat(designer.region("Reach").getByText("variant “Without a name”")).isVisible();
    designer.takeInHand("Who said it");
    press("Delete");
    designer.awaitSaved();
    assertThat(desktop().getByText("Who said it")).isHidden();
    page().getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("The piece itself")).click();
    assertThat(desktop().getByText("Who said it")).isVisible();
  }

  @Test
  @Order(8)
  void whatIsBuiltAlikeBecomesAList() {
    show("/library/three-cards?site=saltmarsh-ferries&node=tc-card-2");
    designer.button("Make a list of it").click();
    designer.awaitSaved();
    assertThat(designer.region("Ladder").getByText("Item 1 of 3").first()).isVisible();
    press("n");
    designer.awaitSaved();
    assertThat(
            desktop().locator("h3", new FrameLocator.LocatorOptions().setHasText("A short name")))
        .hasCount(4);
    undo(2);
  }

  private static void exchange(String piece) {
    designer.button("Exchange").click();
    Locator drawer = designer.region("Library drawer");
    drawer.getByLabel("Find a piece").fill(piece);
    drawer
        .locator("[role=option]")
        .filter(new Locator.FilterOptions().setHasText(piece))
        .first()
        .click();
    designer.button("Keep it here (Enter)").click();
    designer.awaitSaved();
    assertThat(designer.region("Reach").locator("strong")).hasText(piece);
  }

  @Test
  @Order(9)
  void aPieceIsExchangedAndBackAgainWithoutLoss() {
    show(FARES);
    designer.takeSection("Price list");
    exchange("Call to action");
    assertThat(desktop().getByText("Fares for everybody")).isVisible();
    assertThat(desktop().getByText("A dog, on a lead")).isHidden();
    assertThat(designer.region("Local changes").getByText("Kept from Price list")).isVisible();
    assertThat(designer.region("Local changes").getByText("“A dog, on a lead”")).isVisible();
    exchange("Price list");
    assertThat(desktop().getByText("Fares for everybody")).isVisible();
    assertThat(desktop().getByText("A dog, on a lead")).isVisible();
    assertThat(prices()).hasCount(4);
  }
}
