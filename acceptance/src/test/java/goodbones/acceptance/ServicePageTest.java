package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * For the clock repairer: what came out well on a finished service page is kept, the next one is
 * made of it, and the kept row of a price table goes into two templates and is found everywhere.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@ExtendWith(StepByStep.class)
class ServicePageTest extends WithDesigner {
  private static final String PAGES = "/sites/quillon-clocks/pages/";

  private static void inReach(String piece) {
    assertThat(designer.region("Reach").locator("strong")).hasText(piece);
  }

  /** Keeps what is in hand, by the keyboard alone. */
  private static void keep(String name) {
    press("k");
    assertThat(designer.field("Name")).isFocused();
    press("Control+a");
    page().keyboard().type(name);
    press("Enter");
    designer.awaitSaved();
    inReach(name);
  }

  private static void unlink() {
    designer.button("Unlink").click();
    designer.awaitSaved();
    assertThat(designer.region("Reach").getByText("Own section of this page")).isVisible();
  }

  /** Tries a piece in place from the drawer and keeps it, by the keyboard alone. */
  private static void insert(String piece) {
    press("l");
    assertThat(designer.region("Library drawer")).isVisible();
    page().keyboard().type(piece);
    assertThat(designer.region("Library drawer").locator("[role=option]").first())
        .containsText(piece);
    press("ArrowDown");
    assertThat(designer.button("Keep it here (Enter)")).isVisible();
    press("Enter");
    assertThat(designer.region("Library drawer")).isHidden();
    designer.awaitSaved();
  }

  private static void write(String node, String words) {
    designer.takeInHand(node);
    designer.set("Words", words);
    designer.awaitSaved();
  }

  private static String seen() {
    return designer.frame(DESKTOP).locator("body").innerText();
  }

  @Test
  @Order(1)
  void aRowAListAndABandAreKeptAndNothingThatIsSeenChanges() {
    show(PAGES + "qc-prices");
    designer.takeSection("Prices in lines");
    String words = seen();
    unlink();
    designer.takeInHand("A mantel clock, cleaned");
    for (int up = 0; up < 6 && !"row".equals(kindInHand()); up++) {
      String before = kindInHand();
      press("ArrowLeft");
      page().waitForCondition(() -> !before.equals(kindInHand()));
    }
    assertThat(kindInHand()).isEqualTo("row");
    keep("Price row");
    assertThat(seen()).isEqualTo(words);
    show(PAGES + "qc-turret");
    designer.takeSection("Steps beside each other");
    words = seen();
    unlink();
    keep("How it works");
    assertThat(seen()).isEqualTo(words);
    page().getByText("Edit the piece").click();
    assertThat(designer.heading("How it works")).isVisible();
    designer.takeInHand("Column");
    designer.button("Make a list of it").click();
    designer.awaitSaved();
    release(2, "As many steps as it takes");
    apply("1 site");
    show(PAGES + "qc-repairs");
    designer.takeSection("What goes wrong");
    words = seen();
    keep("Workshop band");
    assertThat(seen()).isEqualTo(words);
  }

  private static String kindInHand() {
    return page()
        .getByRole(AriaRole.TOOLBAR, new Page.GetByRoleOptions().setName("Thing in hand"))
        .locator("p span")
        .first()
        .innerText()
        .toLowerCase();
  }

  @Test
  @Order(2)
  void theNextServicePageIsMadeOfThem() {
    designer.go("/sites/quillon-clocks");
    designer.button("New page").click();
    designer.field("Title of the new page").fill("Barometers");
    page()
        .getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("^Nothing")))
        .check();
    press("Enter");
    assertThat(designer.heading("Barometers")).isVisible();
    assertThat(page().getByText("Nothing stands here yet.")).isVisible();
    insert("Picture with text");
    String first = designer.frame(DESKTOP).locator("main .column").first().innerText();
    press("m");
    designer.awaitSaved();
    assertThat(designer.frame(DESKTOP).locator("main .column").last()).hasText(first);
    insert("How it works");
    Locator steps = designer.frame(DESKTOP).locator("main section").last().locator("h3");
    int before = steps.count();
    assertThat(before).isGreaterThan(1);
    designer.takeInHand(steps.first().innerText());
    designer.button("Add an item to the list").click();
    assertThat(steps).hasCount(before + 1);
    designer.awaitSaved();
    Locator labels = designer.frame(DESKTOP).locator("main section").last().locator(".label");
    int labelled = labels.count();
    designer.takeInHand("Small label");
    press("Delete");
    assertThat(labels).hasCount(labelled - 1);
    designer.awaitSaved();
    insert("Workshop band");
    assertThat(designer.frame(DESKTOP).locator("main section")).hasCount(3);
    Locator left =
        page()
            .getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(Pattern.compile("stand-ins left$")));
    assertThat(left).isVisible();
    Locator heading = designer.frame(DESKTOP).locator("main section").last().locator("h2");
    write(heading.innerText(), "What goes wrong with barometers");
    assertThat(heading).hasText("What goes wrong with barometers");
  }

  @Test
  @Order(3)
  void thePriceRowGoesIntoTwoTemplatesAndIsFoundThroughEveryLevel() {
    for (String template : new String[] {"quote-band", "hours-band"}) {
      show("/library/" + template + "?site=quillon-clocks");
      insert("Price row");
      release(2, "With a price");
    }
    designer.go("/library?words=price row");
    page().getByTitle("Where it is used").first().click();
    Locator used = designer.region("Where Price row is used");
    assertThat(used.getByText("In Quote band")).isVisible();
    assertThat(used.getByText("In Hours band")).isVisible();
    assertThat(used.getByText("Quillon Clock Repair").first()).isVisible();
    assertThat(used.getByText("Oakum Rope Museum").first()).isVisible();
    used.getByText("Prices").first().click();
    assertThat(designer.heading("Prices")).isVisible();
    inReach("Price row");
  }

  /** Uses a button or link as a keyboard does. */
  private static void byKey(Locator control) {
    control.focus();
    press("Enter");
  }

  /** Goes with the arrow keys from the first section of the page to one of a piece. */
  private static void goTo(String piece) {
    Locator reach = designer.region("Reach").locator("strong");
    for (int i = 0; i < 12 && !reach.innerText().equals(piece); i++) {
      press("ArrowDown");
    }
    inReach(piece);
  }

  /** The same once more without the mouse, from another finished page. */
  @Test
  @Order(4)
  void theSameByTheKeyboardAlone() {
    show(PAGES + "qc-bench");
    goTo("Hours band");
    String words = seen();
    byKey(designer.button("Unlink"));
    designer.awaitSaved();
    assertThat(designer.region("Reach").getByText("Own section of this page")).isVisible();
    keep("Opening hours of the bench");
    assertThat(seen()).isEqualTo(words);

    designer.go("/sites/quillon-clocks");
    byKey(designer.button("New page"));
    assertThat(designer.field("Title of the new page")).isFocused();
    page().keyboard().type("Sundials");
    press("Enter");
    assertThat(designer.heading("Sundials")).isVisible();
    insert("Picture with text");
    press("m");
    designer.awaitSaved();
    insert("How it works");
    Locator steps = designer.frame(DESKTOP).locator("main section").last().locator("h3");
    int before = steps.count();
    for (int i = 0; i < 12 && !"column".equals(kindInHand()); i++) {
      String was = kindInHand();
      press(was.equals("section") || was.equals("row") ? "ArrowRight" : "ArrowDown");
      page().waitForTimeout(150);
    }
    press("n");
    assertThat(steps).hasCount(before + 1);
    designer.awaitSaved();
    press("Delete");
    assertThat(steps).hasCount(before);
    designer.awaitSaved();
    insert("Opening hours of the bench");

    show("/library/title-band?site=quillon-clocks");
    insert("Price row");
    byKey(designer.button("Release revision 2"));
    assertThat(designer.field("What is new")).isFocused();
    page().keyboard().type("With a price");
    byKey(designer.button("Release revision 2"));
    byKey(designer.link("Review the rollout"));
    designer.go("/library?words=price row");
    byKey(page().getByTitle("Where it is used").first());
    Locator used = designer.region("Where Price row is used");
    assertThat(used.getByText("In Title band")).isVisible();
    press("Escape");
    assertThat(used).isHidden();
  }
}
