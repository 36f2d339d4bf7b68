package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** Clients’ sites: their pages, what they share, and what the survey finds. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class SitesTest extends WithDesigner {
  private static void choose(String label, String option) {
    designer.field(label).selectOption(new SelectOption().setLabel(option));
  }

  private static void publish() {
    Locator publishing = designer.region("Publishing");
    publishing.getByRole(AriaRole.BUTTON).click();
    assertThat(publishing.getByRole(AriaRole.BUTTON)).isEnabled();
    assertThat(publishing).containsText("Published");
  }

  @Test
  @Order(1)
  void twoRulesThatAreEquallySpecificAreRefused() {
    designer.go("/sites/tern-valley?tab=coverage");
    designer.button("New rule").click();
    choose("For", "The whole site");
    assertThat(page().getByText("equally specific")).isVisible();
    assertThat(designer.button("Keep these rules")).isDisabled();
    designer.button("Back to what is kept").click();
    assertThat(page().getByText("equally specific")).hasCount(0);
  }

  @Test
  @Order(4)
  void pagesAreFiledByKeyboardAlone() {
    designer.go("/sites/quillon-clocks");
    Locator second = page().getByRole(AriaRole.TREEITEM).nth(1);
    second.click();
    second.focus();
    String title = second.locator("span.font-medium").innerText();
    press("Alt+ArrowDown");
    assertThat(page().getByRole(AriaRole.TREEITEM).nth(2)).containsText(title);
    press("Alt+ArrowRight");
    assertThat(page().getByRole(AriaRole.TREEITEM).nth(2)).hasAttribute("aria-level", "2");
    press("Alt+ArrowLeft");
    assertThat(page().getByRole(AriaRole.TREEITEM).nth(2)).hasAttribute("aria-level", "1");
    press("ArrowDown");
    assertThat(page().getByRole(AriaRole.TREEITEM).nth(3)).isFocused();
  }

  @Test
  @Order(5)
  void aSharedPartIsMarkedOnThePageAndEditedForAllOnPurpose() {
    show("/sites/saltmarsh-ferries/pages/sf-fares");
    Locator strips = page().getByLabel("Shared parts");
    assertThat(strips.getByRole(AriaRole.LINK)).hasCount(2);
    Locator header = page().getByLabel("Header in one line, shared");
    header.hover();
    header.getByRole(AriaRole.LINK).click();
    assertThat(page().getByText("a change is seen on 5 pages")).isVisible();
    awaitDrawn();
    designer.link("Back to the page").click();
    assertThat(designer.heading("Fares")).isVisible();
  }

  @Test
  @Order(6)
  void aSectionBecomesTheHeaderOfAllPagesByKeyboard() {
    show("/sites/tern-valley/pages/tv-people");
    int sections = designer.frame(DESKTOP).locator(".own > section").count();
    String first = page().locator("[data-strip]").first().getAttribute("title");
    page().locator("[data-strip]").first().click();
    press("e");
    designer.button("Make it the header").click();
    designer.awaitSaved();
    assertThat(designer.frame(DESKTOP).locator(".own > section")).hasCount(sections - 1);
    assertThat(page().getByLabel("Shared parts")).containsText(first);
    assertThat(designer.frame(DESKTOP).locator("header [data-node]").first()).isVisible();
  }

  @Test
  @Order(7)
  void onAPhoneTheMenuOpensFromItsButtonAndIsOneList() {
    designer.go("/sites/oakum-rope-museum");
    publish();
    page().setViewportSize(390, 800);
    try {
      designer.go("/hosted/oakum-rope-museum/");
      Locator menu = page().locator("header nav");
      assertThat(menu.getByRole(AriaRole.LINK)).hasCount(0);
      menu.getByRole(AriaRole.BUTTON).focus();
      press("Enter");
      assertThat(menu.getByRole(AriaRole.LINK)).hasCount(5);
      press("Escape");
      assertThat(menu.getByRole(AriaRole.LINK)).hasCount(0);
      page().setViewportSize(1280, 800);
      assertThat(menu.getByRole(AriaRole.LINK)).hasCount(5);
      assertThat(menu.getByRole(AriaRole.BUTTON)).hasCount(0);
    } finally {
      page().setViewportSize(1280, 800);
    }
  }

  @Test
  @Order(0)
  void whatTheSurveyFindsStandsWhereItIsMended() {
    designer.go("/sites");
    Locator card =
        page()
            .getByRole(AriaRole.LISTITEM)
            .filter(new Locator.FilterOptions().setHasText("Tern Valley Allotments"));
    card.getByText(Pattern.compile("^\\d+ findings$")).click();
    assertThat(page().getByText(Pattern.compile("^\\d+ findings on this site.$"))).isVisible();
    assertThat(page().getByText("Its contrast is 3.2").first()).isVisible();
    show("/sites/tern-valley/pages/tv-how");
    assertThat(page().getByLabel("Strips")).containsText("finding in Steps beside each other");
    designer.region("Reach").getByText("1 finding").click();
    assertThat(designer.region("Ladder")).containsText("It has level 3 after one of level 1");
    designer.field("Level").selectOption(new SelectOption().setLabel("Level 2"));
    designer.awaitSaved();
    assertThat(designer.region("Ladder").getByText("It has level 3 after one of level 1"))
        .hasCount(0);
  }

  @Test
  @Order(20)
  void aPageThatIsLinkedToIsTakenAwayWithWhereItsLinksLeadAndComesBack() {
    designer.go("/sites/saltmarsh-ferries?page=sf-fares");
    designer.button("Take this page away").click();
    Locator sheet = page().getByRole(AriaRole.DIALOG);
    assertThat(sheet).containsText("would lead nowhere");
    assertThat(sheet).containsText("the menus “Main” and “Footer”");
    sheet.getByRole(AriaRole.COMBOBOX).selectOption(new SelectOption().setLabel("Timetable"));
    designer.button("Take it away").click();
    assertThat(sheet).isHidden();
    Locator tree = page().getByRole(AriaRole.TREE);
    assertThat(tree.getByText("Fares")).hasCount(0);
    page().getByText("1 page taken away").click();
    assertThat(page().getByText("leads to Timetable")).isVisible();
    designer.button("Bring Fares back").click();
    assertThat(tree.getByText("/fares")).isVisible();
    assertThat(page().getByText("1 page taken away")).hasCount(0);
    designer.go("/sites/saltmarsh-ferries?page=sf-home");
    assertThat(designer.field("Address")).hasValue("/");
    assertThat(designer.button("Take this page away")).hasCount(0);
  }

  @Test
  @Order(21)
  void allThatARuleFindsIsMendedAtOnceAndUndoneAtOnce() {
    show("/sites/tern-valley/pages/tv-how");
    undo(1);
    designer.go("/sites/tern-valley?tab=survey");
    Locator rule = designer.region("No heading skips a level");
    assertThat(rule).containsText("1 finding");
    rule.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Mend it")).click();
    assertThat(page().getByText("Mended on")).isVisible();
    assertThat(rule).containsText("so it is");
    designer.button("Undo it").click();
    assertThat(rule).containsText("1 finding");
    assertThat(page().getByText("Mended on")).hasCount(0);
  }

  private static Locator row(String title) {
    return page()
        .getByRole(AriaRole.TREEITEM)
        .filter(new Locator.FilterOptions().setHas(page().getByText(title).first()));
  }

  private static List<String> titles() {
    return page().getByRole(AriaRole.TREEITEM).locator("span.font-medium").allInnerTexts();
  }

  @Test
  @Order(22)
  void pagesAreFiledByDraggingThemAndSeveralAtOnceByKeys() {
    designer.go("/sites/saltmarsh-ferries");
    assertThat(row("Timetable")).hasAttribute("aria-level", "1");
    row("Timetable").dragTo(row("The islands"));
    assertThat(row("Timetable")).hasAttribute("aria-level", "2");
    assertThat(titles())
        .containsExactly("Home", "Fares", "The islands", "Timetable", "Before you sail");
    row("Timetable").focus();
    press("Alt+ArrowLeft");
    assertThat(row("Timetable")).hasAttribute("aria-level", "1");
    row("Fares").click();
    press("Shift+ArrowDown");
    assertThat(page().getByText("Drag 2 pages, or Alt and arrows")).isVisible();
    press("Alt+ArrowDown");
    page().waitForCondition(() -> titles().get(1).equals("Timetable"));
    assertThat(titles())
        .containsExactly("Home", "Timetable", "Fares", "The islands", "Before you sail");
  }

  private static FilePayload file(String name, String content) {
    return new FilePayload(
        name, "application/octet-stream", content.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  @Order(23)
  void aFileIsBroughtInWhereALinkIsToLeadToItAndTheLinkFollowsItsName() {
    show("/sites/quillon-clocks/pages/qc-repairs");
    designer.takeSection("Call to action");
    designer.takeInHand("Find the bench");
    designer.field("Link").click();
    designer.field("Link").fill("Prices");
    assertThat(
            page()
                .getByRole(
                    AriaRole.OPTION, new Page.GetByRoleOptions().setName("Bring a file in…")))
        .isVisible();
    designer.field("File for Link").setInputFiles(file("Prices 2026.pdf", "<html>"));
    assertThat(designer.region("Ladder")).containsText("named as PDF");
    designer.field("File for Link").setInputFiles(file("Prices 2026.pdf", "%PDF-1.7 %%EOF"));
    assertThat(designer.field("Link")).hasValue("prices-2026.pdf");
    designer.awaitSaved();

    designer.go("/sites/quillon-clocks?tab=files");
    assertThat(page().getByRole(AriaRole.ROW).last()).containsText("in 1 place");
    designer.button("Put it away").click();
    assertThat(page().getByText("linked to in 1 place")).isVisible();
    designer.field("Name of prices-2026.pdf").fill("What we charge");
    press("Enter");
    assertThat(designer.field("Name of what-we-charge.pdf")).isVisible();
    publish();
    designer.go("/hosted/quillon-clocks/repairs/");
    assertThat(page().locator("main a[href$='files/what-we-charge.pdf']")).isVisible();
    assertThat(page().request().get(page().url() + "../files/what-we-charge.pdf")).isOK();
  }

  @Test
  @Order(24)
  void aSectionIsRenamedAndItsAddressFollowsWhenThatIsAsked() {
    designer.go("/sites/saltmarsh-ferries");
    publish();
    show("/sites/saltmarsh-ferries/pages/sf-home");
    designer.takeSection("Three routes");
    assertThat(designer.region("Ladder")).containsText("#three-routes");
    press("F2");
    page().keyboard().type("Where we sail");
    press("Enter");
    designer.awaitSaved();
    assertThat(designer.region("Ladder")).containsText("#three-routes");
    designer.button("Make it #where-we-sail").click();
    assertThat(designer.region("Ladder")).containsText("#where-we-sail");
    assertThat(designer.button("Make it #where-we-sail")).hasCount(0);
  }

  /** Two tabs say something else of one page: nobody's words are overwritten, and both are seen. */
  @Test
  void whatSomebodyElseSaidOfAPageMeanwhileIsShownAndChosen() {
    designer.go("/sites/tern-valley");
    Locator description = page().getByLabel("Description");
    assertThat(description).isVisible();
    Page first = page();
    Page second = designer.newTab();
    second.navigate(application.address() + "/sites/tern-valley");
    second.getByLabel("Description").fill("Plots by the river, said by the second");
    second.getByText("Keep these settings").click();
    assertThat(second.getByText("Kept.")).isVisible();
    second.close();
    designer.use(first);
    description.fill("Plots for everybody, said by the first");
    designer.button("Keep these settings").click();
    assertThat(first.getByRole(AriaRole.ALERT))
        .containsText("Description: “Plots by the river, said by the second”");
    assertThat(description).hasValue("Plots for everybody, said by the first");
    assertThat(designer.button("Keep mine")).isInViewport();
    designer.button("Keep mine").click();
    designer.button("Keep these settings").click();
    assertThat(first.getByText("Kept.")).isVisible();
    first.reload();
    assertThat(description).hasValue("Plots for everybody, said by the first");
  }
}
