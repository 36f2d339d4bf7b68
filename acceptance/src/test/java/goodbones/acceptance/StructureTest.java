package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;

/** Pages built by hand from nothing, as a designer does it: by mouse, and once by keys alone. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@ExtendWith(StepByStep.class)
class StructureTest extends WithDesigner {

  private static void newPage(String title) {
    designer.go("/sites/tern-valley");
    designer.button("New page").click();
    designer.field("Title of the new page").fill(title);
    press("Enter");
    assertThat(designer.heading(title)).isVisible();
    assertThat(page().getByText("Nothing stands here yet.")).isVisible();
  }

  /** Writes over the words of the thing in hand, where they stand. */
  private static void write(String words) {
    press("Enter");
    assertThat(page().getByRole(AriaRole.TOOLBAR, new Page.GetByRoleOptions().setName("Words")))
        .isVisible();
    page().keyboard().type(words);
    press("Control+Enter");
    assertThat(page().getByRole(AriaRole.TOOLBAR, new Page.GetByRoleOptions().setName("Words")))
        .isHidden();
    designer.awaitSaved();
  }

  private static Locator heading(String frame, String words) {
    return designer
        .frame(frame)
        .locator("main h2")
        .filter(new Locator.FilterOptions().setHasText(words))
        .first();
  }

  private static BoundingBox box(String frame, String selector, int index) {
    Locator found = designer.frame(frame).locator("main").locator(selector).nth(index);
    found.waitFor();
    Object[] box =
        ((java.util.List<?>)
                found.evaluate(
                    "e => { const b = e.getBoundingClientRect(); return [b.x, b.y, b.width, b.height] }"))
            .toArray();
    BoundingBox result = new BoundingBox();
    result.x = ((Number) box[0]).doubleValue();
    result.y = ((Number) box[1]).doubleValue();
    result.width = ((Number) box[2]).doubleValue();
    result.height = ((Number) box[3]).doubleValue();
    return result;
  }

  private static void choosePicture(String alt) {
    page().getByText("Choose a picture", new Page.GetByTextOptions().setExact(true)).click();
    page().locator("[role=dialog] li button").first().click();
    page().getByLabel("Alternative text").fill(alt);
    designer.button("Use this picture").click();
    assertThat(page().locator("[role=dialog]")).hasCount(0);
    designer.awaitSaved();
  }

  @Test
  @Order(1)
  void anElementOnAnEmptyPageNeedsNothingAroundIt() {
    newPage("Plots and seasons");
    add("heading", "Heading");
    write("Plots and seasons");
    for (String frame : FRAMES) {
      assertThat(designer.frame(frame).locator(".own > h2")).hasText("Plots and seasons");
    }
    assertThat(box(DESKTOP, "h2", 0).x).isGreaterThanOrEqualTo(32);
  }

  @Test
  @Order(2)
  void aPlotMapWithItsKeyAboveItOnAPhone() {
    add("section", "Section");
    add("heading", "Heading");
    write("Find your plot");
    add("row 8, then 3", "Row");
    press("ArrowRight");
    inHand("Column");
    add("picture", "Picture");
    choosePicture("The plots from above");
    press("ArrowLeft", "ArrowDown");
    inHand("Column");
    add("text", "Text");
    write("Free plots are green");
    BoundingBox row = box(DESKTOP, ".row", 0);
    BoundingBox map = box(DESKTOP, ".column", 0);
    BoundingBox key = box(DESKTOP, ".column", 1);
    double twelfth = (row.width - 11 * 32) / 12;
    assertThat(map.width).isCloseTo(8 * twelfth + 7 * 32, within(0.5));
    assertThat(key.width).isCloseTo(3 * twelfth + 2 * 32, within(0.5));
    assertThat(row.x + row.width - key.x - key.width).isCloseTo(0, within(0.5));
    assertThat(box(PHONE, ".column", 1).y).isGreaterThan(box(PHONE, ".column", 0).y);
    press("ArrowLeft");
    inHand("Column");
    workAt("Phone");
    designer.field("Find a setting").fill("order");
    designer.set("Order", "-1");
    designer.awaitSaved();
    assertThat(designer.frame(PHONE).locator("main .column").nth(1)).hasCSS("order", "-1");
    assertThat(box(PHONE, ".column", 1).y).isLessThan(box(PHONE, ".column", 0).y);
    assertThat(box(DESKTOP, ".column", 1).x).isGreaterThan(box(DESKTOP, ".column", 0).x);
    designer.field("Find a setting").fill("");
    designer.field("Find a setting").press("Escape");
    workAt("Desktop");
  }

  private static void takeLastSection() {
    page().locator("[data-strip]").last().click();
    designer.awaitSaved();
  }

  @Test
  @Order(3)
  void aCalendarOfFourColumnsOfWhichOneIsWidenedByDragging() {
    takeLastSection();
    press("ArrowLeft");
    add("section", "Section");
    add("heading", "Heading");
    write("The year on the plots");
    add("row of 4", "Row");
    String[] seasons = {"Spring", "Summer", "Autumn", "Winter"};
    press("ArrowRight");
    for (int i = 0; i < 4; i++) {
      inHand("Column");
      add("text", "Text");
      write(seasons[i]);
      press("ArrowLeft", "ArrowDown");
    }
    press("ArrowUp", "ArrowUp", "ArrowUp");
    inHand("Column");
    double before = box(DESKTOP, ".column", 2).width;
    assertThat(widenedByDragging()).isEqualTo("4 + 2");
    press("ArrowLeft");
    inHand("Row");
    assertThat(designer.field("Columns")).hasValue("4 2 3 3");
    assertThat(box(DESKTOP, ".column", 2).width).isGreaterThan(before + 60);
    designer.field("Columns").fill("30% 25% 25% 20%");
    designer.field("Columns").press("Enter");
    designer.awaitSaved();
    takeFirstColumn();
    String[] said = widenedByDragging().replace(" %", "%").split(" \\+ ");
    assertThat(Integer.parseInt(said[0].replace("%", ""))).isBetween(31, 40);
    press("ArrowLeft");
    inHand("Row");
    assertThat(designer.field("Columns")).hasValue(said[0] + " " + said[1] + " 25% 20%");
    designer.field("Columns").fill("4 2 3 3");
    designer.field("Columns").press("Enter");
    designer.awaitSaved();
    takeFirstColumn();
    press("ArrowLeft");
    inHand("Row");
    workAt("Tablet");
    designer.button("2 to a line").click();
    designer.awaitSaved();
    assertThat(box(TABLET, ".column", 2).y).isEqualTo(box(TABLET, ".column", 3).y);
    assertThat(box(TABLET, ".column", 4).y).isGreaterThan(box(TABLET, ".column", 3).y);
    assertThat(box(PHONE, ".column", 3).y).isGreaterThan(box(PHONE, ".column", 2).y);
    workAt("Desktop");
  }

  private void takeFirstColumn() {
    takeLastSection();
    press("ArrowRight", "ArrowDown", "ArrowRight");
    inHand("Column");
  }

  /** Draws the line at the right of the column in hand to the right; what is said of the two. */
  private String widenedByDragging() {
    Locator line = page().locator("[data-grip=columns]");
    BoundingBox grip = line.boundingBox();
    page().mouse().move(grip.x + grip.width / 2, grip.y + grip.height / 2);
    page().mouse().down();
    page().mouse().move(grip.x + 20, grip.y + 6);
    page().mouse().move(grip.x + 42, grip.y + 6);
    String said = line.textContent();
    page().mouse().up();
    designer.awaitSaved();
    return said;
  }

  @Test
  @Order(4)
  void aNoticeIsDuplicatedAndMirrored() {
    takeLastSection();
    press("ArrowLeft");
    add("section", "Section");
    add("heading", "Heading");
    write("The tool shed");
    add("row of 2", "Row");
    press("ArrowRight");
    add("picture", "Picture");
    choosePicture("The shed");
    press("ArrowLeft", "ArrowDown");
    inHand("Column");
    add("text", "Text");
    write("Bring it back clean");
    takeLastSection();
    press("Control+d");
    assertThat(designer.frame(DESKTOP).locator("main section")).hasCount(4);
    designer.awaitSaved();
    press("m");
    designer.awaitSaved();
    Locator last = designer.frame(DESKTOP).locator("main section").last();
    assertThat(last.locator(".column").first()).containsText("Bring it back clean");
    assertThat(box(DESKTOP, "section:last-child img", 0).x)
        .isGreaterThan(box(DESKTOP, "section:last-child p", 0).x);
    assertThat(box(PHONE, "section:last-child img", 0).y)
        .isLessThan(box(PHONE, "section:last-child p", 0).y);
  }

  @Test
  @Order(5)
  void theHeadingsOfAllThreeAreAlignedAtOnce() {
    Locator surface = page().locator("[data-surface=desktop]");
    BoundingBox at = surface.boundingBox();
    double scale = at.width / 1280;
    String[] headings = {"Find your plot", "The year on the plots", "The tool shed"};
    for (int i = 0; i < headings.length; i++) {
      Locator heading =
          designer
              .frame(DESKTOP)
              .locator("main h2", new com.microsoft.playwright.FrameLocator.LocatorOptions())
              .filter(new Locator.FilterOptions().setHasText(headings[i]))
              .first();
      heading.scrollIntoViewIfNeeded();
      BoundingBox spot = heading.boundingBox();
      if (i > 0) {
        page().keyboard().down("Shift");
      }
      page().mouse().click(spot.x + 20 * scale, spot.y + spot.height / 2);
      if (i > 0) {
        page().keyboard().up("Shift");
      }
    }
    inHand("3 in hand");
    designer.set("Text alignment", "center");
    designer.awaitSaved();
    for (String heading : headings) {
      for (String frame : FRAMES) {
        assertThat(heading(frame, heading)).hasCSS("text-align", "center");
      }
    }
    press("Escape");
  }

  @Test
  @Order(6)
  void theLadderAloneTellsWhichBoxAGapBelongsTo() {
    page().locator("[data-strip]").nth(2).click();
    inHand("Section");
    designer.field("Find a setting").fill("row gap");
    designer.set("Row gap", "90px");
    designer.field("Find a setting").fill("");
    designer.awaitSaved();
    designer.takeInHand("Spring");
    inHand("Text");
    Locator guilty =
        designer
            .region("Ladder")
            .getByRole(AriaRole.LISTITEM)
            .filter(new Locator.FilterOptions().setHasText("row gap 90"));
    assertThat(guilty).hasCount(1);
    assertThat(guilty).containsText("section");
    guilty.getByRole(AriaRole.BUTTON).click();
    inHand("Section");
    designer.field("Find a setting").fill("row gap");
    designer.set("Row gap", "24px");
    designer.field("Find a setting").fill("");
    designer.awaitSaved();
    for (String frame : FRAMES) {
      assertThat(designer.frame(frame).locator("main section").nth(1)).hasCSS("row-gap", "24px");
    }
  }

  @Test
  @Order(7)
  void everythingIsUndoneToTheEmptyPageAndRedone() {
    String built = (String) designer.frame(DESKTOP).locator("main").evaluate("e => e.innerHTML");
    undoAll();
    assertThat(page().getByText("Nothing stands here yet.")).isVisible();
    for (String frame : FRAMES) {
      assertThat(designer.frame(frame).locator(".own > *")).hasCount(0);
    }
    page().reload();
    Locator redo =
        page()
            .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Redo").setExact(true));
    redo.waitFor();
    while (redo.isEnabled()) {
      redo.click();
      designer.awaitSaved();
    }
    assertThat((String) designer.frame(DESKTOP).locator("main").evaluate("e => e.innerHTML"))
        .isEqualTo(built);
  }

  private static void undoAll() {
    Locator undo =
        page()
            .getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Undo")));
    while (undo.isEnabled()) {
      undo.click();
      designer.awaitSaved();
    }
  }

  /** Goes to a setting of the thing in hand by its name and sets it. */
  private static void setByKeys(String name, String value) {
    press("/");
    page().keyboard().type(name);
    press("Tab");
    assertThat(page().locator("[data-ladder-open] input").first()).isVisible();
    while (!(Boolean)
        page()
            .evaluate("label => document.activeElement.labels?.[0]?.textContent === label", name)) {
      press("Tab");
    }
    press("Control+a");
    page().keyboard().type(value);
    press("Enter");
    designer.awaitSaved();
    press("Escape", "/", "Control+a", "Backspace", "Escape");
  }

  private static void choosePictureByKeys() {
    press("Enter");
    assertThat(page().locator("[data-ladder-open] button").first()).isFocused();
    press("Enter");
    assertThat(designer.heading("Choose a picture")).isVisible();
    while (!(Boolean)
        page().evaluate("() => document.activeElement.closest('[role=dialog] li') !== null")) {
      press("Tab");
    }
    press("Enter");
    while (!(Boolean)
        page().evaluate("() => document.activeElement.textContent === 'Use this picture'")) {
      press("Tab");
    }
    press("Enter");
    assertThat(page().locator("[role=dialog]")).hasCount(0);
    designer.awaitSaved();
  }

  @Test
  @Order(8)
  void theSameIsBuiltWithTheKeyboardAlone() {
    newPage("The plots by keys");
    String[] headings = {"Find your plot", "The year on the plots", "The tool shed"};
    add("section", "Section");
    add("heading", "Heading");
    write(headings[0]);
    add("row 8, then 3", "Row");
    press("ArrowRight");
    add("picture", "Picture");
    choosePictureByKeys();
    press("ArrowLeft", "ArrowDown");
    inHand("Column");
    add("text", "Text");
    write("Free plots are green");
    press("ArrowLeft");
    inHand("Column");
    workAt("Phone");
    setByKeys("Order", "-1");
    workAt("Desktop");
    press("ArrowLeft", "ArrowLeft", "ArrowLeft");
    inHand("Page");
    add("section", "Section");
    add("heading", "Heading");
    write(headings[1]);
    add("row of 4", "Row");
    press("ArrowRight");
    for (int i = 0; i < 4; i++) {
      inHand("Column");
      add("text", "Text");
      press("ArrowLeft", "ArrowDown");
    }
    press("ArrowLeft");
    inHand("Row");
    setByKeys("Columns", "4 2 3 3");
    workAt("Tablet");
    setByKeys("Columns", "equal 2");
    workAt("Desktop");
    press("ArrowLeft", "ArrowLeft");
    inHand("Page");
    add("section", "Section");
    add("heading", "Heading");
    write(headings[2]);
    add("row of 2", "Row");
    press("ArrowRight");
    add("picture", "Picture");
    choosePictureByKeys();
    press("ArrowLeft", "ArrowDown");
    inHand("Column");
    add("text", "Text");
    press("ArrowLeft", "ArrowLeft", "ArrowLeft");
    inHand("Section");
    press("Control+d");
    assertThat(designer.frame(DESKTOP).locator("main section")).hasCount(4);
    designer.awaitSaved();
    press("m");
    assertThat(
            designer
                .frame(DESKTOP)
                .locator("main section")
                .last()
                .locator(".column")
                .last()
                .locator("img"))
        .hasCount(1);
    designer.awaitSaved();
    press("ArrowUp", "ArrowRight", " ", "ArrowLeft", "ArrowUp", "ArrowRight", " ");
    press("ArrowLeft", "ArrowUp", "ArrowRight");
    inHand("3 in hand");
    setByKeys("Text alignment", "center");
    for (String heading : headings) {
      assertThat(heading(PHONE, heading)).hasCSS("text-align", "center");
    }
    assertThat(box(TABLET, ".row", 1).height).isGreaterThan(box(DESKTOP, ".row", 1).height);
    Locator undo =
        page()
            .getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Undo")));
    press("Escape");
    while (undo.isEnabled()) {
      press("Control+z");
      designer.awaitSaved();
    }
    assertThat(page().getByText("Nothing stands here yet.")).isVisible();
    Locator redo =
        page()
            .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Redo").setExact(true));
    while (redo.isEnabled()) {
      press("Control+Shift+z");
      designer.awaitSaved();
    }
    assertThat(designer.frame(DESKTOP).locator("main section")).hasCount(4);
  }
}
