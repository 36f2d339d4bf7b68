package goodbones.acceptance;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** A person at the browser: what one sees is asked for by role and name. */
final class Designer implements AutoCloseable {
  /** Nothing of the driver may be used by two threads. */
  private static final ThreadLocal<Browser> BROWSER = ThreadLocal.withInitial(Designer::launch);

  private final BrowserContext context;
  private final String address;
  private Page page;

  Designer(String address) {
    this.address = address;
    this.context =
        BROWSER.get().newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
    PlaywrightAssertions.setDefaultAssertionTimeout(30_000);
    this.page = newTab();
  }

  /**
   * One for all of a thread; what somebody does in a context of their own is not seen in another.
   */
  private static Browser launch() {
    return Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))
        .chromium()
        .launch(
            new BrowserType.LaunchOptions()
                .setExecutablePath(Path.of("/usr/bin/chromium"))
                .setArgs(
                    List.of(
                        "--no-sandbox",
                        "--disable-gpu",
                        "--disable-quic",
                        "--no-first-run",
                        "--disable-background-networking",
                        "--disable-component-update",
                        "--disable-sync")));
  }

  Page newTab() {
    Page tab = context.newPage();
    tab.setDefaultTimeout(30_000);
    return tab;
  }

  Page page() {
    return page;
  }

  void use(Page tab) {
    page = tab;
  }

  void go(String path) {
    page.navigate(address + path);
  }

  void signIn() {
    go("/");
    button("Sign in as iris").click();
    heading("Library").waitFor();
  }

  Locator button(String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  Locator link(String name) {
    return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  Locator heading(String name) {
    return page.getByRole(
        AriaRole.HEADING, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  Locator region(String name) {
    return page.getByLabel(name, new Page.GetByLabelOptions().setExact(true));
  }

  Locator field(String label) {
    return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
  }

  /** Takes a node in hand by its name in the outline. */
  void takeInHand(String name) {
    region("Outline")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name))
        .first()
        .click();
  }

  /** Takes a section in hand by its strip in the page drawing. */
  void takeSection(String name) {
    strip(name).click();
  }

  /** A strip says its section's name, and below that what the survey has found in it by then. */
  Locator strip(String name) {
    return page.locator("button[title='" + name + "'], button[title^='" + name + "\\a ']");
  }

  /** Clicks where something is drawn; on the canvas the drawing itself is not clicked at. */
  void clickAt(Locator drawn) {
    BoundingBox box = drawn.boundingBox();
    page.mouse().click(box.x + Math.min(20, box.width / 2), box.y + box.height / 2);
  }

  void set(String label, String value) {
    field(label).fill(value);
    page.keyboard().press("Enter");
  }

  void awaitSaved() {
    PlaywrightAssertions.assertThat(
            page.getByText("Saved", new Page.GetByTextOptions().setExact(true)))
        .isVisible();
  }

  /** What one of the three frames, or any other frame, shows. */
  FrameLocator frame(String title) {
    return page.frameLocator("iframe[title='" + title + "']");
  }

  /** A computed style of an element in a frame, as the browser has it. */
  String style(String frameTitle, String selector, String property) {
    Locator found = frame(frameTitle).locator(selector).first();
    found.waitFor();
    return (String) found.evaluate("(e, p) => getComputedStyle(e).getPropertyValue(p)", property);
  }

  /** The document inside a frame. */
  Frame content(String frameTitle) {
    return page.locator("iframe[title='" + frameTitle + "']").elementHandle().contentFrame();
  }

  double viewportWidth(String frameTitle) {
    return ((Number) content(frameTitle).evaluate("() => window.innerWidth")).doubleValue();
  }

  @Override
  public void close() {
    context.close();
    context.close();
  }
}
