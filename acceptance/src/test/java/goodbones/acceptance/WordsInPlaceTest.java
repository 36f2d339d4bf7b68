package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Dialog;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Words edited where they stand, with what they can be marked with, as a person does it. */
class WordsInPlaceTest extends WithDesigner {
  private static final String TEXT = "sf-words-t";
  private static final String HEADING = "sf-words-h";
  private int written;

  @BeforeEach
  void aTextInHand() {
    written = 0;
    show(FERRIES_PAGE + "?node=" + TEXT);
  }

  @AfterEach
  void undone() {
    undo(written);
    assertThat(shown(DESKTOP)).containsText("Maud Tillery");
  }

  private static Locator shown(String frame, String node) {
    return designer.frame(frame).locator("[data-node='" + node + "']");
  }

  private static Locator shown(String frame) {
    return shown(frame, TEXT);
  }

  private static Locator tools() {
    return page().getByRole(AriaRole.TOOLBAR, new Page.GetByRoleOptions().setName("Words"));
  }

  private static Locator tool(String name) {
    return tools().getByLabel(name, new Locator.GetByLabelOptions().setExact(true));
  }

  private static void begin() {
    press("Enter");
    assertThat(tools()).isVisible();
  }

  private static void begin(String words) {
    begin();
    page().keyboard().type(words);
  }

  private void keep() {
    press("Control+Enter");
    assertThat(tools()).hasCount(0);
    designer.awaitSaved();
    written++;
  }

  /** Chooses some of the words that are being edited; with {@code ""} the caret goes to the end. */
  private static void choose(String words) {
    designer
        .content(DESKTOP)
        .evaluate(
            """
            words => {
              const edited = document.querySelector('[contenteditable=true]');
              const range = document.createRange();
              const at = edited.textContent.indexOf(words);
              const texts = document.createTreeWalker(edited, NodeFilter.SHOW_TEXT);
              const place = (offset, inNext) => {
                texts.currentNode = edited;
                for (let before = 0, text; (text = texts.nextNode()); before += text.length) {
                  const end = before + text.length;
                  if (offset < end || (offset === end && !inNext)) return [text, offset - before];
                }
                return [texts.currentNode, texts.currentNode.length];
              };
              const whole = edited.textContent.length;
              range.setStart(...place(words === '' ? whole : at, true));
              range.setEnd(...place(words === '' ? whole : at + words.length, false));
              getSelection().removeAllRanges();
              getSelection().addRange(range);
            }
            """,
            words);
  }

  private static void paint(String token, String words) {
    choose(words);
    tool("Colour of the chosen words").click();
    tool(token).click();
  }

  private static String colourOf(String frame, String words) {
    Locator painted =
        shown(frame).locator("[data-colour]", new Locator.LocatorOptions().setHasText(words));
    return (String) painted.first().evaluate("e => getComputedStyle(e).color");
  }

  /** What is marked how, without the classes of the colours. */
  private static String marked(String frame) {
    return ((String) shown(frame).evaluate("e => e.innerHTML"))
        .replaceAll(" class=\"\\w+\"", "")
        .replaceAll("data-colour=\"\\{t-(\\w+)}\"", "$1");
  }

  private static void assertMarked(String html) {
    for (String frame : FRAMES) {
      assertThat(marked(frame)).as(frame).isEqualTo(html);
    }
  }

  @Test
  void wordsAreMadeBoldAndItalicByKeysAndByTheTools() {
    begin("Bring gloves and a fork");
    choose("Bring");
    press("Control+b");
    choose("gloves");
    tool("Italic (Ctrl I)").click();
    choose("fork");
    tool("Bold (Ctrl B)").click();
    keep();
    assertMarked("<strong>Bring</strong> <em>gloves</em> and a <strong>fork</strong>");
    begin();
    choose("Bring");
    press("Control+b");
    keep();
    assertMarked("Bring <em>gloves</em> and a <strong>fork</strong>");
  }

  @Test
  void aLinkInWordsOpensInANewTabWhereThatIsSaid() {
    begin("Ask at the gate");
    choose("the gate");
    press("Control+k");
    designer.field("In a new tab").check();
    leadTo("https://gate.example");
    keep();
    assertMarked(
        "Ask at <a href=\"https://gate.example\" target=\"_blank\" rel=\"noopener\">the gate</a>");
    begin();
    choose("the gate");
    press("Control+k");
    assertThat(designer.field("In a new tab")).isChecked();
    leadTo("https://yard.example");
    keep();
    assertMarked(
        "Ask at <a href=\"https://yard.example\" target=\"_blank\" rel=\"noopener\">the gate</a>");
    begin();
    choose("gate");
    press("Control+k");
    designer.field("In a new tab").uncheck();
    press("Escape");
    keep();
    assertMarked("Ask at <a href=\"https://yard.example\">the gate</a>");
  }

  private void leadTo(String address) {
    designer.field("Where the link goes").fill(address);
    press("Enter");
    assertThat(designer.field("Where the link goes")).hasCount(0);
  }

  @Test
  void linesAreCounted() {
    begin("Dig it over");
    choose("Dig");
    tool("Numbered list").click();
    keep();
    assertMarked("<ol><li>Dig it over</li></ol>");
    begin();
    choose("Dig");
    tool("List").click();
    keep();
    assertMarked("<ul><li>Dig it over</li></ul>");
  }

  @Test
  void wordsLeadSomewhereElsewhereAndNowhereAgain() {
    begin("Ask at the gate");
    choose("the gate");
    press("Control+k");
    List<Route> onTheirWay = new ArrayList<>();
    page().route("**/targets?*", onTheirWay::add);
    designer.field("Where the link goes").fill("/timetable");
    press("Enter");
    page().waitForCondition(() -> !onTheirWay.isEmpty());
    page().unroute("**/targets?*");
    onTheirWay.forEach(Route::resume);
    assertThat(designer.field("Where the link goes")).hasCount(0);
    keep();
    assertMarked("Ask at <a href=\"page:sf-timetable\">the gate</a>");
    begin();
    choose("ga");
    tool("Link (Ctrl K)").click();
    assertThat(designer.field("Where the link goes")).hasValue("Timetable");
    designer.field("Where the link goes").fill("no page of that name");
    assertThat(page().getByText("Nothing is called that")).isVisible();
    press("Escape");
    choose("the gate");
    tool("Link (Ctrl K)").click();
    tools().getByText("Take away").click();
    keep();
    assertMarked("Ask at the gate");
  }

  @Test
  void aLinkOrAColourWithoutWordsAsksForThem() {
    begin();
    choose("");
    tool("Link (Ctrl K)").click();
    assertThat(tools().getByRole(AriaRole.ALERT)).containsText("Choose the words first");
    tool("Colour of the chosen words").click();
    assertThat(tools().getByRole(AriaRole.ALERT)).containsText("are to have the colour");
    press("Escape");
    assertThat(tools()).hasCount(0);
  }

  @Test
  void aWordHasAColourOfTheClientAndLosesItAgain() {
    begin("Two boats, one crossing");
    paint("color.accent", "Two boats");
    BoundingBox bar = tools().boundingBox();
    BoundingBox words = shown(DESKTOP).boundingBox();
    assertThat(bar.y + bar.height).isLessThan(words.y);
    paint("color.text", "boats");
    keep();
    assertMarked("<span accent>Two </span><span text>boats</span>, one crossing");
    String accent = colourOf(PHONE, "Two");
    assertThat(accent).isEqualTo("rgb(226, 161, 58)");
    assertThat(colourOf(DESKTOP, "boats")).isNotEqualTo(accent);
    begin();
    choose("boats");
    press("Control+i");
    choose("Two boats");
    tool("Colour of the chosen words").click();
    tools().getByText("as the other words").click();
    keep();
    assertMarked("Two <em>boats</em>, one crossing");
  }

  @Test
  void theToolsAreWholeAlsoOverWordsAtTheRightEdgeAndAtTheTop() {
    for (String node : List.of("sf-route-t3", "sf-opening/ob-label")) {
      show(FERRIES_PAGE + "?node=" + node);
      begin();
      tool("Link (Ctrl K)").click();
      BoundingBox bar = tools().boundingBox();
      BoundingBox frame = page().locator("[data-surface=desktop]").boundingBox();
      assertThat(bar.x).isGreaterThanOrEqualTo(frame.x);
      assertThat(bar.x + bar.width).isLessThanOrEqualTo(frame.x + frame.width);
      assertThat(bar.y).isGreaterThanOrEqualTo(frame.y);
      press("Escape");
      assertThat(designer.field("Where the link goes")).hasCount(0);
      page().keyboard().type("Lost");
      assertThat(shown(DESKTOP, node)).hasText("Lost");
      press("Escape");
      assertThat(tools()).hasCount(0);
      assertThat(shown(DESKTOP, node)).not().hasText("Lost");
    }
  }

  @Test
  void linesBecomeAListAndTheListGrows() {
    begin("gloves");
    press("Shift+Enter");
    page().keyboard().type("a fork");
    keep();
    assertMarked("gloves<br>a fork");
    begin();
    tool("List").click();
    choose("");
    press("Enter");
    page().keyboard().type("a rake");
    keep();
    assertMarked("<ul><li>gloves</li><li>a fork</li><li>a rake</li></ul>");
    begin();
    tool("List").click();
    keep();
    assertMarked("gloves<br>a fork<br>a rake");
  }

  @Test
  void aHeadingIsBrokenWhereOneWants() {
    show(FERRIES_PAGE + "?node=" + HEADING);
    begin("The best half hour");
    choose("The best");
    press("ArrowRight");
    tool("Line break (Shift Enter)").click();
    keep();
    for (String frame : FRAMES) {
      assertThat(shown(frame, HEADING).locator("br")).hasCount(1);
    }
    assertThat(shown(DESKTOP, HEADING)).containsText("half hour");
  }

  @Test
  void whatIsPastedIsCleanedAndStandsWhereTheCaretWas() {
    begin("Before and after");
    choose("and");
    designer
        .content(DESKTOP)
        .evaluate(
            """
            () => {
              const data = new DataTransfer();
              data.setData('text/html', `<meta charset="utf-8"><style>b{color:red}</style>
                <p style="font:12px Foo" class="Some"><b>bold</b> <font color="red">words</font>
                <a href="https://example.org/" onclick="x()">elsewhere</a></p>`);
              data.setData('text/plain', 'bold words elsewhere');
              document.activeElement.dispatchEvent(
                new ClipboardEvent('paste', {clipboardData: data, bubbles: true, cancelable: true}));
            }
            """);
    assertThat(shown(DESKTOP)).containsText("Before bold words elsewhere after");
    keep();
    assertMarked(
        "Before <strong>bold</strong> words <a href=\"https://example.org/\">elsewhere</a> after");
  }

  @Test
  void thePageAsksBeforeItIsLoadedAnewWhileWordsAreNotKept() {
    List<String> asked = new ArrayList<>();
    Consumer<Dialog> stay =
        dialog -> {
          asked.add(dialog.type());
          dialog.dismiss();
        };
    page().onDialog(stay);
    begin("Not kept yet");
    page().evaluate("() => void setTimeout(() => location.reload())");
    page().waitForCondition(() -> asked.equals(List.of("beforeunload")));
    assertThat(shown(DESKTOP)).hasText("Not kept yet");
    keep();
    page().reload();
    awaitDrawn();
    page().offDialog(stay);
    assertThat(asked).hasSize(1);
    assertThat(shown(DESKTOP)).hasText("Not kept yet");
  }

  @Test
  void whatIsLeftAsItWasIsNoEdit() {
    Locator undo =
        page()
            .getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Undo")));
    String before = undo.innerText();
    begin();
    press("Control+Enter");
    assertThat(tools()).hasCount(0);
    begin("Something else");
    press("Escape");
    assertThat(tools()).hasCount(0);
    assertThat(undo).hasText(before);
    for (String frame : List.of(DESKTOP, PHONE)) {
      assertThat(shown(frame)).containsText("Maud Tillery");
    }
  }
}
