package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/**
 * Pictures as a person brings them in, says what they show and uses them, and as visitors get them.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class PicturesTest extends WithDesigner {
  private static FilePayload file(String name, byte[] bytes) {
    return new FilePayload(name, "application/octet-stream", bytes);
  }

  private static Locator sent() {
    return designer.region("Brought in");
  }

  private static Locator detail(String name) {
    return designer.region(name);
  }

  private static void narrow(String answer) {
    page()
        .getByLabel("Narrow down")
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(answer))
        .click();
  }

  private static Locator wall() {
    return page().locator("[data-picture]");
  }

  @Test
  @Order(1)
  void severalFilesComeInAtOnceAndOneThatIsRefusedStopsNoOther() {
    designer.go("/pictures?client=tern-valley");
    page()
        .getByLabel("Bring pictures in for Tern Valley Allotments")
        .last()
        .setInputFiles(
            new FilePayload[] {
              file("IMG_0420.jpg", Photos.jpeg(6000, 4000)),
              file("notes.png", "no picture".getBytes(StandardCharsets.UTF_8)),
              file("vast.svg", Photos.HOSTILE.getBytes(StandardCharsets.UTF_8))
            });
    assertThat(sent().getByRole(AriaRole.STATUS)).hasText("3 of 3 files");
    assertThat(sent()).containsText("“notes.png” is not a picture that can be used here");
    assertThat(sent()).containsText("Taken in without");
    narrow("Missing");
    assertThat(wall()).hasCount(3);
    assertThat(wall().first()).containsText("img-0420.jpg");
  }

  @Test
  @Order(2)
  void missingTextsAreWrittenOneAfterTheOtherByKeyboard() {
    designer.button("Put this note away").click();
    wall().first().focus();
    press("Enter");
    assertThat(designer.field("Alternative text")).isFocused();
    page().keyboard().type("Compost heaps behind the shed");
    press("Enter");
    assertThat(detail("tool-shed.svg")).isVisible();
    assertThat(designer.field("Alternative text")).isFocused();
    page().keyboard().type("Tools in the shed");
    press("Enter");
    assertThat(detail("vast.svg")).isVisible();
    page().getByText("Decoration: it says nothing").click();
    assertThat(page().getByText("No picture is like that")).isVisible();
    narrow("Missing");
    wall().filter(new Locator.FilterOptions().setHasText("img-0420")).click();
    designer.button("Call it compost-heaps-behind-the-shed.jpg").click();
    assertThat(detail("compost-heaps-behind-the-shed.jpg")).isVisible();
  }

  @Test
  @Order(3)
  void whatIsSeenOfACroppedPictureIsSetByKeyboardAndByMouse() {
    Locator focal = page().getByLabel(Pattern.compile("Focal point at"));
    focal.focus();
    press("ArrowLeft");
    assertThat(focal).hasAccessibleName("Focal point at 45% across, 50% down");
    press("ArrowUp");
    assertThat(focal).hasAccessibleName("Focal point at 45% across, 45% down");
    focal.click(new Locator.ClickOptions().setPosition(2, 2));
    assertThat(focal).hasAccessibleName(Pattern.compile("Focal point at [01]% across, [01]% down"));
  }

  @Test
  @Order(4)
  void aPictureThatIsUsedStaysAndAnotherFileIsEverywhere() {
    designer.go("/pictures?picture=plots-in-june");
    designer.button("Put it away").click();
    assertThat(page().getByRole(AriaRole.ALERT)).containsText("is used in");
    designer.button("Where used").click();
    Locator used = designer.region("Where plots-in-june.svg is used");
    assertThat(used.locator("iframe")).not().hasCount(0);
    assertThat(used.getByRole(AriaRole.LINK).first())
        .hasAttribute("href", Pattern.compile("/sites/tern-valley/pages/.+\\?node=.+"));
    press("Escape");
    assertThat(used).hasCount(0);
    page()
        .getByLabel("Another file everywhere")
        .last()
        .setInputFiles(file("new plots.jpg", Photos.jpeg(2400, 1500)));
    assertThat(page().getByText("The new file is in")).isVisible();
    assertThat(detail("plots-in-june.jpg")).containsText("2400 × 1500 px, JPEG");
    assertThat(designer.button("Put the earlier file back")).isVisible();
  }

  @Test
  @Order(5)
  void onAPageThePictureSpeaksForItselfUnlessSomethingIsSaidThere() {
    show("/sites/tern-valley/pages/tv-home");
    String node = designer.frame(DESKTOP).locator("main img").first().getAttribute("data-node");
    show("/sites/tern-valley/pages/tv-home?node=" + node);
    designer.field("Picture").click();
    Locator sheet = page().getByRole(AriaRole.DIALOG);
    assertThat(sheet.getByText("ferry-at-dusk.svg")).hasCount(0);
    sheet.getByLabel("Find a picture").fill("compost");
    sheet.getByRole(AriaRole.LISTITEM).first().getByRole(AriaRole.BUTTON).click();
    sheet.getByLabel("Alternative text here").fill("");
    assertThat(sheet.getByLabel("Alternative text here"))
        .hasAttribute("placeholder", "Compost heaps behind the shed");
    designer.button("Use this picture").click();
    designer.awaitSaved();
    assertThat(designer.frame(DESKTOP).locator("main img").first())
        .hasAttribute("alt", "Compost heaps behind the shed");
    undo(1);
  }

  /**
   * A browser works with the width that a page says a picture has: {@code naturalWidth} of a
   * picture with widths in its {@code srcset} is that width (HTML Standard, 4.8.4.3.2). It is
   * compared with the width at which the same browser draws it.
   */
  @Test
  @Order(6)
  void visitorsGetTheFileThatFitsTheirScreen() {
    designer.go("/sites/tern-valley");
    designer.button("Publish Tern Valley Allotments").click();
    assertThat(designer.region("Publishing")).containsText("Published");
    Browser browser = page().context().browser();
    List<String> wrong = new ArrayList<>();
    int looked = 0;
    for (int width : List.of(320, 390, 639, 640, 834, 1023, 1024, 1280, 1500, 1920)) {
      try (BrowserContext context =
          browser.newContext(new Browser.NewContextOptions().setViewportSize(width, 900))) {
        for (Map<String, Object> one : drawn(context.newPage())) {
          looked++;
          double said = ((Number) one.get("said")).doubleValue();
          double box = ((Number) one.get("box")).doubleValue();
          if (Math.abs(said - box) > 1) {
            wrong.add(width + ": said " + said + ", drawn " + box);
          }
        }
      }
    }
    assertThat(wrong).isEmpty();
    assertThat(looked).isGreaterThanOrEqualTo(10);
    assertThat(fetched(browser, 390, 1)).isLessThan(fetched(browser, 390, 2));
    assertThat(fetched(browser, 390, 1)).isLessThanOrEqualTo(640);
    assertThat(fetched(browser, 1280, 2)).isGreaterThan(fetched(browser, 1280, 1));
  }

  @SuppressWarnings("unchecked")
  private static List<Map<String, Object>> drawn(Page visitor) {
    visitor.navigate(application.address() + "/hosted/tern-valley/");
    return (List<Map<String, Object>>)
        visitor.evaluate(
            """
            async () => {
              const pictures = [...document.querySelectorAll('img[srcset]')];
              await Promise.all(pictures.map(one => one.decode()));
              return pictures.map(one => ({
                said: one.naturalWidth,
                box: one.getBoundingClientRect().width,
                file: Number(/-(\\d+)\\.\\w+$/.exec(one.currentSrc)?.[1] ?? 2400),
              }));
            }
            """);
  }

  private static int fetched(Browser browser, int width, int pixels) {
    try (BrowserContext context =
        browser.newContext(
            new Browser.NewContextOptions()
                .setViewportSize(width, 900)
                .setDeviceScaleFactor(pixels))) {
      return ((Number) drawn(context.newPage()).get(0).get("file")).intValue();
    }
  }
}
