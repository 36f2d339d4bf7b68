package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.MouseButton;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What lies around the frames: strips, levels, jumping, true size, a reference, the clipboard. */
class WorkbenchToolsTest extends WithDesigner {
  private static final String WORDS = FERRIES_PAGE + "?node=sf-words-t";
  private static final Path PICTURE =
      Path.of("../server/src/main/resources/demo/harbour-morning.svg");

  @BeforeEach
  void aPageOnTheWorkbench() {
    show(WORDS);
  }

  private static Locator strip(String title) {
    return designer.strip(title);
  }

  /** What the strips are called, without what is found in them. */
  @SuppressWarnings("unchecked")
  private static List<String> order() {
    return (List<String>)
        page()
            .locator("[data-strip]")
            .evaluateAll("strips => strips.map(strip => strip.title.split('\\n')[0])");
  }

  private static Locator option(String name) {
    return page()
        .getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.OPTION)
        .filter(new Locator.FilterOptions().setHasText(name))
        .first();
  }

  @Test
  void stripsAreReorderedByDraggingAndSomethingIsInsertedBetween() {
    List<String> before = order();
    BoundingBox last = strip("Words of travellers").boundingBox();
    BoundingBox routes = strip("Three routes").boundingBox();
    page().mouse().move(last.x + 100, last.y + 8);
    page().mouse().down();
    page().mouse().move(last.x + 100, last.y);
    page().mouse().move(routes.x + 100, routes.y + 4);
    page().mouse().move(routes.x + 101, routes.y + 4);
    page().mouse().up();
    page().waitForCondition(() -> order().indexOf("Words of travellers") == 1);
    assertThat(order()).containsExactlyInAnyOrderElementsOf(before);
    undo(1);
    page().waitForCondition(() -> order().equals(before));
    designer.button("Insert before Hours band").focus();
    press("Enter");
    option("Section").click();
    page().waitForCondition(() -> order().size() == before.size() + 1);
    assertThat(order().get(2)).isEqualTo("Section");
    undo(1);
  }

  @Test
  void aThingIsRenamedAndHiddenAtOneWidth() {
    press("F2");
    designer.field("Name of the text").fill("Who said it");
    press("Enter");
    assertThat(designer.region("Outline")).containsText("Who said it");
    workAt("Phone");
    assertThat(designer.region("Phone frame")).containsText("edits go to phone alone");
    press("h");
    assertThat(designer.frame(PHONE).locator("[data-node=sf-words-t]")).isHidden();
    assertThat(designer.frame(DESKTOP).locator("[data-node=sf-words-t]")).isVisible();
    designer.awaitSaved();
    press("p");
    Locator preview = designer.region("True size");
    Locator shown = designer.frame("Phone at true size").locator("[data-node=sf-words-t]");
    assertThat(shown).isHidden();
    preview.getByLabel(Pattern.compile("show what is hidden here")).check();
    assertThat(shown).isVisible();
    preview.getByLabel("this section alone").check();
    assertThat(designer.frame("Phone at true size").locator(".own > *")).hasCount(1);
    preview.getByRole(AriaRole.BUTTON).filter(text("Tablet")).click();
    assertThat(designer.viewportWidth("Tablet at true size")).isEqualTo(834);
    preview.getByLabel("Close").click();
    assertThat(preview).hasCount(0);
    undo(2);
  }

  private static Locator.FilterOptions text(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }

  @Test
  void whereThingsLieOnTopOfEachOtherTheLevelIsChosenByName() {
    BoundingBox words = designer.frame(DESKTOP).locator("[data-node=sf-route-t2]").boundingBox();
    page()
        .mouse()
        .click(
            words.x + 8,
            words.y + 4,
            new com.microsoft.playwright.Mouse.ClickOptions().setButton(MouseButton.RIGHT));
    Locator levels = designer.region("Which level");
    assertThat(levels.getByRole(AriaRole.MENUITEM).first()).containsText("50 minutes");
    levels.getByRole(AriaRole.MENUITEM).filter(text("Row")).click();
    assertThat(page()).hasURL(Pattern.compile(".*node=sf-routes-row.*"));
    press("ArrowRight");
    assertThat(page()).hasURL(Pattern.compile(".*node=sf-route-1.*"));
    press("ArrowDown");
    assertThat(page()).hasURL(Pattern.compile(".*node=sf-route-2.*"));
  }

  @Test
  void anythingIsJumpedToByItsNameAndTheKeysAreListed() {
    press("Control+k");
    designer.field("Name of a page, piece, token or command").fill("timetable");
    option("Timetable").waitFor();
    press("Enter");
    assertThat(page()).hasURL(Pattern.compile(".*/pages/sf-timetable.*"));
    awaitDrawn();
    press("?");
    assertThat(page().getByRole(AriaRole.DIALOG)).containsText("side by side in a row");
    press("Escape");
    assertThat(page().getByRole(AriaRole.DIALOG)).hasCount(0);
  }

  @Test
  void aPictureOfTheDesignIsAlignedOverThePageAndLaidBesideIt() {
    page().getByText("Reference", new Page.GetByTextOptions().setExact(true)).click();
    page().locator("input[type=file]").setInputFiles(PICTURE);
    Locator layer = page().getByTestId("reference").locator("img");
    assertThat(layer).hasCSS("opacity", "0.5");
    designer.button("Align by dragging").click();
    BoundingBox place = page().getByTestId("reference").boundingBox();
    page().mouse().move(place.x + 60, place.y + 300);
    page().mouse().down();
    page().mouse().move(place.x + 102, place.y + 342);
    page().mouse().up();
    assertThat(layer).hasAttribute("style", Pattern.compile("translate\\((9|10)\\d"));
    page().getByText("Reference", new Page.GetByTextOptions().setExact(true)).click();
    page().getByLabel("beside it").check();
    assertThat(layer).hasCount(0);
    assertThat(page().locator("img[alt=Reference]")).isVisible();
    page().getByLabel("hidden", new Page.GetByLabelOptions().setExact(true)).check();
    assertThat(designer.frame(PHONE).locator("main")).isVisible();
  }

  @Test
  void thingsAreCopiedToAnotherSite() {
    show(FERRIES_PAGE + "?node=sf-words");
    press("Control+c");
    page().waitForFunction("() => localStorage.getItem('application/x-good-bones+json')");
    show(MUSEUM_PAGE);
    int before = order().size();
    designer.button("Paste").click();
    page().waitForCondition(() -> order().size() == before + 1);
    assertThat(designer.frame(DESKTOP).locator("main")).containsText("The best half hour");
    undo(1);
    page().waitForCondition(() -> order().size() == before);
  }

  @Test
  void copiesArePastedByTheKeysAndAreOthersThanWhatWasCopied() {
    show(FERRIES_PAGE + "?node=sf-route-t2");
    press("Control+c");
    page()
        .waitForFunction(
            "() => localStorage.getItem('application/x-good-bones+json')?.includes('lighthouse')");
    show(WORDS);
    press("Control+v");
    Locator words = designer.frame(PHONE).locator("[data-node=sf-words]");
    assertThat(words).containsText("A lighthouse with 142 steps");
    assertThat(designer.frame(PHONE).locator("[data-node=sf-route-t2]")).hasCount(1);
    press("Control+x");
    assertThat(words).not().containsText("A lighthouse with 142 steps");
    undo(2);
  }

  @Test
  void aPageOfAnotherProgramIsPastedAsHeadingsAndTexts() {
    page()
        .evaluate(
            """
            () => {
              const data = new DataTransfer();
              data.setData('text/html', `<html><body><!--StartFragment--><h2 class="x">Winter rules</h2>
                <p style="margin:0">Bring a <b>warm</b> coat.<script>x()</script></p>
                <ul><li>gloves</li><li>a hat</li></ul><!--EndFragment--></body></html>`);
              document.dispatchEvent(
                new ClipboardEvent('paste', {clipboardData: data, bubbles: true, cancelable: true}));
            }
            """);
    for (String frame : FRAMES) {
      Locator words = designer.frame(frame).locator("[data-node=sf-words]");
      assertThat(words.locator("h2")).containsText(new String[] {"best half hour", "Winter rules"});
      assertThat(words.locator("strong")).hasText("warm");
      assertThat(words.locator("li")).hasText(new String[] {"gloves", "a hat"});
    }
    undo(1);
  }

  private static void set(String node, String setting, String value) {
    show(FERRIES_PAGE + "?node=" + node);
    designer.field("Find a setting").fill(setting);
    designer.set(setting, value);
    designer.awaitSaved();
  }

  private static Locator finding(String words) {
    return designer.region("Fit report").getByRole(AriaRole.LISTITEM).filter(text(words));
  }

  @Test
  void whatDoesNotFitAfterPastingIsMendedOneByOneOrInOneGo() {
    set("sf-words-h", "Text size", "53px");
    set("sf-words", "Padding top", "3px");
    set("sf-words", "Minimum height", "1400px");
    designer.takeSection("Words of travellers");
    press("Control+c");
    page()
        .waitForFunction(
            "() => localStorage.getItem('application/x-good-bones+json')?.includes('1400px')");
    page().locator("[data-surface=phone]").focus();
    undo(3);
    show(MUSEUM_PAGE);
    designer.button("Paste").click();
    Locator report = designer.region("Fit report");
    assertThat(report.getByRole(AriaRole.LISTITEM)).hasCount(3);
    assertThat(finding("1400 px high and goes past one screen of 800 px")).hasCount(1);
    assertThat(finding("Padding top is 3px; its neighbours have 88px")).hasCount(1);
    Locator size = finding("Text size 53px is not one of this client’s");
    size.getByRole(AriaRole.BUTTON).first().click();
    assertThat(designer.region("Ladder")).containsText("The best half hour");
    size.getByRole(AriaRole.BUTTON).filter(text("Take size.")).click();
    assertThat(report.getByRole(AriaRole.LISTITEM)).hasCount(2);
    Locator heading =
        designer.frame(DESKTOP).locator("main h2").filter(text("The best half hour of our week"));
    assertThat(heading).not().hasCSS("font-size", "53px");
    designer.button("Mend all 2").click();
    assertThat(report).hasCount(0);
    for (String frame : FRAMES) {
      Locator section =
          designer.frame(frame).locator("main section").filter(text("The best half hour"));
      assertThat(section).not().hasCSS("min-height", "1400px");
      assertThat(section).not().hasCSS("padding-top", "3px");
    }
    undo(3);
    assertThat(designer.frame(DESKTOP).locator("main")).not().containsText("The best half hour");
    designer.button("Paste").click();
    assertThat(report.getByRole(AriaRole.LISTITEM)).hasCount(3);
    designer.button("Leave it as it is").click();
    assertThat(report).hasCount(0);
    undo(1);
    designer.button("Paste").click();
    assertThat(report).isVisible();
    undo(1);
    assertThat(report).hasCount(0);
  }

  private static double scrolled(String device) {
    return ((Number)
            page()
                .locator("[data-surface=" + device + "]")
                .evaluate("e => e.closest('.overflow-y-auto').scrollTop"))
        .doubleValue();
  }

  private static void scrollLead(double by) {
    page().mouse().move(480, 250);
    page().mouse().wheel(0, by);
  }

  @Test
  void theWidthsScrollAloneOrTogether() {
    page().setViewportSize(1280, 420);
    show(FERRIES_PAGE);
    scrollLead(120);
    page().waitForCondition(() -> scrolled("desktop") == 120);
    assertThat(scrolled("phone")).isZero();
    designer.button("Scroll together").click();
    scrollLead(5000);
    page().waitForCondition(() -> scrolled("phone") > 0 && scrolled("tablet") > 0);
    for (String device : List.of("desktop", "tablet", "phone")) {
      String end =
          "e => { const a = e.closest('.overflow-y-auto');"
              + " return a.scrollHeight - a.clientHeight - a.scrollTop }";
      page()
          .waitForCondition(
              () ->
                  ((Number) page().locator("[data-surface=" + device + "]").evaluate(end))
                          .doubleValue()
                      < 2);
    }
    designer.button("Scroll together").click();
    double phone = scrolled("phone");
    scrollLead(-5000);
    page().waitForCondition(() -> scrolled("desktop") == 0);
    assertThat(scrolled("phone")).isEqualTo(phone);
    page().setViewportSize(1280, 800);
  }

  @Test
  void oneWidthIsSeenAloneAndLarger() {
    double beside = page().locator("[data-surface=desktop]").boundingBox().width;
    designer.button("Show this width alone").click();
    assertThat(designer.region("Phone frame")).hasCount(0);
    assertThat(designer.region("Tablet frame")).hasCount(0);
    page()
        .waitForCondition(
            () -> page().locator("[data-surface=desktop]").boundingBox().width > beside + 150);
    assertThat(designer.viewportWidth(DESKTOP)).isEqualTo(1280);
    press("2");
    assertThat(designer.region("Tablet frame")).isVisible();
    assertThat(designer.region("Desktop frame")).hasCount(0);
    designer.button("Show all three widths").click();
    for (String device : List.of("Desktop", "Tablet", "Phone")) {
      assertThat(designer.region(device + " frame")).isVisible();
    }
  }

  @Test
  void aStripTellsThatItsSectionIsSharedAndIsDuplicated() {
    strip("Opening band").click();
    Locator drawing = page().locator("[data-strip]").first().locator("..");
    assertThat(drawing).containsText("2 placements");
    assertThat(page().getByRole(AriaRole.CONTENTINFO)).containsText("on 2 pages of 2 sites");
    strip("Three routes").click();
    int before = order().size();
    designer.button("Duplicate").click();
    page().waitForCondition(() -> order().size() == before + 1);
    assertThat(order().subList(1, 3)).containsExactly("Three routes", "Three routes");
    undo(1);
  }

  @Test
  void everyFrameAddsUpHowManyScreensThePageFills() {
    Map<String, Integer> screens = Map.of("Desktop", 800, "Tablet", 1112, "Phone", 844);
    for (String frame : FRAMES) {
      String device = frame.substring(0, frame.indexOf(','));
      double sum =
          ((Number)
                  designer
                      .frame(frame)
                      .locator("main > .own")
                      .evaluate(
                          "e => [...e.children].reduce((sum, child) =>"
                              + " sum + Math.round(child.getBoundingClientRect().height), 0)"))
              .doubleValue();
      Locator said = designer.region(device + " frame").locator("[title*='one screen is']");
      assertThat(said)
          .hasAttribute(
              "title",
              Pattern.compile(
                  "= %.0f px; one screen is %d px high".formatted(sum, screens.get(device))));
      assertThat(said)
          .hasText(String.format(Locale.ROOT, "%.1f screens", sum / screens.get(device)));
    }
  }
}
