package goodbones.server.pictures;

import goodbones.server.problems.BadInput;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Counts how many elements are drawn once every reference of an SVG file is followed. Ten elements
 * that use ten, eight levels deep, are a hundred million.
 */
final class SvgReferences {
  /** An element, how many stand in it, and the ids to which it and they refer. */
  private static final class Part {
    private long elements = 1;
    private final List<String> targets = new ArrayList<>();
  }

  private final String fileName;
  private final Part whole = new Part();
  private final Deque<List<Part>> open = new ArrayDeque<>();
  private final Map<String, Part> byId = new HashMap<>();
  private final Map<String, Long> known = new HashMap<>();

  SvgReferences(String fileName) {
    this.fileName = fileName;
  }

  /** An element begins; it counts for itself and for everything with an id around it. */
  void open(Map<String, String> attributes, String href) {
    List<Part> around = new ArrayList<>(open.isEmpty() ? List.of(whole) : open.peek());
    String id = attributes.getOrDefault("id", "");
    around.forEach(part -> part.elements++);
    if (!id.isEmpty() && !byId.containsKey(id)) {
      Part part = new Part();
      byId.put(id, part);
      around.add(part);
    }
    List<String> targets = new ArrayList<>();
    if (!SvgAllowed.idOf(href).isEmpty()) {
      targets.add(SvgAllowed.idOf(href));
    }
    attributes.values().stream()
        .map(SvgAllowed::target)
        .filter(target -> !target.isEmpty())
        .forEach(targets::add);
    around.forEach(part -> part.targets.addAll(targets));
    open.push(around);
  }

  void close() {
    open.pop();
  }

  /**
   * @throws BadInput if too much would be drawn, or something refers to itself
   */
  void require() {
    if (drawn(whole, new HashSet<>()) > PictureLimits.SVG_DRAWN) {
      throw new BadInput(
          "file",
          "“"
              + fileName
              + "” uses its parts so often that more than "
              + PictureLimits.SVG_DRAWN
              + " elements would be drawn; export it without symbols, or as a PNG");
    }
  }

  private long drawn(Part part, Set<String> path) {
    long sum = part.elements;
    for (String target : part.targets) {
      sum = Math.min(PictureLimits.SVG_DRAWN + 1, sum + drawn(target, path));
    }
    return sum;
  }

  private long drawn(String id, Set<String> path) {
    Part part = byId.get(id);
    if (part == null) {
      return 0;
    }
    Long before = known.get(id);
    if (before != null) {
      return before;
    }
    if (!path.add(id) || path.size() > PictureLimits.SVG_DEPTH) {
      throw new BadInput(
          "file",
          "“"
              + fileName
              + "” has a part “"
              + id
              + "” that is drawn inside itself, or through too many others; export it without"
              + " symbols");
    }
    long drawn = drawn(part, path);
    path.remove(id);
    known.put(id, drawn);
    return drawn;
  }
}
