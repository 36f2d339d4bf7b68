package goodbones.acceptance;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** Prints how long something took, again and again. */
final class Timed {
  private static final String FETCHED =
      """
      async (path) => {
        const begun = performance.now();
        const answer = await fetch(path);
        const text = await answer.text();
        if (!answer.ok) throw new Error(path + ': ' + text);
        return [performance.now() - begun, text.length];
      }
      """;

  private Timed() {}

  /** How long the server takes to answer, as the browser sees it. */
  static void answer(String path, Page page, int rounds) {
    List<Double> times = new ArrayList<>();
    double length = 0;
    for (int i = 0; i < rounds; i++) {
      List<?> answer = (List<?>) page.evaluate(FETCHED, path);
      times.add(((Number) answer.get(0)).doubleValue());
      length = ((Number) answer.get(1)).doubleValue();
    }
    print(path + " (" + Math.round(length / 1024) + " KB)", times);
  }

  /**
   * @param times in ms, the first one told apart
   */
  static void print(String what, List<Double> times) {
    List<Double> later = new ArrayList<>(times.subList(1, times.size()));
    Collections.sort(later);
    System.out.printf(
        "%-60s first %6.0f ms, median %6.0f ms, slowest %6.0f ms%n",
        what, times.get(0), later.get(later.size() / 2), later.get(later.size() - 1));
  }
}
