package goodbones.document;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * The icons that there are ({@code /goodbones/icons}): those of an open set, and marks for kinds of
 * services that are drawn for this application.
 */
public final class Icons {
  /** Icons are drawn on a square of this many units. */
  public static final int SIDE = 24;

  /** The width of an outline's stroke, in the same units. */
  public static final int STROKE = 2;

  private static final SortedMap<String, Icon> ALL = read();

  /**
   * @param name what it goes by, in small letters
   * @param outline the path data (SVG 2, 9.3) of its strokes
   * @param solid the path data of what is filled; empty if it has no solid form
   * @param service whether it is the mark for a kind of service
   */
  public record Icon(String name, List<String> outline, List<String> solid, boolean service) {
    /** Whether it is drawn solid: if that is wanted and there is such a form. */
    public boolean isSolid(boolean wantsSolid) {
      return wantsSolid && !solid.isEmpty();
    }

    /** The form that is wanted, or the outline where there is no other. */
    public List<String> paths(boolean wantsSolid) {
      return isSolid(wantsSolid) ? solid : outline;
    }
  }

  private Icons() {}

  /** All of them, by name. */
  public static Collection<Icon> all() {
    return ALL.values();
  }

  public static Optional<Icon> named(String name) {
    return Optional.ofNullable(ALL.get(name));
  }

  private static SortedMap<String, Icon> read() {
    SortedMap<String, Icon> icons = new TreeMap<>();
    read("icons.txt", false, icons);
    read("marks.txt", true, icons);
    return Collections.unmodifiableSortedMap(icons);
  }

  private static void read(String file, boolean service, Map<String, Icon> icons) {
    try (InputStream in = Icons.class.getResourceAsStream("/goodbones/icons/" + file);
        BufferedReader lines =
            new BufferedReader(
                new InputStreamReader(Objects.requireNonNull(in), StandardCharsets.UTF_8))) {
      lines
          .lines()
          .filter(line -> !line.startsWith("#"))
          .map(line -> line.split("\\|", -1))
          .forEach(
              parts ->
                  icons.put(
                      parts[0], new Icon(parts[0], paths(parts[1]), paths(parts[2]), service)));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static List<String> paths(String said) {
    return said.isEmpty() ? List.of() : List.of(said.split(";"));
  }
}
