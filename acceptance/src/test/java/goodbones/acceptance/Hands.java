package goodbones.acceptance;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import java.util.Locale;
import java.util.function.Supplier;

/**
 * A person’s hands on mouse and keyboard; what they do is counted, and timed by the keystroke-level
 * model (Card, Moran and Newell, “The keystroke-level model for user performance time with
 * interactive systems”, Communications of the ACM 23(7), 1980), its times from memory: 0.2 s for a
 * key or button of an average typist, 1.1 s to point, 0.4 s for a hand to go from one device to the
 * other, 1.35 s to think before each act. What the application takes to answer is not in it.
 */
final class Hands {
  private static final double KEY = 0.2;
  private static final double POINT = 1.1;
  private static final double HOME = 0.4;
  private static final double THINK = 1.35;

  private final Supplier<Page> page;
  private int acts;
  private int letters;
  private double seconds;
  private boolean onKeys;

  Hands(Supplier<Page> page) {
    this.page = page;
  }

  private void act(boolean keys, double taking) {
    acts++;
    seconds += THINK + (keys == onKeys ? 0 : HOME) + taking;
    onKeys = keys;
  }

  void click(Locator where) {
    where.click();
    act(false, POINT + KEY);
  }

  /** Clicks at something drawn on a canvas, which is not clicked itself. */
  void clickAt(Locator drawn) {
    drawn.scrollIntoViewIfNeeded();
    BoundingBox box = drawn.boundingBox();
    page.get().mouse().click(box.x + Math.min(20, box.width / 2), box.y + box.height / 2);
    act(false, POINT + KEY);
  }

  /** Clicks into a field and writes; what stood there is replaced. */
  void write(Locator field, String text) {
    click(field);
    if (!field.inputValue().isEmpty()) {
      press("Control+a");
    }
    type(text);
  }

  /** Writes where the caret is. */
  void type(String text) {
    page.get().keyboard().type(text);
    act(true, KEY * text.length());
    letters += text.length();
  }

  /** One key, or several held together. */
  void press(String key) {
    page.get().keyboard().press(key);
    act(true, KEY * key.split("\\+").length);
  }

  /** Opens a list of choices and takes one. */
  void choose(Locator list, String option) {
    list.selectOption(new SelectOption().setLabel(option));
    act(false, 2 * (POINT + KEY));
  }

  /** Chooses files, which stand together in the folder that is offered. */
  void bringIn(Locator field, FilePayload... files) {
    field.setInputFiles(files);
    act(false, POINT + KEY + (POINT + KEY) * files.length + POINT + KEY);
  }

  /** How much was done, in words. */
  String sum() {
    return String.format(
        Locale.ROOT, "%d acts, %d letters in them, %.0f minutes", acts, letters, seconds / 60);
  }
}
