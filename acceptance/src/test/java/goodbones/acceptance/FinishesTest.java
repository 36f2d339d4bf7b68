package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** Brand in, one change everywhere, and why a value is what it is, as a designer does it. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class FinishesTest extends WithDesigner {
  private static final String SPECIMEN = "Specimen on a desktop";
  private static final Path LOGO = Path.of("../server/src/main/resources/demo/quillon-logo.svg");
  private static final Path FONT =
      Path.of("/usr/share/fonts/truetype/liberation/LiberationSansNarrow-Bold.ttf");

  private static Locator button(String frame) {
    return designer.frame(frame).locator("main a.button").first();
  }

  private static Locator cell(String name) {
    return designer
        .page()
        .getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("^" + name.replace(".", "\\."))));
  }

  @Test
  @Order(1)
  void aNewClientsBrandIsSetUpFromNothing() {
    designer.go("/sites");
    designer.link("Start a new client").click();
    String drawing = "Specimen of the brand on a desktop";
    assertThat(designer.frame(drawing).locator("main h1")).hasText("A new client");
    designer.field("Name").fill("Grebe & Sons");
    assertThat(designer.frame(drawing).locator("main h1")).hasText("Grebe & Sons");
    designer.field("Logo").setInputFiles(LOGO);
    assertThat(designer.region("Palette of the picture").getByRole(AriaRole.BUTTON).first())
        .isVisible();
    assertThat(designer.field("Colour 1")).hasValue("#22283a");
    assertThat(designer.frame(drawing).locator("main img").first()).isVisible();
    designer.field("Headings").selectOption("Oswald, Impact, sans-serif");
    assertThat(designer.frame(drawing).locator("main h1"))
        .hasCSS("font-family", Pattern.compile("^\"?Oswald.*"));
    designer.field("Colour 3").fill("sea-ish");
    assertThat(designer.region("Start sheet").getByRole(AriaRole.ALERT)).containsText("sea-ish");
    designer.field("Colour 3").fill("#2f6f73");
    designer.button("Start Grebe & Sons").click();
    assertThat(designer.frame(SPECIMEN).locator("main h1")).hasText("Grebe & Sons");
    assertThat(page().getByRole(AriaRole.COLUMNHEADER).filter(hasText("Grebe & Sons"))).isVisible();
    designer.go("/finishes?tab=contrast&look=grebe-sons");
    assertThat(designer.region("Contrast")).containsText("none too faint");
  }

  private static Locator.FilterOptions hasText(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }

  @Test
  @Order(2)
  void theAccentIsChangedOnceAndSeenEverywhere() throws IOException {
    designer.go("/finishes?look=tern-valley&page=tv-home");
    assertThat(button(SPECIMEN)).hasCSS("background-color", "rgb(111, 156, 61)");
    Page other = page().context().newPage();
    other.navigate(application.address() + "/sites/tern-valley/pages/tv-home");
    Locator elsewhere =
        other.frameLocator("iframe[title='" + PHONE + "']").locator("a.button").first();
    assertThat(elsewhere).hasCSS("background-color", "rgb(111, 156, 61)");

    cell("color.accent of Tern Valley Allotments").click();
    assertThat(designer.region("Used with")).containsText("fails");
    designer.field("color.accent of Tern Valley Allotments").fill("#2f5d34");
    assertThat(button(SPECIMEN)).hasCSS("background-color", "rgb(47, 93, 52)");
    assertThat(designer.region("Token in hand")).containsText("would become readable");
    assertThat(designer.region("Token in hand"))
        .containsText(Pattern.compile("Would change 13 nodes on [45] pages of 1 site"));
    page().keyboard().press("Enter");
    assertThat(designer.button("Undo: set color.accent of Tern Valley Allotments")).isVisible();
    assertThat(elsewhere).hasCSS("background-color", "rgb(47, 93, 52)");
    other.close();

    designer.go("/library?words=split+opening");
    designer.field("In the look of").selectOption("tern-valley");
    assertThat(button("Split opening on a desktop")).hasCSS("background-color", "rgb(47, 93, 52)");
    designer.go("/sites/tern-valley/pages/tv-home");
    for (String frame : List.of(DESKTOP, TABLET, PHONE)) {
      assertThat(button(frame)).hasCSS("background-color", "rgb(47, 93, 52)");
    }
    designer.go("/sites/tern-valley");
    designer.region("Publishing").getByRole(AriaRole.BUTTON).click();
    assertThat(designer.region("Publishing")).containsText("files written");
    designer.go("/hosted/tern-valley/waiting-list/");
    assertThat(page().locator("a.button")).hasCSS("background-color", "rgb(47, 93, 52)");
    assertThat(application.get("/hosted/tern-valley/style.css").body())
        .contains("--color-accent:#2f5d34", "fonts/bitter.woff2")
        .doesNotContain("literata");
  }

  @Test
  @Order(3)
  void theRulersAreDraggedAndTheDrawingFollows() {
    designer.go("/finishes?token=t-accent&column=quillon-clocks&look=quillon-clocks");
    assertThat(button(SPECIMEN)).hasCSS("background-color", "rgb(141, 47, 42)");
    Locator hue = designer.field("Hue");
    BoundingBox box = hue.boundingBox();
    Page page = page();
    page.mouse().move(box.x + 12, box.y + box.height / 2);
    page.mouse().down();
    page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
    page.mouse().up();
    assertThat(button(SPECIMEN)).not().hasCSS("background-color", "rgb(141, 47, 42)");
    designer.button("Leave it as it was").click();
    assertThat(button(SPECIMEN)).hasCSS("background-color", "rgb(141, 47, 42)");
    designer.region("Lightness steps").getByRole(AriaRole.BUTTON).nth(2).click();
    designer.button("Save").click();
    assertThat(designer.button("Undo: set color.accent of Quillon Clock Repair")).isVisible();
    page.keyboard().press("Control+z");
    assertThat(cell("color.accent of Saltmarsh Ferries")).isVisible();
    assertThat(button(SPECIMEN)).hasCSS("background-color", "rgb(141, 47, 42)");
  }

  @Test
  @Order(4)
  void aHeadingsUnexpectedColourIsFoundOnItsTrailAndMendedThere() {
    designer.go("/sites/saltmarsh-ferries/pages/sf-home?node=sf-routes-h");
    designer.set("Text colour", "{color.accent}");
    Locator heading = designer.frame(DESKTOP).locator("main h2").first();
    assertThat(heading).hasCSS("color", "rgb(226, 161, 58)");
    page().getByLabel("Why text colour is so").click();
    Locator trail = designer.region("Source trail of text colour");
    assertThat(trail.getByRole(AriaRole.LISTITEM).first())
        .containsText("Set here: {color.accent} (site’s own) = #e2a13a");
    assertThat(trail).containsText("Inherited from Page: {color.text} (site’s own)");
    page().getByText("One step back: #16303f").click();
    assertThat(heading).hasCSS("color", "rgb(22, 48, 63)");
    assertThat(trail.getByRole(AriaRole.LISTITEM).first()).containsText("Inherited from Page");
    trail.getByText("change the token").first().click();
    assertThat(designer.region("Token in hand")).containsText("color.text");
    assertThat(designer.region("Token in hand")).containsText("Saltmarsh Ferries");
    designer.field("color.text of Saltmarsh Ferries").fill("#0b2638");
    page().keyboard().press("Enter");
    assertThat(designer.button("Undo: set color.text of Saltmarsh Ferries")).isVisible();
    page().goBack();
    assertThat(designer.frame(DESKTOP).locator("main h2").first())
        .hasCSS("color", "rgb(11, 38, 56)");
  }

  @Test
  @Order(5)
  void aNamedStyleIsMadePutOnElsewhereAndChangedOnce() {
    designer.go("/sites/saltmarsh-ferries/pages/sf-home?node=sf-route-h1");
    designer.set("Letter spacing", "2px");
    assertThat(designer.frame(DESKTOP).locator("main h3").first()).hasCSS("letter-spacing", "2px");
    designer.button("Make a named style").click();
    designer.field("Name of the new style").fill("Island");
    page().keyboard().press("Enter");
    assertThat(designer.field("Put a named style on")).isVisible();
    assertThat(designer.region("Ladder")).containsText("Island");
    designer.takeInHand("Inner Skerry");
    designer
        .field("Put a named style on")
        .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel("Island"));
    assertThat(designer.frame(PHONE).locator("main h3").nth(1)).hasCSS("letter-spacing", "2px");
    designer.go("/finishes?tab=styles&look=saltmarsh-ferries");
    designer.region("Named styles").getByRole(AriaRole.BUTTON).filter(hasText("Island")).click();
    assertThat(designer.region("Style in hand")).containsText("Letter spacing");
    designer.set("Letter spacing", "4px");
    assertThat(designer.button("Undo: set letter spacing of Island")).isVisible();
    designer.go("/sites/saltmarsh-ferries/pages/sf-home?node=sf-route-h2");
    assertThat(designer.frame(DESKTOP).locator("main h3").nth(0)).hasCSS("letter-spacing", "4px");
    assertThat(designer.frame(DESKTOP).locator("main h3").nth(1)).hasCSS("letter-spacing", "4px");
    designer.takeInHand("Gull Holm");
    designer.button("Take its look").click();
    designer.takeInHand("Long Sand");
    designer.button("Lay “Gull Holm” on").click();
    assertThat(designer.frame(DESKTOP).locator("main h3").nth(2)).hasCSS("letter-spacing", "4px");
    assertThat(designer.frame(DESKTOP).locator("main h3").nth(2)).hasText("Long Sand");
  }

  @Test
  @Order(6)
  void aFailingContrastIsMendedFromTheSheet() {
    designer.go("/finishes?tab=contrast&look=tern-valley");
    Locator sheet = designer.region("Contrast");
    assertThat(sheet).containsText("1 too faint");
    sheet.getByText(Pattern.compile("Make color\\.accent\\.deep #")).click();
    assertThat(sheet).containsText("none too faint");
    designer.go("/finishes?tab=contrast&look=saltmarsh-ferries");
    assertThat(sheet).containsText("on {color.overlay} over a picture");
    assertThat(sheet.getByText("cannot be told")).hasCount(0);
  }

  @Test
  @Order(7)
  void theHousesFinishesAreReleasedToSomeSitesNowAndOthersLater() {
    designer.go("/finishes");
    cell("radius.button of House").click();
    designer.field("radius.button of House").fill("15px");
    page().keyboard().press("Enter");
    designer.button("Release revision 2").click();
    Locator dialog = page().getByRole(AriaRole.DIALOG);
    assertThat(dialog).containsText("Would change");
    dialog.getByLabel("Oakum Rope Museum").uncheck();
    dialog.getByLabel("What is new").fill("Rounder buttons");
    dialog.getByRole(AriaRole.BUTTON).filter(hasText("Release, and show at 4 sites")).click();
    assertThat(dialog).hasCount(0);
    assertThat(designer.region("Tokens")).containsText("shows revision 1");
    designer.button("Bring sites up to date").click();
    dialog.getByRole(AriaRole.BUTTON).filter(hasText("Show at 1 site")).click();
    assertThat(page().getByText("shows revision 1")).hasCount(0);
    designer.go("/sites/saltmarsh-ferries/pages/sf-timetable");
    assertThat(button(DESKTOP)).hasCSS("border-top-left-radius", "15px");
  }

  @Test
  @Order(8)
  void tokensAreAddedFoundRenamedAndDeletedByKeyboard() {
    designer.go("/finishes");
    designer.button("Add a token").press("Enter");
    designer.field("Name").fill("color.brass");
    designer.field("House’s value").fill("#b88a3e");
    page().keyboard().press("Enter");
    designer.field("Find a token").fill("brass");
    assertThat(page().getByRole(AriaRole.ROWHEADER).filter(hasText("color.brass"))).isVisible();
    cell("color.brass of House").press("Enter");
    designer.button("Rename").press("Enter");
    designer.field("Name of the token").fill("color.metal");
    page().keyboard().press("Enter");
    assertThat(designer.button("Undo: rename color.brass")).isVisible();
    designer.field("Find a token").fill("metal");
    designer.button("Delete or replace").press("Enter");
    designer.button("Delete").press("Enter");
    assertThat(page().getByText("No token is called")).isVisible();
    designer.field("Find a token").fill("");
    cell("color.accent of House").press("Enter");
    designer.button("Delete or replace").press("Enter");
    designer.button("Delete").press("Enter");
    assertThat(designer.region("Token in hand").getByRole(AriaRole.ALERT))
        .containsText("is still used by");
  }

  @Test
  @Order(9)
  void aTokensFileGoesOutAndComesInAgain() throws IOException {
    designer.go("/finishes?look=nobody");
    assertThat(designer.frame(SPECIMEN).locator("main h1")).not().hasText("The house");
    designer.field("In the look of").selectOption("house");
    assertThat(designer.frame(SPECIMEN).locator("main h1")).hasText("The house");
    designer.button("Token files").click();
    com.microsoft.playwright.Download taken =
        designer
            .page()
            .waitForDownload(() -> page().getByText("Tokens, W3C Design Tokens Format").click());
    Path file = java.nio.file.Files.createTempFile("house", ".tokens.json");
    taken.saveAs(file);
    String json = java.nio.file.Files.readString(file);
    assertThat(json).contains("\"color\"", "\"$value\"");
    java.nio.file.Files.writeString(file, json.replaceFirst("#[0-9a-f]{6}", "#123456"));
    designer.field("Tokens files").setInputFiles(file);
    assertThat(page().getByText(Pattern.compile("tokens? brought in"))).isVisible();
    Path wrong = java.nio.file.Files.createTempFile("timetable", ".json");
    java.nio.file.Files.writeString(wrong, "09:40, 11:10");
    designer.field("Tokens files").setInputFiles(wrong);
    assertThat(page().getByRole(AriaRole.DIALOG).getByRole(AriaRole.ALERT))
        .containsText("The file is not JSON");
  }

  /** Outside check: Chromium takes the client's TrueType file from where it is served. */
  @Test
  @Order(10)
  void aClientsOwnFontFileIsBroughtInAndDrawn() {
    designer.go("/finishes?tab=typefaces&look=quillon-clocks");
    designer.field("Font file").setInputFiles(FONT);
    designer.button("Bring the font in").click();
    Locator own = designer.region("Typefaces");
    assertThat(own.getByRole(AriaRole.ALERT)).containsText("Note the licence");
    designer.field("Note of the licence").fill("OFL 1.1, may be served");
    designer.button("Bring the font in").click();
    assertThat(own).containsText("truetype");
    designer.go("/finishes?token=t-heading-font&column=quillon-clocks&look=quillon-clocks");
    designer
        .region("Families")
        .getByRole(AriaRole.BUTTON)
        .filter(hasText("Liberation Sans Narrow"))
        .click();
    assertThat(designer.frame(SPECIMEN).locator("main h1"))
        .hasCSS("font-family", Pattern.compile("^\"?Liberation Sans Narrow.*"));
    designer.button("Save").click();
    assertThat(designer.button("Undo: set font.heading of Quillon Clock Repair")).isVisible();
    page()
        .waitForCondition(
            () ->
                Boolean.TRUE.equals(
                    designer
                        .content(SPECIMEN)
                        .evaluate(
                            """
                            () => [...document.fonts].some((face) =>
                              face.family.includes('Liberation Sans Narrow')
                                && face.status === 'loaded')
                            """)));
  }

  @Test
  @Order(11)
  void whereATokenIsUsedOpensBesideAndLeadsToTheSpot() {
    designer.go("/finishes?token=t-accent");
    designer.button("Where used").click();
    Locator used = designer.region("Where color.accent is used");
    assertThat(used).containsText("the look of every button");
    assertThat(used.locator("iframe[title='On Home']").first()).isVisible();
    assertThat(used).containsText("In Price line");
    designer.button("Show everything that is drawn with it").click();
    assertThat(designer.region("Drawn with it").getByRole(AriaRole.LINK).first())
        .hasAttribute("href", Pattern.compile("/sites/.+/pages/.+\\?node=.+"));
    press("Escape");
    assertThat(used).hasCount(0);
    assertThat(designer.button("Where used")).isFocused();
    assertThat(page()).hasURL(Pattern.compile("/finishes\\?token=t-accent$"));

    designer.button("Where used").click();
    used.getByRole(AriaRole.LINK)
        .filter(hasText("Home"))
        .and(page().locator("[href*='/sites/saltmarsh-ferries/pages/sf-home?node=sf-route']"))
        .first()
        .click();
    assertThat(designer.frame(DESKTOP).locator("[data-node=sf-routes]")).isVisible();
    assertThat(designer.region("Ladder")).containsText("Column");
  }

  @Test
  @Order(12)
  void whereANamedStyleAndASchemeAreUsedOpensBesideToo() {
    designer.go("/finishes?tab=styles");
    designer.region("Named styles").getByText("Caption").first().click();
    designer.button("Where used").click();
    assertThat(designer.region("Where Caption is used")).isVisible();
    press("Escape");
    designer.go("/finishes?tab=schemes");
    designer.button("Uses").last().click();
    assertThat(designer.region("Where Dark is used")).containsText("In ");
    press("Escape");
    assertThat(designer.region("Where Dark is used")).hasCount(0);
  }
}
