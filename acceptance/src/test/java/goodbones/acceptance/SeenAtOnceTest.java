package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.WaitForSelectorState;
import goodbones.testing.Runs;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * What an edit draws before the server answers is what the server then draws, in all three frames;
 * the server's own drawing is the reference.
 */
class SeenAtOnceTest extends WithDesigner {

  /** A frame without the ids of nodes, and without what is set while it is far from sight. */
  private static final String PLAIN =
      """
      body => {
        const copy = body.cloneNode(true);
        for (const e of [copy, ...copy.querySelectorAll('*')]) {
          e.removeAttribute('data-node');
          e.removeAttribute('style');
        }
        return copy.outerHTML;
      }
      """;

  private static final List<Route> ASKED = new ArrayList<>();

  @BeforeAll
  static void holdWhatIsAsked() {
    page().route("**/edits*", ASKED::add);
  }

  private static Locator main() {
    return designer.frame(DESKTOP).locator(".own");
  }

  private static List<String> drawn() {
    return FRAMES.stream()
        .map(frame -> (String) designer.frame(frame).locator("body").evaluate(PLAIN))
        .toList();
  }

  /** The rules of how single things look. */
  @SuppressWarnings("unchecked")
  private static List<String> rules() {
    return (List<String>)
        designer
            .frame(DESKTOP)
            .locator("html")
            .evaluate(
                "e => [...e.querySelectorAll('[data-line]')].map(line => line.textContent)"
                    + ".filter(line => line.startsWith('.g'))");
  }

  private static Route asked() {
    page().waitForCondition(() -> !ASKED.isEmpty());
    return ASKED.remove(0);
  }

  /** Compares what stands there while the server is asked with what it answers, and undoes it. */
  private static void isSeenAtOnce(String label) {
    Route edit = asked();
    List<String> atOnce = drawn();
    List<String> rules = rules();
    edit.resume();
    Locator undo = page().locator("button[title='Undo: " + label + " (Ctrl Z)']");
    undo.waitFor();
    assertThat(drawn()).as(label).isEqualTo(atOnce);
    assertThat(rules).as("rules that were there at once: " + label).containsAll(rules());
    undo.click();
    undo.waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.DETACHED));
    designer.awaitSaved();
    assertThat(drawn()).as("undo: " + label).isNotEqualTo(atOnce);
  }

  private static Locator add(String name) {
    press("a");
    assertThat(designer.region("What to add")).isFocused();
    Locator choice =
        designer
            .region("Add")
            .getByRole(AriaRole.OPTION)
            .filter(new Locator.FilterOptions().setHasText(name))
            .first();
    choice.waitFor();
    return choice;
  }

  @Test
  void everythingThatCanBeAdded() {
    List<String> places = List.of("sf-route-h2", "sf-words-t", "sf-words");
    List<String> names =
        List.of(
            "Heading",
            "Text",
            "Picture",
            "Button",
            "Label",
            "Section",
            "Box",
            "Row of 3",
            "Row 8, then 3 offset 1",
            "Row 56 % and 33 %");
    for (int i = 0; i < places.size() * names.size(); i++) {
      // Every thing once and in every place some; the longer run has all in all of them.
      if (Runs.areLong() || i % places.size() == i / places.size() % places.size()) {
        show(FERRIES_PAGE + "?node=" + places.get(i % places.size()));
        String name = names.get(i / places.size());
        add(name).click();
        isSeenAtOnce("add " + (name.startsWith("Row") ? "row" : name.toLowerCase()));
      }
    }
  }

  @Test
  void somethingNewInAnotherSchemeOfAPiece() {
    show("/library/quote-band?site=saltmarsh-ferries");
    designer.takeInHand("Who said it");
    add("Label").click();
    isSeenAtOnce("add label");
  }

  @Test
  void somethingBesideAnother() {
    show(FERRIES_PAGE + "?node=sf-words-t");
    add("Picture");
    page().keyboard().type("picture");
    press("Tab");
    press("Enter");
    isSeenAtOnce("add picture beside Maud Tillery, Gull Holm, on the seven o…");
  }

  @Test
  void somethingCarriedBesideAnother() {
    show(FERRIES_PAGE + "?node=sf-words-t");
    Locator words = designer.frame(DESKTOP).locator("[data-node=sf-words-t]");
    words.scrollIntoViewIfNeeded();
    BoundingBox from = words.boundingBox();
    BoundingBox to = designer.frame(DESKTOP).locator("[data-node=sf-words-h]").boundingBox();
    Page page = page();
    page.mouse().move(from.x + 6, from.y + 4);
    page.mouse().down();
    page.mouse().move(from.x + 12, from.y);
    page.mouse().move(to.x + to.width - 2, to.y + to.height / 2);
    assertThat(page.getByText("right of ““The best half hour")).isVisible();
    page.mouse().up();
    isSeenAtOnce(
        "move Maud Tillery, Gull Holm, on the seven o… beside “The best half hour of our week.”");
  }

  @Test
  void copiesRemovalsAndSteps() {
    show(FERRIES_PAGE + "?node=sf-route-t2");
    press("Control+d");
    isSeenAtOnce("duplicate 50 minutes. A lighthouse with 142 steps…");
    show(FERRIES_PAGE + "?node=sf-words");
    press("Alt+ArrowUp");
    isSeenAtOnce("move Words of travellers");
    show(FERRIES_PAGE + "?node=sf-words");
    press("Delete");
    isSeenAtOnce("remove Words of travellers");
  }

  @Test
  void whatIsNotKeptIsPutBack() {
    show(FERRIES_PAGE);
    designer.takeSection("Opening band");
    List<String> before = drawn();
    press("Alt+ArrowDown");
    assertThat(main().locator("> *").nth(1)).hasAttribute("data-node", "sf-opening/ob-section");
    refuse();
    assertThat(main().locator("> *").first()).hasAttribute("data-node", "sf-opening/ob-section");
    assertThat(drawn()).isEqualTo(before);
    assertThat(page().getByText("Not saved").first()).isVisible();

    show(FERRIES_PAGE + "?node=sf-words");
    Locator words = designer.frame(DESKTOP).locator("[data-node=sf-words]");
    add("Button").click();
    assertThat(words.locator("a")).hasCount(1);
    refuse();
    assertThat(words.locator("a")).hasCount(0);
  }

  /** On a slow network nothing can be put where it may not stand. */
  @Test
  void whatMayStandWhereIsKnownBeforeAnythingIsAdded() {
    page().route("**/api/kinds", ASKED::add);
    designer.go(FERRIES_PAGE + "?node=sf-words-t");
    page().waitForTimeout(1000);
    assertThat(designer.button("Add")).hasCount(0);
    asked().resume();
    designer.button("Add").click();
    page().keyboard().type("heading");
    press("Enter");
    asked().resume();
    assertThat(designer.frame(DESKTOP).locator("[data-node=sf-words] h2")).hasCount(2);
    designer.awaitSaved();
    press("Control+z");
    assertThat(designer.frame(DESKTOP).locator("[data-node=sf-words] h2")).hasCount(1);
    page().unroute("**/api/kinds");
  }

  private static void refuse() {
    asked().fulfill(new Route.FulfillOptions().setStatus(503).setBody("{}"));
  }
}
