package goodbones.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * Outside check: what the ladder says a style is worth is what Chromium computes in the frame of
 * that width, for every node of both clients' pages at all three widths.
 */
class ComputedStylesTest {
  private static final List<String> FRAMES =
      List.of("Desktop, 1280 px wide", "Tablet, 834 px wide", "Phone, 390 px wide");
  private static final List<String> DEVICES = List.of("desktop", "tablet", "phone");

  /** Properties whose computed value in CSS has the form of the stored one, once normalised. */
  private static final List<String> COMPARED =
      List.of(
          "font-size",
          "font-weight",
          "letter-spacing",
          "text-transform",
          "text-align",
          "color",
          "background-color",
          "padding-top",
          "padding-right",
          "padding-bottom",
          "padding-left",
          "margin-bottom",
          "row-gap",
          "column-gap",
          "max-width",
          "border-top-width",
          "border-top-left-radius");

  /** Normalises by letting the browser compute the same value on an element of its own. */
  private static final String COMPARE =
      """
      ([node, wanted]) => {
        const element = document.querySelector(`[data-node="${node}"]`);
        const probe = element.cloneNode(false);
        probe.removeAttribute('data-node');
        element.after(probe);
        const wrong = [];
        for (const [name, css] of Object.entries(wanted)) {
          probe.style.setProperty(name, css);
          const browser = getComputedStyle(element).getPropertyValue(name);
          const ladder = getComputedStyle(probe).getPropertyValue(name);
          if (browser !== ladder) wrong.push(`${node} ${name}: ${browser}, not ${ladder}`);
          probe.style.removeProperty(name);
        }
        probe.remove();
        return wrong;
      }
      """;

  @Test
  @SuppressWarnings("unchecked")
  void theLadderSaysWhatTheBrowserComputes() throws IOException {
    List<String> wrong = new ArrayList<>();
    int compared = 0;
    try (Application application = Application.start();
        Designer designer = new Designer(application.address())) {
      designer.signIn();
      for (String[] page :
          new String[][] {{"saltmarsh-ferries", "sf-home"}, {"oakum-rope-museum", "om-home"}}) {
        designer.go("/sites/" + page[0] + "/pages/" + page[1]);
        for (int i = 0; i < FRAMES.size(); i++) {
          designer.frame(FRAMES.get(i)).locator("h1").waitFor();
          Map<String, Map<String, String>> ladders = ladders(designer, page[1], DEVICES.get(i));
          for (Map.Entry<String, Map<String, String>> entry : ladders.entrySet()) {
            compared += entry.getValue().size();
            wrong.addAll(
                (List<String>)
                    designer
                        .content(FRAMES.get(i))
                        .evaluate(COMPARE, List.of(entry.getKey(), entry.getValue())));
          }
        }
      }
    }
    assertThat(wrong).isEmpty();
    assertThat(compared).isGreaterThan(1000);
  }

  /** For every node but the page, what the ladder says each compared property is worth. */
  @SuppressWarnings("unchecked")
  private static Map<String, Map<String, String>> ladders(
      Designer designer, String page, String device) {
    return (Map<String, Map<String, String>>)
        designer
            .page()
            .evaluate(
                """
                async ([page, device, compared]) => {
                  const get = async (path) => (await fetch(path)).json();
                  const bench = await get(`/api/pages/${page}/workbench`);
                  const all = {};
                  for (const node of bench.blocks.flatMap((block) => block.nodes)) {
                    const id = encodeURIComponent(node.id);
                    const ladder = await get(
                      `/api/pages/${page}/ladder?node=${id}&device=${device}`);
                    all[node.id] = {};
                    for (const style of ladder.styles) {
                      const name = style.property === 'border-radius'
                        ? 'border-top-left-radius' : style.property;
                      if (compared.includes(name)) all[node.id][name] = style.css;
                    }
                  }
                  return all;
                }
                """,
                List.of(page, device, COMPARED));
  }
}
