package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The screens themselves: accessibility, the keyboard, two tabs, wrong files, reload. */
class InterfaceTest extends WithDesigner {
  private static final Path AXE = Path.of("../web/node_modules/axe-core/axe.min.js");

  /**
   * axe-core, rules of WCAG 2.2 A and AA; clients' pages in the frames, and samples of their
   * colours that are too faint, are not our screens.
   */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "/library",
        "/library/opening-band?site=oakum-rope-museum",
        "/sites",
        "/sites/saltmarsh-ferries",
        "/sites/new",
        "/finishes?token=t-accent&column=tern-valley&look=tern-valley",
        "/finishes?token=t-shadow&column=",
        "/finishes?tab=styles",
        "/finishes?tab=schemes",
        "/finishes?tab=contrast&look=tern-valley",
        "/finishes?tab=typefaces&look=tern-valley",
        FERRIES_PAGE,
        "/rollouts",
        "/people"
      })
  void axeFindsNoSeriousFault(String path) throws IOException {
    designer.go(path);
    page().locator("h1").first().waitFor();
    page().locator("[role=status]").or(page().locator("main")).first().waitFor();
    page().evaluate(Files.readString(AXE, StandardCharsets.UTF_8));
    @SuppressWarnings("unchecked")
    List<String> faults =
        (List<String>)
            designer
                .page()
                .evaluate(
                    "async () => (await axe.run({exclude: [['iframe'],['[data-sample]']]}, {iframes: false, runOnly:"
                        + " ['wcag2a','wcag2aa','wcag21a','wcag21aa','wcag22aa']})).violations"
                        + ".filter(v => ['serious','critical'].includes(v.impact))"
                        + ".flatMap(v => v.nodes.map(n => v.id + ': ' + n.html.slice(0, 160)))");
    assertThat(faults).isEmpty();
  }

  @Test
  void nothingIsCutAtTheSmallestWidth() {
    for (String path :
        List.of(
            "/library",
            "/sites/saltmarsh-ferries",
            "/sites/new",
            "/finishes?token=t-accent&column=tern-valley",
            "/finishes?tab=contrast",
            FERRIES_PAGE,
            "/rollouts")) {
      designer.go(path);
      page().locator("h1").first().waitFor();
      assertThat((Boolean) page().evaluate("() => document.body.scrollWidth <= 1280"))
          .as(path)
          .isTrue();
    }
  }

  @Test
  void theKeyboardAloneDoesAnEdit() {
    designer.go(FERRIES_PAGE);
    designer.takeInHand("Sailing since 1931");
    designer.field("Words").focus();
    page().keyboard().press("Control+a");
    page().keyboard().type("On time since 1931");
    page().keyboard().press("Enter");
    assertThat(designer.frame(DESKTOP).locator("main p").first()).hasText("On time since 1931");
    designer.button("Undo: change words of label").focus();
    page().keyboard().press("Enter");
    assertThat(designer.frame(DESKTOP).locator("main p").first()).hasText("Sailing since 1931");
    page().keyboard().press("Escape");
    assertThat(page()).hasURL(java.util.regex.Pattern.compile(".*node=sf-opening%2Fob-section.*"));
  }

  @Test
  void twoTabsThatEditDifferentThingsBothHoldAndTheSameThingAsks() {
    designer.go(FERRIES_PAGE);
    designer.takeSection("Words of travellers");
    designer.takeInHand("Maud Tillery");
    Page first = page();
    Page second = designer.newTab();
    designer.use(second);
    designer.go(FERRIES_PAGE);
    assertThat(page().getByText("Also open: iris at “Maud Tillery")).isVisible();
    first.route("**/here", route -> route.abort());
    designer.takeSection("Words of travellers");
    designer.takeInHand("“The best half hour");
    designer.set("Words", "“Half an hour well spent.”");
    assertThat(designer.frame(DESKTOP).locator("main h2").last())
        .hasText("“Half an hour well spent.”");
    designer.use(first);
    designer.set("Words", "Maud Tillery, Gull Holm");
    assertThat(page().getByText("Both kept. iris: change words")).isVisible();
    assertThat(designer.frame(DESKTOP).locator("main p").last()).hasText("Maud Tillery, Gull Holm");
    assertThat(designer.frame(DESKTOP).locator("main h2").last())
        .hasText("“Half an hour well spent.”");
    designer.use(second);
    assertThat(designer.frame(DESKTOP).locator("main p").last()).hasText("Maud Tillery, Gull Holm");
    designer.takeInHand("Maud Tillery");
    designer.set("Words", "Maud Tillery, on the quay");
    assertThat(designer.frame(DESKTOP).locator("main p").last())
        .hasText("Maud Tillery, on the quay");
    designer.use(first);
    designer.set("Words", "Maud Tillery, at the helm");
    assertThat(page().getByText("was changed meanwhile by iris").first()).isVisible();
    assertThat(designer.field("Words")).hasValue("Maud Tillery, at the helm");
    assertThat(designer.button("Take theirs")).isVisible();
    designer.button("Keep mine").click();
    assertThat(designer.frame(DESKTOP).locator("main p").last())
        .hasText("Maud Tillery, at the helm");
    assertThat(page().getByText("was changed meanwhile")).hasCount(0);
    assertThat(designer.field("Words")).hasValue("Maud Tillery, at the helm");
    theBarHoldsAllThatIsInIt();
    first.unroute("**/here");
    second.close();
  }

  /** Longer than it takes to hear what others saved. */
  private static final int HEARD = 4_000;

  private static Locator words() {
    return designer.frame(DESKTOP).locator("[data-node=sf-words-t]");
  }

  private static void writeInTheOtherTab(Page other, String words) {
    Page mine = page();
    designer.use(other);
    other.bringToFront();
    show(FERRIES_PAGE + "?node=sf-words-t");
    designer.set("Words", words);
    designer.awaitSaved();
    designer.use(mine);
    mine.bringToFront();
    mine.waitForTimeout(HEARD);
  }

  @Test
  void whatIsBeingTypedNeitherGivesWayToAnothersChangeNorOverwritesIt() {
    Page mine = page();
    Page other = designer.newTab();
    show(FERRIES_PAGE + "?node=sf-words-t");
    press("Enter");
    mine.keyboard().type("Mine, written slowly");
    writeInTheOtherTab(other, "Theirs, at once");
    assertThat(words()).hasText("Mine, written slowly");
    press("Control+Enter");
    assertThat(mine.getByText("was changed meanwhile by iris")).isVisible();
    assertThat(words()).hasText("Mine, written slowly");
    designer.button("Take theirs").click();
    assertThat(words()).hasText("Theirs, at once");
    assertThat(mine.getByText("was changed meanwhile")).hasCount(0);
    assertThat(mine.getByLabel("Line break (Shift Enter)")).hasCount(0);

    press("Enter");
    mine.keyboard().type("Mine again");
    writeInTheOtherTab(other, "Theirs again");
    mine.getByText("Done").click();
    designer.button("Keep mine").click();
    assertThat(words()).hasText("Mine again");
    assertThat(mine.getByLabel("Line break (Shift Enter)")).hasCount(0);
    designer.awaitSaved();
    assertThat(designer.field("Words")).hasValue("Mine again");

    press("Enter");
    mine.keyboard().type("Mine, given up");
    writeInTheOtherTab(other, "Theirs for good");
    press("Escape");
    assertThat(words()).hasText("Theirs for good");

    designer.field("Words").fill("Mine in a field");
    writeInTheOtherTab(other, "Theirs in a field");
    assertThat(designer.field("Words")).hasValue("Mine in a field");
    designer.field("Words").press("Enter");
    assertThat(mine.getByText("was changed meanwhile by iris").first()).isVisible();
    designer.button("Take theirs").click();
    assertThat(designer.field("Words")).hasValue("Theirs in a field");
    other.close();
  }

  private static void theBarHoldsAllThatIsInIt() {
    for (int width : new int[] {1180, 1280}) {
      page().setViewportSize(width, 800);
      assertThat(
              (Boolean)
                  designer
                      .page()
                      .locator("header")
                      .first()
                      .evaluate(
                          "bar => [...bar.querySelectorAll('*')].every(e => {"
                              + " const b = e.getBoundingClientRect();"
                              + " return b.right <= innerWidth && b.bottom <= 46; })"))
          .as("at %d px", width)
          .isTrue();
    }
  }

  @Test
  void aWrongFileIsRefusedOnTheScreen() throws IOException {
    Path file = Files.createTempFile("timetable", ".png");
    Files.writeString(file, "09:40, 11:10, 12:40");
    designer.go(FERRIES_PAGE);
    designer.takeSection("Opening band");
    page().getByText("Choose another").click();
    page().locator("input[type=file]").setInputFiles(file);
    assertThat(page().getByRole(AriaRole.DIALOG).getByRole(AriaRole.ALERT))
        .containsText("is not a picture that can be used here");
    designer.button("Leave it as it is").click();
  }

  @Test
  void theAddressLeadsBackToTheSamePlace() {
    designer.go(FERRIES_PAGE + "?lead=phone&node=sf-route-h2");
    assertThat(designer.region("Phone frame")).containsText("edits go to phone alone");
    assertThat(designer.field("Words")).hasValue("Inner Skerry");
    designer.set("Text size", "19px");
    assertThat(designer.frame("Phone, 390 px wide").locator("h3").nth(1))
        .hasCSS("font-size", "19px");
    assertThat(designer.frame(DESKTOP).locator("main h3").nth(1)).hasCSS("font-size", "22px");
    page().reload();
    assertThat(designer.field("Text size")).hasValue("19px");
    page().waitForTimeout(1500);
    assertThat(page().getByText("Also open")).hasCount(0);
  }
}
