package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Settings dragged on the canvas, and settings of one device, of a rung and of several things. */
class GripsAndLadderTest extends WithDesigner {
  private static final String SECTION = "sf-words";
  private static final String HEADING = "sf-words-h";
  private static final String TEXT = "sf-words-t";

  private static void takeInHand(String node) {
    show(FERRIES_PAGE + "?node=" + node);
  }

  private static Locator shown(String frame, String node) {
    return designer.frame(frame).locator("[data-node=" + node + "]");
  }

  private static double px(String frame, String node, String property) {
    String css = designer.style(frame, "[data-node=" + node + "]", property);
    return Double.parseDouble(css.replace("px", ""));
  }

  private static Locator grip(String setting) {
    return page().locator("[data-grip=" + setting + "]");
  }

  /** Drags a grip, in px of the screen, and looks at what is shown before it is let go. */
  private static void drag(String setting, double right, double down, Runnable looking) {
    BoundingBox from = grip(setting).boundingBox();
    double x = from.x + from.width / 2;
    double y = from.y + from.height / 2;
    page().mouse().move(x, y);
    page().mouse().down();
    page().mouse().move(x + right / 2, y + down / 2);
    page().mouse().move(x + right, y + down);
    looking.run();
    page().mouse().up();
    assertThat(grip(setting).locator("span")).hasCount(0);
    designer.awaitSaved();
  }

  private static double scale(String device, double width) {
    return page().locator("[data-surface=" + device + "]").boundingBox().width / width;
  }

  private static void workOn(String device) {
    designer.region(device + " frame").getByText("work here").click();
    assertThat(designer.region(device + " frame")).containsText("edits go to");
  }

  private static void findSetting(String name) {
    designer.field("Find a setting").fill(name);
  }

  private static Locator mark(String device, String setting) {
    return designer.button("Take the " + device + " value of " + setting + " away");
  }

  @Test
  void paddingIsDraggedInStepsOfFourAndSeenInAllFramesWhileItIs() {
    takeInHand(SECTION);
    double before = px(DESKTOP, SECTION, "padding-top");
    double expected = Math.round((before + 20 / scale("desktop", 1280)) / 4) * 4;
    String number = Math.round(expected) + " px";
    drag(
        "padding-top",
        0,
        20,
        () -> {
          assertThat(grip("padding-top")).hasText(number);
          for (String frame : FRAMES) {
            assertThat(px(frame, SECTION, "padding-top")).isEqualTo(expected);
          }
        });
    for (String frame : FRAMES) {
      assertThat(px(frame, SECTION, "padding-top")).isEqualTo(expected);
      assertThat(shown(frame, SECTION).getAttribute("style")).isNull();
    }
    undo(1);
    assertThat(px(DESKTOP, SECTION, "padding-top")).isEqualTo(before);
  }

  @Test
  void withAKeyHeldAnyPaddingCanBeDraggedAndNoneIsBelowZero() {
    takeInHand(SECTION);
    double before = px(DESKTOP, SECTION, "padding-left");
    double expected = Math.round(before + 14 / scale("desktop", 1280));
    page().keyboard().down("Alt");
    drag("padding-left", 14, 0, () -> {});
    page().keyboard().up("Alt");
    assertThat(px(DESKTOP, SECTION, "padding-left")).isEqualTo(expected);
    assertThat(expected % 4).isNotZero();
    drag("padding-left", -200, 0, () -> assertThat(grip("padding-left")).hasText("0 px"));
    assertThat(px(PHONE, SECTION, "padding-left")).isZero();
    undo(2);
  }

  @Test
  void anElementHasItsMarginAndWidthDraggedForTheDeviceInTheMarkedFrameAlone() {
    takeInHand(TEXT);
    workOn("Phone");
    double before = px(PHONE, TEXT, "margin-top");
    Map<String, Double> elsewhere =
        Map.of(DESKTOP, px(DESKTOP, TEXT, "margin-top"), TABLET, px(TABLET, TEXT, "margin-top"));
    drag("margin-top", 0, 40, () -> {});
    assertThat(px(PHONE, TEXT, "margin-top")).isCloseTo(before + 40, within(2.0));
    elsewhere.forEach(
        (frame, margin) -> assertThat(px(frame, TEXT, "margin-top")).isEqualTo(margin));
    drag("margin-bottom", 0, 24, () -> {});
    assertThat(px(PHONE, TEXT, "margin-bottom")).isCloseTo(24, within(2.0));
    double room = px(PHONE, TEXT, "width");
    double wide = px(DESKTOP, TEXT, "width");
    drag("width", -room / 2, 0, () -> assertThat(grip("width")).hasText("50 %"));
    assertThat(px(PHONE, TEXT, "width")).isCloseTo(room / 2, within(0.5));
    assertThat(px(DESKTOP, TEXT, "width")).isEqualTo(wide);
    undo(3);
    assertThat(px(PHONE, TEXT, "width")).isEqualTo(room);
  }

  @Test
  void aGripThatIsOnlyClickedSetsNothing() {
    takeInHand(TEXT);
    assertThat(grip("margin-top")).isVisible();
    BoundingBox at = grip("margin-top").boundingBox();
    page().mouse().click(at.x + at.width / 2, at.y + at.height / 2);
    findSetting("margin top");
    assertThat(designer.field("Margin top")).hasValue("");
    assertThat(page()).hasURL(Pattern.compile(".*node=" + TEXT + ".*"));
  }

  @Test
  void aValueOfOneDeviceIsMarkedAndTakenAwayByItsMark() {
    takeInHand(HEADING);
    findSetting("text size");
    designer.set("Text size", "44px");
    workOn("Phone");
    designer.set("Text size", "30px");
    designer.awaitSaved();
    assertThat(shown(PHONE, HEADING)).hasCSS("font-size", "30px");
    assertThat(shown(TABLET, HEADING)).hasCSS("font-size", "44px");
    assertThat(mark("desktop", "text size")).isVisible();
    mark("phone", "text size").click();
    assertThat(mark("phone", "text size")).hasCount(0);
    for (String frame : FRAMES) {
      assertThat(shown(frame, HEADING)).hasCSS("font-size", "44px");
    }
    workOn("Tablet");
    designer.set("Text size", "36px");
    designer.awaitSaved();
    mark("desktop", "text size").click();
    assertThat(mark("desktop", "text size")).hasCount(0);
    assertThat(designer.field("Text size")).hasValue("36px");
    assertThat(shown(PHONE, HEADING)).hasCSS("font-size", "36px");
    assertThat(shown(DESKTOP, HEADING)).not().hasCSS("font-size", "44px");
    press("Escape");
    undo(5);
  }

  @Test
  void aSettingIsCarriedToTheRungsAboveAndBelow() {
    takeInHand(HEADING);
    findSetting("text alignment");
    designer.set("Text alignment", "center");
    designer.awaitSaved();
    assertThat(shown(DESKTOP, TEXT)).not().hasCSS("text-align", "center");
    designer.button("Why text alignment is so").click();
    designer.button("Carry up a rung").click();
    for (String node : List.of(SECTION, HEADING, TEXT)) {
      assertThat(shown(PHONE, node)).hasCSS("text-align", "center");
    }
    assertThat(designer.field("Text alignment")).hasValue("");
    designer
        .region("Ladder")
        .getByRole(AriaRole.BUTTON)
        .filter(new Locator.FilterOptions().setHasText("Words of travellers"))
        .first()
        .click();
    findSetting("text alignment");
    assertThat(designer.field("Text alignment")).hasValue("center");
    designer.button("Why text alignment is so").click();
    designer.button("Carry down a rung").click();
    assertThat(designer.field("Text alignment")).hasValue("");
    for (String node : List.of(HEADING, TEXT)) {
      assertThat(shown(PHONE, node)).hasCSS("text-align", "center");
    }
    press("Escape");
    undo(3);
    assertThat(shown(DESKTOP, HEADING)).not().hasCSS("text-align", "center");
  }

  @Test
  void ofSeveralThingsWhatTheyShareIsShownAndSetForAllOfThem() {
    takeInHand(HEADING);
    shown(DESKTOP, TEXT).scrollIntoViewIfNeeded();
    BoundingBox text = shown(DESKTOP, TEXT).boundingBox();
    page().keyboard().down("Shift");
    page().mouse().click(text.x + 10, text.y + text.height / 2);
    page().keyboard().up("Shift");
    assertThat(designer.region("Ladder")).containsText("2 in hand");
    findSetting("text");
    assertThat(designer.field("Text size")).hasAttribute("placeholder", "differ");
    assertThat(designer.field("Text alignment")).hasAttribute("placeholder", "start");
    workOn("Phone");
    designer.set("Text size", "21px");
    designer.awaitSaved();
    assertThat(designer.field("Text size")).hasValue("21px");
    for (String node : List.of(HEADING, TEXT)) {
      assertThat(shown(PHONE, node)).hasCSS("font-size", "21px");
      assertThat(shown(DESKTOP, node)).not().hasCSS("font-size", "21px");
    }
    mark("phone", "text size").click();
    assertThat(mark("phone", "text size")).hasCount(0);
    for (String node : List.of(HEADING, TEXT)) {
      assertThat(shown(PHONE, node)).not().hasCSS("font-size", "21px");
    }
    press("Escape");
    undo(2);
  }

  private static void addByName(String name) {
    press("a");
    assertThat(designer.field("What to add")).isFocused();
    page().keyboard().type(name);
    press("Enter");
    designer.awaitSaved();
  }

  @Test
  void whatAllThingsInASectionHaveIsGatheredOnIt() {
    for (String node : List.of(HEADING, TEXT)) {
      takeInHand(node);
      findSetting("letter");
      designer.set("Letter spacing", "0.5px");
      designer.awaitSaved();
    }
    takeInHand(SECTION);
    assertThat(designer.region("Ladder")).containsText("All in it have letter spacing 0.5px.");
    designer.button("Gather it here").click();
    assertThat(designer.button("Gather it here")).hasCount(0);
    findSetting("letter");
    assertThat(designer.field("Letter spacing")).hasValue("0.5px");
    for (String node : List.of(HEADING, TEXT)) {
      assertThat(shown(PHONE, node)).hasCSS("letter-spacing", "0.5px");
    }
    takeInHand(TEXT);
    findSetting("letter");
    assertThat(designer.field("Letter spacing")).hasValue("");
    press("Escape");
    undo(3);
  }

  @Test
  void aBoxThatAddsNothingIsNamedAndTakenAwayWithoutAnythingMoving() {
    takeInHand(TEXT);
    List<String> boxes = FRAMES.stream().map(frame -> boxOf(frame, TEXT)).toList();
    press("b");
    designer.awaitSaved();
    assertThat(designer.region("Ladder")).containsText("This box adds nothing.");
    designer.button("Take it away").click();
    assertThat(designer.frame(DESKTOP).locator("[data-node=sf-words] > .box")).hasCount(0);
    designer.awaitSaved();
    assertThat(FRAMES.stream().map(frame -> boxOf(frame, TEXT)).toList()).isEqualTo(boxes);
    undo(2);
  }

  private static String boxOf(String frame, String node) {
    return (String) shown(frame, node).evaluate("e => JSON.stringify(e.getBoundingClientRect())");
  }

  @Test
  void columnsAreLaidOutByNameRefusedWithAReasonAndHintedAtAboveSix() {
    takeInHand(TEXT);
    addByName("row of 4");
    designer.set("Columns", "banana");
    Locator problem = designer.region("Ladder").getByRole(AriaRole.ALERT);
    assertThat(problem).containsText("banana");
    designer.set("Columns", "6 2 2 2");
    assertThat(problem).hasCount(0);
    designer.awaitSaved();
    Locator row = designer.frame(DESKTOP).locator("[data-node=sf-words] > .row");
    double first = row.locator("> .column").first().boundingBox().width;
    assertThat(first).isGreaterThan(row.boundingBox().width * 0.4);
    press("Escape");
    for (int i = 0; i < 3; i++) {
      addByName("column");
      press("ArrowLeft");
    }
    assertThat(designer.region("Ladder")).containsText("7 columns");
    assertThat(row.locator("> .column")).hasCount(7);
    undo(5);
    assertThat(row).hasCount(0);
  }

  @Test
  void theThingInHandIsNamedWithItsLevelAndEveryLevelHasALineOfItsOwn() {
    takeInHand("sf-route-t1");
    Locator surface = page().locator("[data-surface=desktop]");
    assertThat(surface.locator("span.capitalize")).hasText("text");
    Locator lines = surface.locator("svg rect[stroke='#1d2327']");
    assertThat(lines).hasCount(4);
    List<?> kinds =
        (List<?>)
            lines.evaluateAll(
                "all => [...new Set(all.map(e =>"
                    + " e.getAttribute('stroke-width') + e.getAttribute('stroke-dasharray')))]");
    assertThat(kinds).hasSize(4);
    for (String level : List.of("column", "row", "section")) {
      press("ArrowLeft");
      assertThat(surface.locator("span.capitalize")).hasText(level);
    }
  }
}
