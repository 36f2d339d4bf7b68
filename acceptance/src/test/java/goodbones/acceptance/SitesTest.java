package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** A kite maker’s site from nothing: details, menus, pages, header and footer, and its links. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class SitesTest extends WithDesigner {
  private static String site = "";

  private static void tab(String name) {
    page()
        .getByLabel("Of this site")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name))
        .click();
  }

  private static void keep(String what) {
    designer.button("Keep these " + what).click();
    assertThat(page().getByText("Kept.")).isVisible();
  }

  private static void choose(String label, String option) {
    designer.field(label).selectOption(new SelectOption().setLabel(option));
  }

  /** What a visitor gets at an address of the published site. */
  private static String visited(String path) {
    return page()
        .request()
        .get(page().url().replaceAll("(https?://[^/]+).*", "$1") + "/hosted/" + site + "/" + path)
        .text();
  }

  private static void publish() {
    Locator publishing = designer.region("Publishing");
    publishing.getByRole(AriaRole.BUTTON).click();
    assertThat(publishing.getByRole(AriaRole.BUTTON)).isEnabled();
    assertThat(publishing).containsText("Published");
  }

  @Test
  @Order(1)
  void aNewClientHasItsDetailsAndAMenuThatMakesItsPages() {
    designer.go("/sites/new");
    designer.field("Name").fill("Windrush Kites");
    designer.button("Start Windrush Kites").click();
    page().waitForURL(Pattern.compile(".*look=.*"));
    site = page().url().replaceAll(".*look=([^&]*).*", "$1");

    designer.go("/sites/" + site + "?tab=details");
    page().getByLabel("Phone").fill("01632 960 551");
    page().getByLabel("Mail").fill("hello@windrush.example");
    designer.field("Address").fill("2 Sail Loft\nWindrush");
    keep("details");

    tab("Menus");
    for (String title : List.of("Kites", "Repairs", "Nothing here")) {
      designer.button("Add a link").click();
      Locator leads = page().getByLabel(Pattern.compile("Where link \\d leads")).last();
      leads.fill(title);
      page().getByRole(AriaRole.OPTION).getByText("Make a page “" + title + "”").click();
      assertThat(leads).hasValue(title);
    }
    designer.button("Take link 3 away").click();
    page().getByLabel("Open link 2 in a new tab").check();
    keep("menus");

    tab("Pages");
    assertThat(page().getByRole(AriaRole.TREEITEM)).hasCount(4);
  }

  @Test
  @Order(2)
  void headerAndFooterStandOnAllPagesButOne() {
    designer.go("/sites/" + site + "?tab=coverage");
    assertThat(page().getByText("No page shares anything yet.")).isVisible();
    designer.button("New rule").click();
    choose("What stands there", "Header in one line");
    keep("rules");
    designer.button("New rule").click();
    assertThat(designer.field("Where on the page")).hasValue("footer");
    choose("What stands there", "Footer in three columns");
    keep("rules");
    designer.button("New rule").click();
    choose("What stands there", "None");
    choose("The page", "Nothing here");
    Locator row =
        page()
            .getByRole(AriaRole.ROW)
            .filter(new Locator.FilterOptions().setHasText("Nothing here"));
    assertThat(row).containsText("none");
    assertThat(page().getByText("nothing is kept yet")).isVisible();
    keep("rules");

    designer.button("New rule").click();
    choose("For", "The whole site");
    assertThat(page().getByText("equally specific")).isVisible();
    assertThat(designer.button("Keep these rules")).isDisabled();
    designer.button("Back to what is kept").click();

    publish();
    assertThat(visited("kites/"))
        .contains("<header")
        .contains("01632 960 551")
        .contains("Windrush Kites</a>")
        .contains("aria-current=\"page\">Kites</a>")
        .contains("target=\"_blank\" rel=\"noopener\">Repairs</a>");
    assertThat(visited("nothing-here/")).doesNotContain("<header").contains("<footer");
  }

  @Test
  @Order(3)
  void aRenamedPageTakesItsLinksAlong() {
    designer.go("/sites/" + site);
    page()
        .getByRole(AriaRole.TREEITEM)
        .filter(new Locator.FilterOptions().setHasText("Kites"))
        .click();
    designer.field("Title").fill("Our kites");
    page().getByLabel("Address").fill("/our-kites");
    assertThat(page().getByText("/kites leads on to it")).isVisible();
    keep("settings");
    publish();
    assertThat(visited("repairs/")).contains("href=\"../our-kites/\">Our kites</a>");
    assertThat(visited("kites/")).contains("url=../our-kites/");
  }

  @Test
  @Order(4)
  void pagesAreFiledByKeyboardAlone() {
    designer.go("/sites/" + site);
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
    int sections = designer.frame(DESKTOP).locator("main > section").count();
    String first = page().locator("[data-strip]").first().getAttribute("title");
    page().locator("[data-strip]").first().click();
    press("e");
    designer.button("Make it the header").click();
    designer.awaitSaved();
    assertThat(designer.frame(DESKTOP).locator("main > section")).hasCount(sections - 1);
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
}
