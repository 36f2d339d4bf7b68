package goodbones.document;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * How the columns of a row share its width, as a value that is written {@code 8 1+3}, {@code 56%
 * 33%} or {@code equal 2}.
 *
 * <p>A share belongs to a column by its place in the document; where there are more columns than
 * shares, the shares begin again. A twelfth is (W - 11 gaps)/12 of a row W wide, so that a column
 * of n twelfths is n(W + gap)/12 - gap wide and n offset twelfths push it by n(W + gap)/12.
 */
public sealed interface Columns {
  /** A row is divided into so many parts (common practice). */
  int TWELFTHS = 12;

  /** More than this in one line is seldom readable (common practice). */
  int READABLE = 6;

  /**
   * Columns of equal width.
   *
   * @param perLine how many stand in a line before they wrap; 0 for all of them
   */
  record Equal(int perLine) implements Columns {
    @Override
    public String toString() {
      return perLine == 0 ? "equal" : "equal " + perLine;
    }
  }

  /**
   * Columns measured in twelfths.
   *
   * @param shares one for each column; whole numbers wrap where twelve are used up, others must fit
   *     in one line
   */
  record Twelfths(List<Share> shares) implements Columns {
    public Twelfths {
      shares = List.copyOf(shares);
    }

    boolean whole() {
      return shares.stream().allMatch(Share::whole);
    }

    @Override
    public String toString() {
      return shares.stream().map(Share::toString).collect(Collectors.joining(" "));
    }
  }

  /**
   * Columns in per cent of the row's width less its gaps.
   *
   * @param shares one for each column, at most 100 together
   */
  record Percent(List<Double> shares) implements Columns {
    public Percent {
      shares = List.copyOf(shares);
    }

    @Override
    public String toString() {
      return shares.stream().map(p -> number(p) + "%").collect(Collectors.joining(" "));
    }
  }

  /**
   * @param offset twelfths left free before the column
   * @param width twelfths that it takes
   * @param after twelfths left free after it; only needed to send the next column to another line
   */
  record Share(double offset, double width, double after) {
    public Share(double offset, double width) {
      this(offset, width, 0);
    }

    boolean whole() {
      return offset == Math.rint(offset) && width == Math.rint(width) && after == Math.rint(after);
    }

    /** All that it takes, in twelfths. */
    public double taken() {
      return offset + width + after;
    }

    @Override
    public String toString() {
      return (offset == 0 && after == 0 ? "" : number(offset) + "+")
          + number(width)
          + (after == 0 ? "" : "+" + number(after));
    }
  }

  /** One column as it stands in the row's grid; lines and tracks count from 0. */
  record Cell(int column, int line, int track, int span) {}

  /** How wide a track is. */
  sealed interface Track {}

  /** An equal part of what is there. */
  record Part() implements Track {}

  /** So many twelfths, with the gaps between them. */
  record OfTwelve(double twelfths) implements Track {}

  /** A share of the width that is left without the gaps. */
  record OfHundred(double percent) implements Track {}

  /**
   * The tracks of a row and where its columns stand on them.
   *
   * @param placed whether the cells must be said; otherwise filling line by line leads to them
   */
  record Grid(List<Track> tracks, List<Cell> cells, boolean placed) {
    public Grid {
      tracks = List.copyOf(tracks);
      cells = List.copyOf(cells);
    }

    public int lines() {
      return cells.stream().mapToInt(cell -> cell.line() + 1).max().orElse(0);
    }
  }

  Columns EQUAL = new Equal(0);

  Pattern SHARE =
      Pattern.compile(
          "(?:(\\d{1,2}(?:\\.\\d{1,2})?)\\+)?(\\d{1,2}(?:\\.\\d{1,2})?)"
              + "(?:\\+(\\d{1,2}(?:\\.\\d{1,2})?))?");
  Pattern PERCENT = Pattern.compile("(\\d{1,3}(?:\\.\\d{1,2})?)%");
  Pattern EQUALLY = Pattern.compile("equal(?: ([1-9]|1[0-2]))?");

  /** Reads the written form; empty if it is none. */
  static Optional<Columns> read(String text) {
    Matcher equally = EQUALLY.matcher(text);
    if (equally.matches()) {
      return Optional.of(
          new Equal(equally.group(1) == null ? 0 : Integer.parseInt(equally.group(1))));
    }
    List<String> parts = List.of(text.split(" ", -1));
    if (parts.size() > TWELFTHS) {
      return Optional.empty();
    }
    return text.endsWith("%") ? percent(parts) : twelfths(parts);
  }

  private static Optional<Columns> percent(List<String> parts) {
    List<Double> shares = new ArrayList<>();
    for (String part : parts) {
      Matcher matcher = PERCENT.matcher(part);
      if (!matcher.matches()) {
        return Optional.empty();
      }
      shares.add(Double.parseDouble(matcher.group(1)));
    }
    double sum = shares.stream().mapToDouble(Double::doubleValue).sum();
    return sum <= 100.001 && shares.stream().allMatch(p -> p > 0)
        ? Optional.of(new Percent(shares))
        : Optional.empty();
  }

  private static Optional<Columns> twelfths(List<String> parts) {
    List<Share> shares = new ArrayList<>();
    double sum = 0;
    for (String part : parts) {
      Matcher matcher = SHARE.matcher(part);
      if (!matcher.matches()) {
        return Optional.empty();
      }
      double offset = matcher.group(1) == null ? 0 : Double.parseDouble(matcher.group(1));
      double after = matcher.group(3) == null ? 0 : Double.parseDouble(matcher.group(3));
      Share share = new Share(offset, Double.parseDouble(matcher.group(2)), after);
      if (share.width() <= 0 || share.taken() > TWELFTHS) {
        return Optional.empty();
      }
      sum += share.taken();
      shares.add(share);
    }
    Twelfths read = new Twelfths(shares);
    return read.whole() || sum <= TWELFTHS + 0.001 ? Optional.of(read) : Optional.empty();
  }

  /**
   * @throws IllegalArgumentException if the text is no such value
   */
  static Columns parse(String text) {
    return read(text)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "“" + text + "” does not say column widths: give " + ValueType.SPANS.form()));
  }

  /** The share of a column by its place in the document, in twelfths, as near as they say it. */
  default Share share(int column, int count) {
    if (this instanceof Twelfths twelfths) {
      return twelfths.shares().get(column % twelfths.shares().size());
    } else if (this instanceof Percent percent) {
      return new Share(0, percent.shares().get(column % percent.shares().size()) * TWELFTHS / 100);
    }
    int perLine = ((Equal) this).perLine();
    return new Share(0, (double) TWELFTHS / (perLine == 0 ? Math.max(1, count) : perLine));
  }

  /**
   * The grid of a row.
   *
   * @param shown the columns that are shown, by their place in the document, in the order in which
   *     they stand
   */
  default Grid grid(List<Integer> shown) {
    if (this instanceof Equal equal) {
      int tracks = equal.perLine() == 0 ? Math.max(1, shown.size()) : equal.perLine();
      return equalTracks(tracks, shown);
    } else if (this instanceof Percent percent) {
      int tracks = Math.max(1, Math.min(shown.size(), percent.shares().size()));
      List<Track> list = new ArrayList<>();
      for (int i = 0; i < tracks; i++) {
        int column = i < shown.size() ? shown.get(i) : i;
        list.add(new OfHundred(percent.shares().get(column % percent.shares().size())));
      }
      return new Grid(list, lineByLine(tracks, shown), false);
    }
    Twelfths twelfths = (Twelfths) this;
    return twelfths.whole() ? wholeTwelfths(twelfths, shown) : partTwelfths(twelfths, shown);
  }

  private static Grid equalTracks(int tracks, List<Integer> shown) {
    List<Track> list = IntStream.range(0, tracks).<Track>mapToObj(i -> new Part()).toList();
    return new Grid(list, lineByLine(tracks, shown), false);
  }

  private static List<Cell> lineByLine(int tracks, List<Integer> shown) {
    List<Cell> cells = new ArrayList<>();
    for (int i = 0; i < shown.size(); i++) {
      cells.add(new Cell(shown.get(i), i / tracks, i % tracks, 1));
    }
    return cells;
  }

  /** Columns wrap where twelve are used up; common divisors are taken out of the tracks. */
  private static Grid wholeTwelfths(Twelfths twelfths, List<Integer> shown) {
    int divisor = TWELFTHS;
    boolean offsets = false;
    for (Share share : twelfths.shares()) {
      divisor = gcd(divisor, gcd((int) share.offset(), (int) share.width()));
      divisor = gcd(divisor, (int) share.after());
      offsets |= share.taken() > share.width();
    }
    List<Cell> cells = new ArrayList<>();
    int line = 0;
    int used = 0;
    for (int column : shown) {
      Share share = twelfths.shares().get(column % twelfths.shares().size());
      int needed = (int) share.taken();
      if (used > 0 && used + needed > TWELFTHS) {
        line++;
        used = 0;
      }
      int start = used + (int) share.offset();
      cells.add(new Cell(column, line, start / divisor, (int) share.width() / divisor));
      used += needed;
    }
    List<Track> tracks =
        IntStream.range(0, TWELFTHS / divisor).<Track>mapToObj(i -> new Part()).toList();
    return new Grid(tracks, cells, offsets);
  }

  /** Widths that are no whole twelfths have tracks of their own, an offset too. */
  private static Grid partTwelfths(Twelfths twelfths, List<Integer> shown) {
    List<Track> tracks = new ArrayList<>();
    List<Integer> places = new ArrayList<>();
    int size = twelfths.shares().size();
    for (int i = 0; i < Math.min(size, shown.size()); i++) {
      Share share = twelfths.shares().get(shown.get(i) % size);
      if (share.offset() > 0) {
        tracks.add(new OfTwelve(share.offset()));
      }
      places.add(tracks.size());
      tracks.add(new OfTwelve(share.width()));
      if (share.after() > 0) {
        tracks.add(new OfTwelve(share.after()));
      }
    }
    List<Cell> cells = new ArrayList<>();
    for (int i = 0; i < shown.size(); i++) {
      cells.add(new Cell(shown.get(i), i / size, places.get(i % size), 1));
    }
    return new Grid(tracks, cells, true);
  }

  private static int gcd(int a, int b) {
    return b == 0 ? a : gcd(b, a % b);
  }

  private static String number(double value) {
    return value == Math.rint(value)
        ? String.valueOf((int) value)
        : String.format(Locale.ROOT, "%.2f", value).replaceAll("0+$", "");
  }
}
