package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import goodbones.testing.Runs;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;

/** Things are kept once, found, described and placed again, and pages start from the library. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@ExtendWith(StepByStep.class)
class LibraryTest extends WithDesigner {
  private static final Path AXE = Path.of("../web/node_modules/axe-core/axe.min.js");

  private static Locator card(String name) {
    return page()
        .getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** The cards that are whole in sight. */
  private static int whole() {
    return ((Number)
            page()
                .evaluate(
                    "() => [...document.querySelectorAll('article [data-at]')].filter(e => {"
                        + " const b = e.getBoundingClientRect();"
                        + " return b.top >= 0 && b.bottom <= innerHeight; }).length"))
        .intValue();
  }

  @Test
  @Order(1)
  void sixPiecesAreWholeInSightAndTheWordsNarrowThemDown() {
    designer.go("/library");
    assertThat(card("Button pair")).isVisible();
    assertThat(whole()).isGreaterThanOrEqualTo(6);
    designer.field("Find a piece").fill("price");
    assertThat(card("Prices as offers")).isVisible();
    assertThat(card("Button pair")).isHidden();
    page()
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Prices")))
        .click();
    assertThat(
            page()
                .getByRole(AriaRole.STATUS)
                .filter(new Locator.FilterOptions().setHasText("3 pieces of")))
        .isVisible();
    page().reload();
    assertThat(card("Prices in lines")).isVisible();
    assertThat(page().url()).contains("purpose=prices");
  }

  @Test
  @Order(2)
  void aSectionIsKeptInTwoActionsAndNothingThatIsSeenChanges() {
    show(MUSEUM_PAGE);
    designer.takeSection("From the yard");
    String words = designer.frame(DESKTOP).locator("body").innerText();
    press("k");
    assertThat(designer.field("Name")).hasValue("From the yard");
    press("Enter");
    assertThat(
            page()
                .getByText(
                    "Kept as the section template “From the yard”. This page’s own in it: 2 texts"))
        .isVisible();
    assertThat(designer.region("Reach").getByText("1 placement on 1 page of 1 site")).isVisible();
    assertThat(designer.frame(DESKTOP).locator("body").innerText()).isEqualTo(words);
    assertThat(page().getByText("stand-in")).hasCount(0);
    show(FERRIES_PAGE);
    press("Escape", "Escape", "a");
    page().keyboard().type("From the yard");
    assertThat(designer.frame("How it looks here").locator("section")).isVisible();
    press("Enter");
    assertThat(designer.button("2 stand-ins left")).isVisible();
    assertThat(designer.frame(DESKTOP).locator("main [data-stand-in]")).hasCount(2);
    designer.button("2 stand-ins left").click();
    designer.set("Words", "What we do in the yard");
    assertThat(designer.button("1 stand-in left")).isVisible();
    designer.go("/sites/saltmarsh-ferries");
    assertThat(page().getByText("1 stand-in left in all")).isVisible();
  }

  @Test
  @Order(3)
  void byKeysAloneAPieceIsFoundChosenTaggedAndOpened() {
    designer.go("/library?words=yard");
    assertThat(card("From the yard")).isVisible();
    designer.field("Find a piece").focus();
    while (!(Boolean) page().evaluate("() => document.activeElement.dataset.at !== undefined")) {
      press("Tab");
    }
    press("Space");
    assertThat(page().getByText("1 piece chosen")).isVisible();
    while (!(Boolean)
        page()
            .evaluate(
                "() => document.activeElement.getAttribute('aria-label') === 'Tag for all of them'")) {
      press("Tab");
    }
    page().keyboard().type("Rope");
    press("Enter");
    assertThat(page().getByText("1 piece chosen")).isHidden();
    designer.go("/library?tag=rope");
    assertThat(card("From the yard")).isVisible();
    while (!(Boolean) page().evaluate("() => document.activeElement.dataset.at !== undefined")) {
      press("Tab");
    }
    press("Enter");
    assertThat(designer.heading("From the yard")).isVisible();
  }

  @Test
  @Order(4)
  void whereItIsUsedIsSeenBesideAndWhatIsUsedIsNotRetired() {
    designer.go("/library?words=yard");
    card("From the yard").getByTitle("Where it is used").click();
    Locator used = designer.region("Where From the yard is used");
    assertThat(used.getByText("Oakum Rope Museum")).isVisible();
    assertThat(used.getByText("Saltmarsh Ferries")).isVisible();
    designer.button("Close").click();
    card("From the yard").getByRole(AriaRole.CHECKBOX).check();
    designer.button("Retire").click();
    assertThat(page().getByRole(AriaRole.ALERT)).containsText("is still used, on “Home”");
    designer.go("/library?words=gallery");
    card("Gallery").getByRole(AriaRole.CHECKBOX).check();
    designer.button("Retire").click();
    assertThat(card("Gallery")).isHidden();
    page()
        .getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Retired")))
        .click();
    card("Gallery").getByRole(AriaRole.CHECKBOX).check();
    designer.button("Bring back").click();
    assertThat(card("Gallery")).isHidden();
  }

  @Test
  @Order(5)
  void aPageStartsFromACompositionInTheClientsLook() {
    designer.go("/sites/quillon-clocks");
    designer.button("New page").click();
    Locator choice =
        page().getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("One service"));
    choice.check();
    designer.field("Title of the new page").fill("Long-case clocks");
    press("Enter");
    assertThat(designer.heading("Long-case clocks")).isVisible();
    awaitDrawn();
    assertThat(designer.frame(DESKTOP).locator(".own > section")).hasCount(6);
    assertThat(
            page()
                .getByRole(
                    AriaRole.BUTTON,
                    new Page.GetByRoleOptions().setName(Pattern.compile("stand-ins left$"))))
        .isVisible();
  }

  /** A client for each ready set, in nothing but that set's look. */
  private static final String A_CLIENT_FOR_EACH_SET =
      """
      async () => {
        const token = document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1];
        const sites = [];
        for (const set of await (await fetch('/api/brands/sets')).json()) {
          const of = (role) => set.values[role] ?? '';
          const brand = {
            name: `In ${set.name}`, logo: '', width: 1120, set: set.id,
            colours: [of('color.text'), of('color.surface'), of('color.accent')],
            headingFont: of('font.heading'), bodyFont: of('font.body'),
          };
          const made = await fetch('/api/brands', {
            method: 'POST',
            headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
            body: JSON.stringify(brand),
          });
          if (!made.ok) throw new Error(await made.text());
          sites.push((await made.json()).siteId);
        }
        return sites;
      }
      """;

  /**
   * Every piece to start with in Chromium at five widths: nothing is wider than the screen;
   * axe-core, rules of WCAG 2.2 A and AA, finds nothing at a phone's and the widest; and the HTML
   * checker finds nothing in all of them together. In the look of one client, and each piece in one
   * of the ready sets in turn; in longer runs each in all of them.
   */
  @Test
  @Order(6)
  @SuppressWarnings("unchecked")
  void thePiecesToStartWithFitEveryWidthAndTheCheckersFindNothing() throws Exception {
    String axe = Files.readString(AXE, StandardCharsets.UTF_8);
    List<String> starters =
        (List<String>)
            page()
                .evaluate(
                    "async () => (await (await fetch('/api/pieces')).json())"
                        + ".map(p => p.id).filter(id => id.startsWith('st-'))");
    assertThat(starters).hasSizeGreaterThan(30);
    List<String> sets = (List<String>) page().evaluate(A_CLIENT_FOR_EACH_SET);
    assertThat(sets).hasSizeGreaterThan(3);
    page().setViewportSize(1920, 800);
    List<String> wrong = new ArrayList<>();
    StringBuilder all = new StringBuilder();
    for (int i = 0; i < starters.size(); i++) {
      String starter = starters.get(i);
      // Every piece in a set of finishes; the long run takes each in all of them.
      List<String> looks = Runs.areLong() ? sets : List.of(sets.get(i % sets.size()));
      List<Integer> examined = Runs.areLong() ? WIDTHS : List.of(WIDTHS.get(i % WIDTHS.size()));
      for (String look : looks) {
        check(starter, look, examined, axe, wrong);
      }
      // Each under a heading of its own: a small part has none above it by itself.
      all.append("<h2>").append(starter).append("</h2>");
      all.append(page().frameLocator("#drawn").locator("main").innerHTML());
    }
    wrong.addAll(
        HtmlChecker.errors(
            "<!DOCTYPE html><html lang=\"en\"><title>All of them</title><main>"
                + all
                + "</main></html>"));
    page().setViewportSize(1280, 800);
    assertThat(wrong).isEmpty();
  }

  private static final List<Integer> WIDTHS = List.of(320, 390, 834, 1280, 1920);

  private static void check(
      String starter, String look, List<Integer> examined, String axe, List<String> wrong) {
    Frame frame = drawn("/api/pieces/" + starter + "/frame?site=" + look);
    for (int width : WIDTHS) {
      Object over = page().evaluate(WIDER, width);
      if (((Number) over).intValue() > 0) {
        wrong.add(starter + ", " + look + ", is " + over + " px wider than " + width);
      }
      if (examined.contains(width)) {
        axe(frame, axe)
            .forEach(fault -> wrong.add(starter + ", " + look + ", at " + width + ": " + fault));
      }
    }
  }

  /** What is drawn at an address, in a frame of its own over the page. */
  private static Frame drawn(String path) {
    return page().evaluateHandle(DRAWN, path).asElement().contentFrame();
  }

  private static final String DRAWN =
      """
      async (path) => {
        const html = await (await fetch(path)).text();
        document.querySelector('#drawn')?.remove();
        const frame = document.createElement('iframe');
        frame.id = 'drawn';
        frame.style.cssText = 'position:fixed;inset:0;border:0;height:800px';
        frame.srcdoc = html;
        await new Promise(done => { frame.onload = done; document.body.append(frame); });
        return frame;
      }
      """;

  /** By how many px what is drawn is wider than the frame at a width. */
  private static final String WIDER =
      """
      (width) => {
        const frame = document.querySelector('#drawn');
        frame.style.width = width + 'px';
        return frame.contentDocument.documentElement.scrollWidth - width;
      }
      """;

  /** What is wider than its viewport of the pieces to start with, with other words in them. */
  private static final String OVER =
      """
      async (widths) => {
        const ids = (await (await fetch('/api/pieces')).json()).map(p => p.id).filter(id => id.startsWith('st-'));
        const over = [];
        for (const id of ids) for (const words of ['short', 'long', 'none']) {
          const view = await (await fetch(`/api/pieces/${id}/sampled?site=oakum-rope-museum&words=${words}`)).json();
          const frame = document.createElement('iframe');
          frame.style.cssText = 'position:fixed;border:0;height:800px';
          frame.srcdoc = `<!doctype html><style>${view.css}</style>${view.open}<main><div class="own">`
            + view.blocks.map(b => b.html).join('') + '</div></main>';
          await new Promise(done => { frame.onload = done; document.body.append(frame); });
          for (const width of widths) {
            frame.style.width = width + 'px';
            const wide = frame.contentDocument.documentElement.scrollWidth - width;
            if (wide > 0) over.push(`${id} with ${words} words is ${wide} px wider than ${width}`);
          }
          frame.remove();
        }
        return over;
      }
      """;

  @Test
  @Order(7)
  void thePiecesToStartWithHoldShortLongAndNoWords() {
    designer.go("/library");
    assertThat((List<?>) page().evaluate(OVER, Runs.areLong() ? WIDTHS : List.of(320, 834)))
        .isEmpty();
  }

  @Test
  @Order(8)
  void aPieceIsDrawnFromNothingAndCanBePlacedOnceItIsReleased() {
    designer.go("/library?look=quillon-clocks");
    designer.button("New piece").click();
    designer.field("Name").fill("Guarantee");
    designer.button("Begin to draw").click();
    designer.heading("Guarantee").waitFor();
    assertThat(designer.region("Reach")).containsText("a draft only");
    press("a");
    assertThat(designer.region("What to add")).isFocused();
    page().keyboard().type("heading");
    press("Enter");
    designer.awaitSaved();
    assertThat(designer.frame(DESKTOP).locator("main h2")).isVisible();
    designer.go("/library?state=only&look=quillon-clocks");
    assertThat(page().getByRole(AriaRole.ARTICLE)).hasCount(1);
    assertThat(page().getByRole(AriaRole.ARTICLE)).containsText("a draft only");
    designer.link("Guarantee").click();
    designer.button("Release revision 1").click();
    designer.field("What is new").fill("The first drawing");
    page()
        .getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Release revision 1"))
        .click();
    assertThat(designer.region("Reach")).containsText("revision 1");
    show("/sites/quillon-clocks/pages/qc-prices");
    press("Escape", "Escape", "a");
    page().keyboard().type("Guarantee");
    assertThat(designer.frame("How it looks here").locator("section")).isVisible();
    press("Enter");
    designer.awaitSaved();
    assertThat(designer.frame(DESKTOP).locator(".own > section")).hasCount(4);
  }

  @Test
  @Order(9)
  void thePagesOfASiteAreKeptForAnotherToBeginWith() {
    designer.go("/sites/quillon-clocks");
    designer.button("Keep all pages as a set").click();
    designer.field("Name").fill("Like the clocks");
    page()
        .getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Keep").setExact(true))
        .click();
    assertThat(page().getByText("“Like the clocks” is kept.")).isVisible();
    designer.go("/sites/tern-valley");
    assertThat(page().getByRole(AriaRole.TREEITEM)).hasCount(5);
    designer.button("New page").click();
    page()
        .getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("Like the clocks"))
        .check();
    page()
        .getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Make \\d")))
        .click();
    assertThat(page().getByRole(AriaRole.TREEITEM).getByText("Turret clocks")).isVisible();
  }

  @SuppressWarnings("unchecked")
  private static List<String> axe(Frame frame, String script) {
    frame.evaluate(script);
    return (List<String>)
        frame.evaluate(
            "async () => (await axe.run({resultTypes: ['violations'], runOnly:"
                + " ['wcag2a','wcag2aa','wcag21a','wcag21aa','wcag22aa']})).violations"
                + ".map(v => v.id + ': ' + v.nodes.map(n => n.html.slice(0, 120)).join(' '))");
  }
}
