package goodbones.document;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What the author of a piece wants in a slot, for whoever fills it. It forbids nothing.
 *
 * @param from the fewest characters of words; 0 for any
 * @param to the most characters of words; 0 for any
 * @param ratio of a picture, such as {@code 3 / 2}; empty for any
 * @param purpose what it is for, in words; may be empty
 */
public record SlotWant(int from, int to, String ratio, String purpose) {
  /** Anything may stand there. */
  public static final SlotWant NOTHING = new SlotWant(0, 0, "", "");

  public static final int PURPOSE_LIMIT = 120;

  /** Longer words are a page of their own. */
  public static final int LENGTH_LIMIT = 5000;

  private static final Pattern RATIO =
      Pattern.compile("(\\d{1,4}(?:\\.\\d+)?) ?/ ?(\\d{1,4}(?:\\.\\d+)?)");

  private static final double SAME_RATIO = 0.05;

  public SlotWant {
    ratio = ratio.strip();
    purpose = purpose.strip();
  }

  /** Whether nothing is wanted. */
  public boolean isNothing() {
    return from == 0 && to == 0 && ratio.isEmpty() && purpose.isEmpty();
  }

  /** What makes no sense about it, and how to mend it; empty if it does. */
  public Optional<String> fault() {
    if (from < 0 || to < 0 || from > LENGTH_LIMIT || to > LENGTH_LIMIT) {
      return Optional.of("A length is 0 to " + LENGTH_LIMIT + " characters; 0 asks for none");
    }
    if (to > 0 && from > to) {
      return Optional.of("From " + from + " to " + to + " is no length: the first is the fewest");
    }
    if (!ratio.isEmpty() && number(ratio).isEmpty()) {
      return Optional.of("“" + ratio + "” is no ratio: give width / height, such as 3 / 2");
    }
    return purpose.length() > PURPOSE_LIMIT
        ? Optional.of("What it is for has at most " + PURPOSE_LIMIT + " characters")
        : Optional.empty();
  }

  private static Optional<Double> number(String ratio) {
    Matcher matcher = RATIO.matcher(ratio);
    if (!matcher.matches()) {
      return Optional.empty();
    }
    double height = Double.parseDouble(matcher.group(2));
    return height == 0
        ? Optional.empty()
        : Optional.of(Double.parseDouble(matcher.group(1)) / height);
  }

  /** How words miss the length wanted; empty if they do not. */
  public Optional<String> missedBy(String words) {
    int length = words.strip().length();
    if (length > 0 && to > 0 && length > to) {
      return Optional.of(length + " characters; the piece wants at most " + to);
    }
    if (length > 0 && length < from) {
      return Optional.of(
          length
              + (length == 1 ? " character" : " characters")
              + "; the piece wants at least "
              + from);
    }
    return Optional.empty();
  }

  /** Whether a picture of that ratio is none that is wanted. */
  public boolean isMissedBy(double pictureRatio) {
    return number(ratio)
        .filter(wanted -> Math.abs(pictureRatio - wanted) > SAME_RATIO * wanted)
        .isPresent();
  }
}
