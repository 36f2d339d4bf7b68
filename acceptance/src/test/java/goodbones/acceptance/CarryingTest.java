package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Things carried with the pointer: over the lead frame, the page drawing and the outline. */
class CarryingTest extends WithDesigner {
  private static final String TEXT = "sf-words-t";
  private static final String ROUTES = "sf-routes-row";

  /** A place on a box, as shares of its width and height. */
  private record Spot(double across, double down) {
    static final Spot ABOVE = new Spot(0.4, 0.08);
    static final Spot BELOW = new Spot(0.4, 0.92);
    static final Spot LEFT = new Spot(0.3, 0.5);
  }

  private static Locator shown(String node) {
    return designer.frame(DESKTOP).locator("[data-node='" + node + "']");
  }

  private static Locator outlined(String node) {
    return page().locator("[data-outline='" + node + "']");
  }

  private static void moveTo(Locator to, Spot spot) {
    BoundingBox box = to.boundingBox();
    double x = box.x + box.width * spot.across();
    double y = box.y + box.height * spot.down();
    page().mouse().move(x, y);
    page().mouse().move(x, y + 0.5);
  }

  private static void takeUp(Locator from) {
    BoundingBox box = from.boundingBox();
    takeUp(box.x + Math.min(8, box.width / 2), box.y + Math.min(6, box.height / 2));
  }

  private static void takeUp(double x, double y) {
    page().mouse().move(x, y);
    page().mouse().down();
    page().mouse().move(x + 7, y + 2);
  }

  /** Lets go where it says that it would land. */
  private static void letGo(String says) {
    assertThat(page().getByText(says)).isVisible();
    page().mouse().up();
    assertThat(page().getByText(says)).hasCount(0);
    designer.awaitSaved();
  }

  @SuppressWarnings("unchecked")
  private static List<String> children(String frame, String node) {
    return (List<String>)
        designer
            .frame(frame)
            .locator("[data-node='" + node + "'] > [data-node]")
            .evaluateAll("all => all.map(e => e.dataset.node)");
  }

  @SuppressWarnings("unchecked")
  private static List<String> sections(String frame) {
    return (List<String>)
        designer
            .frame(frame)
            .locator(".own > *")
            .evaluateAll("all => all.map(e => e.dataset.node)");
  }

  @Test
  void anElementIsCarriedToAnotherSectionAndTheLineMarksWhere() {
    show(FERRIES_PAGE + "?node=" + TEXT);
    shown(TEXT).scrollIntoViewIfNeeded();
    takeUp(shown(TEXT));
    moveTo(shown("sf-route-t2"), Spot.BELOW);
    BoundingBox text = shown("sf-route-t2").boundingBox();
    Locator mark = page().locator("[data-surface=desktop] .z-20 > .bg-verdigris");
    BoundingBox line = mark.boundingBox();
    assertThat(line.y).isBetween(text.y + text.height - 6, text.y + text.height + 6);
    assertThat(line.width).isGreaterThan(text.width * 0.8);
    letGo("after “50 minutes");
    for (String frame : FRAMES) {
      assertThat(children(frame, "sf-route-2")).endsWith("sf-route-t2", TEXT);
      assertThat(children(frame, "sf-words")).doesNotContain(TEXT);
    }
    undo(1);
    assertThat(children(PHONE, "sf-words")).contains(TEXT);
  }

  @Test
  void aColumnIsCarriedAlongItsRowAndARowIntoAnotherSection() {
    show(FERRIES_PAGE + "?node=sf-route-1");
    List<String> before = children(DESKTOP, ROUTES);
    shown("sf-route-1").scrollIntoViewIfNeeded();
    takeUp(shown("sf-route-1"));
    moveTo(shown("sf-route-3"), new Spot(0.95, 0.5));
    page().mouse().up();
    designer.awaitSaved();
    for (String frame : FRAMES) {
      assertThat(children(frame, ROUTES)).containsExactly("sf-route-2", "sf-route-3", "sf-route-1");
    }
    undo(1);
    assertThat(children(DESKTOP, ROUTES)).isEqualTo(before);
    designer.takeInHand("Row");
    takeUp(shown(ROUTES));
    moveTo(shown(TEXT), Spot.BELOW);
    letGo("after “Maud Tillery");
    for (String frame : FRAMES) {
      assertThat(children(frame, "sf-words")).endsWith(TEXT, ROUTES);
      assertThat(children(frame, ROUTES)).isEqualTo(before);
    }
    undo(1);
  }

  @Test
  void aSectionIsCarriedOverTheCanvasByWhatItShowsOfItself() {
    show(FERRIES_PAGE);
    List<String> before = sections(DESKTOP);
    designer.takeSection("Three routes");
    BoundingBox routes = shown("sf-routes").boundingBox();
    takeUp(routes.x + routes.width - 60, routes.y + 8);
    moveTo(shown("sf-words"), Spot.BELOW);
    letGo("after “Words of travellers”");
    assertThat(sections(PHONE)).last().isEqualTo("sf-routes");
    undo(1);
    assertThat(sections(PHONE)).isEqualTo(before);
  }

  @Test
  void severalThingsAreCarriedTogetherInTheirOrder() {
    show(FERRIES_PAGE + "?node=" + TEXT);
    press("ArrowUp");
    page().keyboard().down("Shift");
    shown(TEXT).scrollIntoViewIfNeeded();
    BoundingBox text = shown(TEXT).boundingBox();
    page().mouse().click(text.x + 20, text.y + text.height / 2);
    page().keyboard().up("Shift");
    assertThat(designer.region("Ladder")).containsText("2 in hand");
    takeUp(shown(TEXT));
    assertThat(page().getByText("2 things")).isVisible();
    moveTo(shown("sf-route-t3"), Spot.BELOW);
    letGo("after “Summer only");
    assertThat(children(DESKTOP, "sf-route-3")).endsWith("sf-words-h", TEXT);
    undo(1);
  }

  @Test
  void carryingIsGivenUpWithEscapeAndOutsideNothingLands() {
    show(FERRIES_PAGE + "?node=" + TEXT);
    shown(TEXT).scrollIntoViewIfNeeded();
    List<String> before = children(DESKTOP, "sf-words");
    takeUp(shown(TEXT));
    moveTo(shown("sf-route-t2"), Spot.BELOW);
    assertThat(page().getByText("after “50 minutes")).isVisible();
    press("Escape");
    assertThat(page().getByText("after “50 minutes")).hasCount(0);
    page().mouse().up();
    takeUp(shown(TEXT));
    page().mouse().move(1100, 500);
    assertThat(page().getByText("nothing to land on here")).isVisible();
    page().mouse().up();
    assertThat(children(DESKTOP, "sf-words")).isEqualTo(before);
  }

  /** Nothing is drawn between taking up and letting go. */
  @Test
  void aQuickHandLandsWhereItLetsGo() {
    show(FERRIES_PAGE + "?node=" + TEXT);
    shown(TEXT).scrollIntoViewIfNeeded();
    BoundingBox from = shown(TEXT).boundingBox();
    BoundingBox to = shown("sf-route-t2").boundingBox();
    page()
        .evaluate(
            "([x, y, toX, toY]) => {"
                + " const at = (type, target, x, y) => target.dispatchEvent(new PointerEvent(type,"
                + " {clientX: x, clientY: y, isPrimary: true, button: 0, bubbles: true}));"
                + " at('pointerdown', document.elementFromPoint(x, y), x, y);"
                + " at('pointermove', document, x + 9, y);"
                + " at('pointermove', document, toX, toY);"
                + " at('pointerup', document, toX, toY); }",
            List.of(from.x + 8, from.y + 6, to.x + to.width * 0.4, to.y + to.height * 0.92));
    page().waitForCondition(() -> children(DESKTOP, "sf-route-2").contains(TEXT));
    assertThat(children(DESKTOP, "sf-route-2")).endsWith("sf-route-t2", TEXT);
    designer.awaitSaved();
    undo(1);
    assertThat(children(DESKTOP, "sf-words")).contains(TEXT);
    takeUp(shown(TEXT));
    moveTo(shown("sf-route-t2"), Spot.BELOW);
    letGo("after “50 minutes");
    undo(1);
  }

  @Test
  void farDownItLandsWhereItIsSeenToThoughTheFrameHasScrolled() {
    show(FERRIES_PAGE);
    List<String> before = sections(DESKTOP);
    designer.takeSection("Opening band");
    BoundingBox opening = shown("sf-opening/ob-section").boundingBox();
    BoundingBox frame = designer.region("Desktop frame").boundingBox();
    takeUp(opening.x + 6, opening.y + 6);
    page().mouse().move(frame.x + frame.width / 2, frame.y + frame.height - 20);
    page()
        .waitForCondition(
            () -> {
              BoundingBox words = shown("sf-words").boundingBox();
              return words.y + words.height < frame.y + frame.height * 0.8;
            });
    moveTo(shown("sf-words"), Spot.BELOW);
    letGo("after “Words of travellers”");
    assertThat(sections(PHONE)).last().isEqualTo("sf-opening/ob-section");
    undo(1);
    assertThat(sections(PHONE)).isEqualTo(before);
  }

  @Test
  void inTheOutlineThingsAreCarriedByTheirNames() {
    show(FERRIES_PAGE + "?node=sf-words-h");
    takeUp(outlined(TEXT));
    moveTo(outlined("sf-words-h"), Spot.ABOVE);
    page().mouse().up();
    page()
        .waitForCondition(() -> children(DESKTOP, "sf-words").equals(List.of(TEXT, "sf-words-h")));
    designer.awaitSaved();
    undo(1);
    assertThat(children(DESKTOP, "sf-words")).containsExactly("sf-words-h", TEXT);
  }

  private static void takeUpNew(String name) {
    designer.button("Add").click();
    designer.field("What to add").fill(name.toLowerCase());
    Locator item =
        page()
            .getByRole(AriaRole.DIALOG)
            .getByRole(AriaRole.OPTION)
            .filter(new Locator.FilterOptions().setHasText(name))
            .first();
    item.waitFor();
    takeUp(item);
    assertThat(page().getByRole(AriaRole.DIALOG)).isHidden();
  }

  @Test
  void somethingNewIsDroppedWhereItIsWantedAlsoBesideAThing() {
    show(FERRIES_PAGE + "?node=" + TEXT);
    shown(TEXT).scrollIntoViewIfNeeded();
    takeUpNew("Button");
    moveTo(shown("sf-route-t1"), Spot.BELOW);
    letGo("after “35 minutes");
    for (String frame : FRAMES) {
      assertThat(designer.frame(frame).locator("[data-node=sf-route-1] > :last-child"))
          .hasClass(Pattern.compile("\\bbutton\\b"));
    }
    takeUpNew("Row of 2");
    moveTo(shown("sf-words-h"), Spot.ABOVE);
    letGo("before ““The best half hour");
    assertThat(shown("sf-words").locator("> .row > .column")).hasCount(2);
    takeUpNew("Picture");
    moveTo(shown(TEXT), new Spot(0.99, 0.5));
    letGo("right of “Maud Tillery");
    assertThat(shown("sf-words").locator("> .row").last().locator("> .column")).hasCount(2);
    undo(3);
    assertThat(shown("sf-words").locator(".row")).hasCount(0);
  }

  @Test
  void aPieceOfTheLibraryIsDroppedBetweenTheStripsOfThePageDrawing() {
    show(FERRIES_PAGE + "?node=" + TEXT);
    List<String> before = sections(DESKTOP);
    takeUpNew("Quote band");
    moveTo(designer.strip("Three routes"), Spot.ABOVE);
    letGo("before “Three routes”");
    assertThat(sections(DESKTOP)).hasSize(before.size() + 1);
    assertThat(sections(DESKTOP).indexOf("sf-routes")).isEqualTo(before.indexOf("sf-routes") + 1);
    undo(1);
  }

  @Test
  void onAnEmptyPageADroppedElementNeedsNothingAroundIt() {
    designer.go("/sites/tern-valley");
    designer.button("New page").click();
    designer.field("Title of the new page").fill("Dropped on nothing");
    press("Enter");
    assertThat(page().getByText("Nothing stands here yet.")).isVisible();
    takeUpNew("Text");
    moveTo(page().locator("[data-surface=desktop]"), Spot.LEFT);
    page().mouse().up();
    designer.awaitSaved();
    assertThat(designer.frame(PHONE).locator(".own > *")).hasCount(1);
    assertThat(designer.frame(PHONE).locator(".own > .text")).hasCount(1);
    takeUpNew("Section");
    moveTo(designer.frame(DESKTOP).locator(".own > .text"), Spot.BELOW);
    page().mouse().up();
    designer.awaitSaved();
    assertThat(designer.frame(DESKTOP).locator(".own > .text + .section")).hasCount(1);
  }
}
