package goodbones.acceptance;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;

/** The application with fresh demo data, and a designer who has signed in; one of each a class. */
abstract class WithDesigner {
  static final String DESKTOP = "Desktop, 1280 px wide";
  static final String TABLET = "Tablet, 834 px wide";
  static final String PHONE = "Phone, 390 px wide";
  static final List<String> FRAMES = List.of(DESKTOP, TABLET, PHONE);
  static final String FERRIES_PAGE = "/sites/saltmarsh-ferries/pages/sf-home";
  static final String MUSEUM_PAGE = "/sites/oakum-rope-museum/pages/om-home";
  static Application application;
  static Designer designer;

  @BeforeAll
  static void open() throws IOException {
    application = Application.start();
    designer = new Designer(application.address());
    designer.signIn();
  }

  @AfterAll
  static void close() {
    designer.close();
    application.close();
  }

  static Page page() {
    return designer.page();
  }

  static void press(String... keys) {
    for (String key : keys) {
      page().keyboard().press(key);
    }
  }

  /** Adds something by typing its name; it is in hand afterwards. */
  static void add(String name, String kind) {
    press("a");
    PlaywrightAssertions.assertThat(designer.region("What to add")).isFocused();
    page().keyboard().type(name);
    press("Enter");
    inHand(kind);
    designer.awaitSaved();
  }

  static void inHand(String kind) {
    PlaywrightAssertions.assertThat(
            designer
                .region("Ladder")
                .getByRole(
                    AriaRole.HEADING,
                    new Locator.GetByRoleOptions()
                        .setName(Pattern.compile("^" + kind + "$", Pattern.CASE_INSENSITIVE))))
        .isVisible();
  }

  /** Lets a frame lead, by its key, and waits until it does. */
  static void workAt(String device) {
    press(String.valueOf(List.of("Desktop", "Tablet", "Phone").indexOf(device) + 1));
    PlaywrightAssertions.assertThat(designer.region(device + " frame"))
        .hasAttribute("aria-current", "true");
  }

  /** Opens a workbench and waits until it is drawn, in its own fonts. */
  static void show(String path) {
    designer.go(path);
    awaitDrawn();
  }

  static void awaitDrawn() {
    for (String device : List.of("desktop", "tablet", "phone")) {
      page().locator("[data-surface=" + device + "] rect").first().waitFor();
    }
    // What is in a frame runs no script, so that it is waited for from outside.
    page()
        .evaluate(
            "async () => {"
                + " for (const frame of document.querySelectorAll('iframe'))"
                + "   await frame.contentDocument.fonts.ready;"
                + " for (const turn of [1, 2]) await new Promise(requestAnimationFrame); }");
  }

  /** Releases the draft on the workbench, and goes on to its review. */
  static void release(int revision, String note) {
    String name = "Release revision " + revision;
    designer.button(name).click();
    designer.field("What is new").fill(note);
    page()
        .getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name))
        .click();
    designer.link("Review the rollout").click();
  }

  /** Applies the rollout under review. */
  static void apply(String sites) {
    designer.button("Apply to " + sites).click();
    PlaywrightAssertions.assertThat(designer.heading("Rollouts")).isVisible();
  }

  /** Takes the last edits back, one after the other. */
  static void undo(int times) {
    designer.awaitSaved();
    for (int i = 0; i < times; i++) {
      press("Control+z");
      designer.awaitSaved();
    }
  }
}
