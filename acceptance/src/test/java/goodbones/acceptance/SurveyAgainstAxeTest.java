package goodbones.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * The survey's findings against those of axe-core on the same pages, drawn by Chromium 1280 px
 * wide. What differs, and why:
 *
 * <ul>
 *   <li>Contrast: the survey looks at all three widths and at every state, axe-core at what it
 *       sees; so the survey may say more, and says then where. Over pictures neither says anything.
 *   <li>Target size: WCAG lets a low button pass if nothing stands near it; the survey does not.
 *   <li>Alternative text: for axe-core an empty one is decoration; the survey wants that said.
 *   <li>Headings: axe-core looks from one heading to the next, as the survey does.
 * </ul>
 */
class SurveyAgainstAxeTest extends WithDesigner {
  private static final Path AXE = Path.of("../web/node_modules/axe-core/axe.min.js");

  /** A page on which headings skip levels, words are faint, and buttons are low. */
  private static final String FAULTY =
      """
      async () => {
        const token = () => document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1];
        const page = 'qc-turret';
        const edit = async (edit) => {
          const now = await (await fetch(`/api/pages/${page}/workbench`)).json();
          const answer = await fetch(`/api/pages/${page}/edits`, {
            method: 'POST',
            headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token() },
            body: JSON.stringify({ version: now.version, edit }),
          });
          if (!answer.ok) throw new Error(await answer.text());
          return (await answer.json()).made?.[0];
        };
        const set = (node, property, value) => edit({ type: 'SETTINGS', settings: [
          { node, property, device: 'desktop', state: 'normal', value }] });
        const section = await edit({ type: 'ADD', node: page, kind: 'section', value: '' });
        await set(section, 'background-color', '#ffffff');
        await set(section, 'row-gap', '0px');
        for (const [level, colour] of [['5', '#777777'], ['3', '#000000'], ['6', '#999999']]) {
          const heading = await edit({ type: 'ADD', node: section, kind: 'heading', value: '' });
          await edit({ type: 'FIELD', node: heading, field: 'words', value: 'A heading' });
          await edit({ type: 'FIELD', node: heading, field: 'level', value: level });
          await set(heading, 'color', colour);
          await set(heading, 'font-size', '16px');
          await set(heading, 'font-weight', '400');
        }
        for (const size of ['9px', '18px']) {
          const button = await edit({ type: 'ADD', node: section, kind: 'button', value: '' });
          await edit({ type: 'FIELD', node: button, field: 'words', value: 'Book' });
          await edit({ type: 'FIELD', node: button, field: 'link', value: size === '9px' ? 'role:home' : '/prices' });
          await set(button, 'font-size', size);
          await set(button, 'line-height', '1.2');
          for (const side of ['padding-top', 'padding-bottom']) await set(button, side, '0px');
        }
      }
      """;

  private static final String FOUND_BY_AXE =
      """
      async () => {
        const rules = ['heading-order', 'color-contrast', 'target-size', 'image-alt'];
        const { violations } = await axe.run('main', {
          runOnly: { type: 'rule', values: rules },
          rules: Object.fromEntries(rules.map(rule => [rule, { enabled: true }])),
        });
        return violations.flatMap(({ id, nodes }) => nodes.map(({ target }) =>
          id + ' ' + document.querySelector(target[0]).closest('[data-node]').dataset.node));
      }
      """;

  /** The survey's rules by axe-core's. */
  private static final Map<String, String> SAME =
      Map.of(
          "heading-order", "heading-order",
          "contrast", "color-contrast",
          "target-size", "target-size");

  private record Said(String finding, String message) {}

  @SuppressWarnings("unchecked")
  private static List<Said> surveyed(String page) {
    List<Said> said = new ArrayList<>();
    Object found =
        page()
            .evaluate(
                "async id => (await (await fetch(`/api/pages/${id}/survey`)).json())"
                    + ".flatMap(r => r.findings.filter(f => f.document === id)"
                    + ".map(f => [r.word, f.node, f.message]))",
                page);
    for (List<String> one : (List<List<String>>) found) {
      if (SAME.containsKey(one.get(0))) {
        said.add(new Said(SAME.get(one.get(0)) + " " + one.get(1), one.get(2)));
      }
    }
    return said;
  }

  @SuppressWarnings("unchecked")
  private static Set<String> byAxe(String page, String axe) {
    designer.go("/api/pages/" + page + "/frame");
    page().evaluate(axe);
    return new HashSet<>((List<String>) page().evaluate(FOUND_BY_AXE));
  }

  @Test
  @SuppressWarnings("unchecked")
  void whatAxeFindsIsFoundAndWhatMoreIsFoundIsExplained() throws IOException {
    String axe = Files.readString(AXE, StandardCharsets.UTF_8);
    designer.go("/sites");
    page().evaluate(FAULTY);
    List<String> pages =
        (List<String>)
            page()
                .evaluate(
                    "async () => (await Promise.all((await (await fetch('/api/sites')).json()).map("
                        + "async s => (await (await fetch(`/api/sites/${s.id}`)).json()).pages)))"
                        + ".flat().map(p => p.id)");
    assertThat(pages).hasSizeGreaterThan(18);
    Set<String> seen = new HashSet<>();
    for (String page : pages) {
      List<Said> survey = surveyed(page);
      Set<String> ours = new HashSet<>();
      survey.forEach(one -> ours.add(one.finding()));
      Set<String> theirs = byAxe(page, axe);
      theirs.forEach(one -> seen.add(one.split(" ")[0]));
      assertThat(ours).as("axe-core found on %s", page).containsAll(theirs);
      for (Said more : survey) {
        if (!theirs.contains(more.finding())) {
          assertThat(more.message())
              .as("only the survey found %s on %s", more.finding(), page)
              .containsAnyOf("in the state", "on a phone", "on a tablet", "px high");
        }
      }
      designer.go("/sites");
    }
    assertThat(seen).containsExactlyInAnyOrder("heading-order", "color-contrast", "target-size");
  }
}
