package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;

/** A kite maker’s site from nothing to a survey without findings, by hands that are counted. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@ExtendWith(StepByStep.class)
class KiteMakerTest extends WithDesigner {
  private static final String LOGO =
      "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 220 60'>"
          + "<path d='M30 4 54 28 30 56 6 28Z' fill='#1d4e6b'/>"
          + "<path d='M30 4 54 28 6 28Z' fill='#a63d2f'/>"
          + "<path d='M70 18h140v8H70zM70 34h90v8H70z' fill='#1d4e6b'/></svg>";

  private static final Hands hands = new Hands(WithDesigner::page);
  private static String site = "";

  private static FilePayload svg(String name, String text) {
    return new FilePayload(name, "image/svg+xml", text.getBytes(StandardCharsets.UTF_8));
  }

  private static void area(String name) {
    hands.click(designer.region("Areas").getByRole(AriaRole.LINK, named(name)));
  }

  private static Locator.GetByRoleOptions named(String name) {
    return new Locator.GetByRoleOptions().setName(name).setExact(true);
  }

  private static void tab(String name) {
    hands.click(designer.region("Of this site").getByRole(AriaRole.BUTTON, named(name)));
  }

  private static void keep(String what) {
    hands.click(designer.button("Keep these " + what));
    assertThat(page().getByText("Kept.")).isVisible();
  }

  private static void openSite() {
    area("Sites");
    hands.click(
        page()
            .getByRole(AriaRole.LISTITEM)
            .filter(new Locator.FilterOptions().setHasText("Windrush Kites"))
            .getByRole(AriaRole.LINK)
            .first());
  }

  @Test
  @Order(1)
  void itsFinishesComeFromItsLogo() {
    area("Sites");
    hands.click(designer.link("Start a new client"));
    hands.write(designer.field("Name"), "Windrush Kites");
    hands.bringIn(designer.field("Logo"), svg("windrush.svg", LOGO));
    assertThat(page().getByLabel("Colour 1")).not().hasValue("#22343f");
    hands.click(designer.button("Start Windrush Kites"));
    page().waitForURL(Pattern.compile(".*look=.*"));
    site = page().url().replaceAll(".*look=([^&]*).*", "$1");
  }

  @Test
  @Order(2)
  void whatIsKnownOfItIsWrittenOnce() {
    openSite();
    tab("Client details");
    hands.write(designer.field("Phone"), "01632 960 551");
    hands.press("Tab");
    hands.type("hello@windrush.example");
    hands.write(designer.field("Address"), "2 Sail Loft\nWindrush");
    hands.click(designer.button("Add a service"));
    hands.write(designer.field("Address at service 1"), "https://birdsong.example/windrush");
    hands.press("Tab");
    hands.type("Birdsong");
    hands.click(designer.button("Add a service"));
    hands.write(designer.field("Address at service 2"), "https://vimeo.com/windrush");
    hands.press("Tab");
    assertThat(designer.field("Name of service 2")).hasValue("Vimeo");
    assertThat(designer.button("Film service")).isVisible();
    keep("details");
  }

  @Test
  @Order(3)
  void itsPagesAreMadeFromTheMenuEditor() {
    tab("Menus");
    List<String> titles =
        List.of("Kites", "Workshops", "For schools", "Repairs", "Visit us", "Nothing here");
    for (String title : titles) {
      hands.click(designer.button("Add a link"));
      Locator leads = page().getByLabel(Pattern.compile("^Where link \\d leads$")).last();
      hands.click(leads);
      hands.type(title);
      hands.click(page().getByRole(AriaRole.OPTION).getByText("Make a page “" + title + "”"));
      assertThat(leads).hasValue(title);
    }
    hands.click(designer.button("Move link 3 in"));
    hands.click(designer.button("Take link 6 away"));
    keep("menus");
    tab("Pages");
    assertThat(page().getByRole(AriaRole.TREEITEM)).hasCount(7);
  }

  private static void rule(String region, String gives, String... scope) {
    hands.click(designer.button("New rule"));
    if (!designer.field("Where on the page").locator("option:checked").innerText().equals(region)) {
      hands.choose(designer.field("Where on the page"), region);
    }
    if (!gives.equals("None")) {
      hands.choose(designer.field("What stands there"), gives);
    }
    if (scope.length > 0) {
      hands.choose(designer.field("For"), scope[0]);
    }
    if (scope.length > 1) {
      hands.choose(page().getByLabel(Pattern.compile("^The (kind|page)$")), scope[1]);
    }
  }

  private static Locator row(String title) {
    return page()
        .getByRole(AriaRole.TREEITEM)
        .filter(new Locator.FilterOptions().setHas(page().getByText(title, exact()).first()));
  }

  private static Page.GetByTextOptions exact() {
    return new Page.GetByTextOptions().setExact(true);
  }

  @Test
  @Order(4)
  void headersFooterAndBandsStandWhereTheyAreWanted() {
    hands.click(row("For schools"));
    hands.press("Alt+ArrowRight");
    assertThat(row("For schools")).hasAttribute("aria-level", "2");
    hands.click(row("Nothing here"));
    hands.choose(
        page().getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Kind")),
        "Error page");
    keep("settings");
    tab("Header, footer, bands");
    rule("Header", "Header in one line");
    rule("Footer", "Footer in three columns");
    rule("Header", "Header with the logo above", "A page and what is below it", "Workshops");
    rule("Header", "None", "Pages of a kind", "Error page");
    rule("Band above the content", "Notice in a line", "The whole site");
    hands.click(
        page().getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Visit us")));
    rule("Band above the content", "Page heading", "The whole site");
    hands.write(designer.field("Name of the band"), "Heading");
    hands.click(page().getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("Home")));
    hands.click(designer.button("Keep these rules"));
    assertThat(page().getByText("Kept.")).isVisible();
    assertThat(line("For schools")).containsText("Header with the logo above");
    assertThat(line("Nothing here")).containsText("none");
    assertThat(line("Visit us")).not().containsText("Notice in a line");
  }

  /** A page’s line in the table of what each page gets. */
  private static Locator line(String title) {
    return page().getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText(title));
  }

  /** Opens a shared part by its line below the table. */
  private static void openPart(String title) {
    tab("Header, footer, bands");
    hands.click(
        page()
            .getByRole(AriaRole.LISTITEM)
            .filter(new Locator.FilterOptions().setHasText(title))
            .getByRole(AriaRole.LINK)
            .filter(new Locator.FilterOptions().setHasText("Edit")));
    awaitDrawn();
  }

  private static Locator drawn(String selector) {
    return designer.frame(DESKTOP).locator(selector);
  }

  /** Says something else where words stand. */
  private static void say(Locator words, String said) {
    hands.clickAt(words);
    hands.press("Enter");
    assertThat(page().getByRole(AriaRole.TOOLBAR, new Page.GetByRoleOptions().setName("Words")))
        .isVisible();
    hands.press("Control+a");
    hands.type(said);
    hands.press("Control+Enter");
    designer.awaitSaved();
  }

  @Test
  @Order(5)
  void whatIsNotSetIsSetFromWhereItIsMissed() {
    openPart("Footer in three columns");
    Locator hours = drawn("[data-unset]").first();
    hands.clickAt(hours);
    assertThat(designer.region("Ladder")).containsText("Opening hours: not set");
    hands.write(designer.field("Opening hours of the client"), "Tuesday to Saturday\n10 to 5");
    hands.click(designer.button("Set it"));
    assertThat(drawn("body").getByText("Tuesday to Saturday").first()).isVisible();
    assertThat(designer.region("Ladder")).not().containsText("Opening hours: not set");
    openSite();
    openPart("Notice in a line");
    say(drawn("p").first(), "The workshop is closed from 24 December to 2 January.");
    openSite();
  }

  private static void place(String piece) {
    hands.press("l");
    assertThat(designer.field("Find a piece")).isFocused();
    hands.type(piece);
    assertThat(designer.region("Library drawer").locator("[role=option]").first())
        .containsText(piece);
    hands.press("ArrowDown");
    assertThat(designer.button("Keep it here (Enter)")).isVisible();
    hands.press("Enter");
    designer.awaitSaved();
  }

  @Test
  @Order(6)
  void everyPageSaysSomething() {
    for (String title :
        List.of("Kites", "Workshops", "For schools", "Repairs", "Visit us", "Nothing here")) {
      tab("Pages");
      hands.click(row(title));
      hands.click(designer.link("Work on this page"));
      page().locator("[data-surface=desktop]").waitFor();
      place("Running text");
      say(words("What this part is about"), "About " + title.toLowerCase(java.util.Locale.ROOT));
      say(words("The sentence that sums it up"), "Made by hand in Windrush.");
      say(words("Then the rest of it"), "Ask us about anything that flies on a line.");
      openSite();
    }
  }

  @Test
  @Order(7)
  void picturesComeInWhateverTheFilesAre() {
    hands.click(designer.region("Of this site").getByRole(AriaRole.LINK, named("Pictures")));
    hands.bringIn(
        page().getByLabel("Bring pictures in for Windrush Kites").last(),
        new FilePayload("IMG_2207.jpg", "image/jpeg", Photos.jpeg(6000, 4000)),
        new FilePayload("notes.png", "image/png", "no picture".getBytes(StandardCharsets.UTF_8)),
        svg("plan.svg", Photos.HOSTILE));
    Locator sent = designer.region("Brought in");
    assertThat(sent.getByRole(AriaRole.STATUS)).hasText("3 of 3 files");
    assertThat(sent).containsText("“notes.png” is not a picture that can be used here");
    assertThat(sent).containsText("Taken in without");
    hands.click(designer.button("Put this note away"));
    Locator lacking =
        page()
            .getByLabel("Narrow down")
            .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Missing"));
    int missing = Integer.parseInt(lacking.innerText().replaceAll("\\D", ""));
    assertThat(missing).isGreaterThanOrEqualTo(2);
    hands.click(lacking);
    Locator wall = page().locator("[data-picture]");
    assertThat(wall).hasCount(missing);
    hands.click(wall.first());
    for (int i = missing; i > 0; i--) {
      assertThat(wall).hasCount(i);
      assertThat(designer.field("Alternative text")).isFocused();
      assertThat(designer.field("Alternative text")).hasValue("");
      hands.type("A kite over the estuary, seen from below");
      hands.press("Enter");
    }
    assertThat(page().getByText("No picture is like that")).isVisible();
    openSite();
  }

  @Test
  @Order(8)
  void everyPageIsDescribedAndReady() {
    List<String> withPicture = List.of("Kites", "Workshops", "Visit us");
    for (String title :
        List.of("Home", "Kites", "Workshops", "For schools", "Repairs", "Visit us")) {
      hands.click(row(title));
      hands.click(page().getByLabel("Description"));
      hands.type("What Windrush Kites has to say about " + title + ", in two sentences. Or one.");
      if (withPicture.contains(title)) {
        hands.click(designer.button("Choose a picture"));
        hands.click(page().getByRole(AriaRole.DIALOG).locator("button[aria-pressed]").first());
        hands.click(designer.button("Use this picture"));
      }
      if (!designer.region("About this page").getByRole(AriaRole.CHECKBOX).isChecked()) {
        hands.click(designer.region("About this page").getByRole(AriaRole.CHECKBOX));
      }
      keep("settings");
    }
  }

  /** Types the logo’s red, as it is known by heart, for the words in hand. */
  private static void colour() {
    hands.write(designer.field("Text colour"), "#a63d2f");
    hands.press("Enter");
    designer.awaitSaved();
  }

  private static void rename(String section, String name) {
    hands.click(designer.strip(section));
    inHand("section");
    hands.press("F2");
    assertThat(page().getByLabel("Name of the section")).isFocused();
    hands.press("Control+a");
    hands.type(name);
    hands.press("Enter");
    assertThat(designer.strip(name)).isVisible();
    designer.awaitSaved();
  }

  private static void work(String title) {
    hands.click(row(title));
    hands.click(designer.link("Work on this page"));
    page().locator("[data-surface=desktop]").waitFor();
  }

  private static Locator words(String words) {
    return drawn("main").getByText(words).first();
  }

  @Test
  @Order(9)
  void homeLeadsToThreePagesAndToASection() {
    work("Kites");
    awaitDrawn();
    rename("Running text", "What they cost");
    openSite();
    work("Home");
    say(words("Say in one sentence"), "Kites that come back");
    place("Pages as cards");
    say(words("Where to read on"), "Where to begin");
    hands.click(
        designer
            .region("Outline")
            .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Row"))
            .first());
    hands.click(designer.button("Show pages in it"));
    Locator sheet = page().getByRole(AriaRole.DIALOG);
    for (String title : List.of("Kites", "Workshops", "Visit us")) {
      hands.click(sheet.getByRole(AriaRole.CHECKBOX, named(title)));
    }
    hands.click(designer.button("Show 3 pages"));
    assertThat(sheet).isHidden();
    designer.awaitSaved();
    assertThat(drawn("main h3")).hasCount(3);
    place("Running text");
    say(words("What this part is about"), "What they cost");
    say(words("The sentence that sums it up"), "From 38 pounds, with the line.");
    colour();
    say(words("Then the rest of it"), "Every price is of the kite as it flies, reel and all.");
    colour();
    hands.click(designer.button("Add"));
    assertThat(designer.region("What to add")).isFocused();
    hands.type("button");
    hands.press("Enter");
    inHand("button");
    designer.awaitSaved();
    hands.write(designer.field("Words"), "See the prices");
    hands.press("Enter");
    hands.click(designer.field("Link"));
    hands.type("What they cost");
    hands.click(
        page()
            .getByRole(AriaRole.OPTION)
            .filter(new Locator.FilterOptions().setHasText("What they cost"))
            .first());
    designer.awaitSaved();
    assertThat(page().getByText("section · ")).isVisible();
  }

  private static void publish() {
    hands.click(designer.region("Publishing").getByRole(AriaRole.BUTTON));
    assertThat(designer.region("Publishing").getByRole(AriaRole.BUTTON)).isEnabled();
    assertThat(designer.region("Publishing")).containsText("Published");
  }

  /** What a visitor gets at an address of the published site. */
  private static String visited(String path) {
    return page().request().get(application.address() + "/hosted/" + site + "/" + path).text();
  }

  @Test
  @Order(10)
  void linksFollowWhatIsRenamed() {
    openSite();
    publish();
    assertThat(visited("")).contains("href=\"kites/#what-they-cost\">See the prices</a>");
    hands.click(row("Kites"));
    hands.write(page().getByLabel("Title"), "Our kites");
    hands.write(page().getByLabel("Address"), "/our-kites");
    keep("settings");
    hands.click(designer.link("Work on this page"));
    awaitDrawn();
    rename("What they cost", "Prices");
    openSite();
    publish();
    assertThat(visited(""))
        .contains("href=\"our-kites/#what-they-cost\">See the prices</a>")
        .contains(
            ">Our kites</h3>", ">Read on: Our kites</a>", "href=\"our-kites/\">Our kites</a>");
    assertThat(visited("our-kites/")).contains("id=\"what-they-cost\"");
    assertThat(visited("kites/")).contains("url=../our-kites/");
  }

  @Test
  @Order(11)
  void aPageThatIsLinkedToIsTakenAway() {
    hands.click(row("Repairs"));
    hands.click(designer.button("Take this page away"));
    Locator sheet = page().getByRole(AriaRole.DIALOG);
    assertThat(sheet).containsText("would lead nowhere");
    hands.choose(sheet.getByRole(AriaRole.COMBOBOX), "Visit us");
    hands.click(designer.button("Take it away"));
    assertThat(sheet).isHidden();
    publish();
    assertThat(visited("our-kites/"))
        .contains("href=\"../visit-us/\">Visit us</a>")
        .doesNotContain("Repairs");
    assertThat(visited("visit-us/"))
        .doesNotContain("closed from 24 December")
        .contains("01632 960 551", "Tuesday to Saturday", "https://vimeo.com/windrush");
    assertThat(visited("for-schools/")).contains("closed from 24 December");
  }

  @Test
  @Order(12)
  void whatTheSurveyFindsIsMendedSeveralAtOnce() {
    tab("Survey");
    Locator coloured =
        designer.region("Colours and lengths are the client’s tokens where one is as good");
    assertThat(coloured).containsText("2 findings");
    hands.click(coloured.getByRole(AriaRole.BUTTON, named("Mend all 2")));
    assertThat(page().getByText("Mended on Home.")).isVisible();
    assertThat(coloured).containsText("so it is");
    Locator menu = page().getByText("The menu “Footer” has no links");
    hands.click(menu);
    hands.click(designer.link("Add its links"));
    Locator footer = designer.region("Menu Footer");
    hands.click(footer.getByRole(AriaRole.BUTTON, named("Add a link")));
    hands.click(
        footer.getByLabel("Where link 1 leads", new Locator.GetByLabelOptions().setExact(true)));
    hands.type("Visit us");
    hands.click(page().getByRole(AriaRole.OPTION).getByText("Visit us").first());
    keep("menus");
    tab("Survey");
    hands.click(page().getByText("It has no description for search results"));
    hands.click(page().getByLabel("Description"));
    hands.type("There is nothing at this address; the kites are elsewhere.");
    keep("settings");
    tab("Survey");
    assertThat(page().getByRole(AriaRole.STATUS)).hasText("Nothing was found.");
  }

  @Test
  @Order(13)
  void itTookNoMoreThanIsWritten() throws IOException {
    String sum = hands.sum();
    assertThat(Files.readString(Path.of("../docs/how-it-works.md")).contains(sum)).as(sum).isTrue();
  }
}
