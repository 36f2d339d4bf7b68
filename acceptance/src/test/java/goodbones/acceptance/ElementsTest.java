package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.ExtendWith;

/** Elements that are neither words nor pictures of the client's: icons, and the marks of lists. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@ExtendWith(StepByStep.class)
class ElementsTest extends WithDesigner {

  private static Locator field() {
    return page().getByLabel("Icon", new Page.GetByLabelOptions().setExact(true));
  }

  private static Locator sheet() {
    return page().getByRole(AriaRole.DIALOG);
  }

  private static Locator icon(String name) {
    return sheet()
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  @Test
  @Order(1)
  void anIconIsChosenByItsNameAndTakesTheSizeOfTextAroundIt() {
    designer.go("/sites/tern-valley");
    designer.button("New page").click();
    designer.field("Title of the new page").fill("Signs");
    press("Enter");
    assertThat(designer.heading("Signs")).isVisible();
    add("icon", "Icon");
    field().click();
    sheet().getByLabel("Name of an icon").fill("anch");
    icon("Anchor").click();
    assertThat(sheet()).hasCount(0);
    designer.awaitSaved();
    for (String frame : FRAMES) {
      assertThat(designer.frame(frame).locator(".own > .icon path")).hasCount(2);
      assertThat(designer.frame(frame).locator(".own > .icon svg"))
          .hasAttribute("aria-hidden", "true");
    }
    designer.set("Icon size", "40px");
    designer.awaitSaved();
    assertThat(designer.frame(DESKTOP).locator(".own > .icon svg")).hasCSS("width", "40px");
    assertThat(designer.frame(DESKTOP).locator(".own > .icon")).hasCSS("height", "40px");
  }

  @Test
  @Order(2)
  void aSolidOneIsChosenByKeysAlone() {
    field().focus();
    press("Enter");
    assertThat(sheet().getByLabel("Name of an icon")).isFocused();
    press("Tab", "ArrowRight");
    assertThat(sheet().getByRole(AriaRole.STATUS)).containsText(" of ");
    assertThat(icon("Anchor")).hasCount(0);
    press("Shift+Tab");
    page().keyboard().type("star");
    press("Tab", "Tab", "Enter");
    assertThat(sheet()).hasCount(0);
    designer.awaitSaved();
    assertThat(field()).containsText("Star");
    assertThat(field()).containsText("solid");
    assertThat(designer.frame(DESKTOP).locator(".own > .icon svg"))
        .hasAttribute("fill", "currentColor");
    press("Control+z");
    designer.awaitSaved();
    assertThat(field()).containsText("Anchor");
  }

  /** The browser reads every path to its end: SVG 2, 9.5.4, what is wrong ends a path early. */
  @Test
  @Order(3)
  void everyIconThatShipsIsDrawn() {
    Object wrong =
        page()
            .evaluate(
                """
                async () => {
                  const icons = await (await fetch('/api/icons')).json();
                  const svg = document.body.appendChild(
                    document.createElementNS('http://www.w3.org/2000/svg', 'svg'));
                  const wrong = [];
                  for (const { name, outline, solid } of icons)
                    for (const d of [...outline, ...solid]) {
                      const path = svg.appendChild(
                        document.createElementNS('http://www.w3.org/2000/svg', 'path'));
                      path.setAttribute('d', d);
                      const { x, y, width, height } = path.getBBox();
                      if (path.getTotalLength() === 0 || x < 0 || y < 0 || x + width > 24 || y + height > 24)
                        wrong.push(name);
                    }
                  svg.remove();
                  return wrong;
                }
                """);
    assertThat((List<?>) wrong).isEmpty();
  }

  @Test
  @Order(4)
  void aListTakesItsMarksFromASetting() {
    add("text", "Text");
    press("Enter");
    page().keyboard().type("Spade");
    press("Enter");
    page().keyboard().type("Fork");
    press("Control+a");
    page()
        .getByRole(AriaRole.TOOLBAR, new Page.GetByRoleOptions().setName("Words"))
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("List").setExact(true))
        .click();
    press("Control+Enter");
    designer.awaitSaved();
    designer.set("List marks", "check");
    designer.awaitSaved();
    for (String frame : FRAMES) {
      assertThat(designer.frame(frame).locator("main li")).hasCount(2);
      assertThat(designer.frame(frame).locator("main li").first())
          .hasCSS("list-style-type", "\"✓ \"");
    }
    Frame desktop = designer.content(DESKTOP);
    assertThat(desktop.locator("main ul").count()).isEqualTo(1);
  }
}
