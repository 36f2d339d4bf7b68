package goodbones.library;

import goodbones.document.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeSet;

/**
 * What is said of a piece besides what it shows.
 *
 * @param tags in order, each once; one is at most {@value #TAG_LIMIT} characters long
 * @param notes for those who use it; may be empty
 * @param siteId the one client that it belongs to; empty if it is for all
 */
public record Described(
    String name, PieceKind kind, Purpose purpose, List<String> tags, String notes, String siteId) {
  public static final int NAME_LIMIT = 80;
  public static final int TAG_LIMIT = 30;
  public static final int TAGS_LIMIT = 20;
  public static final int NOTES_LIMIT = 1000;

  public Described {
    name = name.strip();
    notes = notes.strip();
    TreeSet<String> each = new TreeSet<>();
    for (String tag : tags) {
      String plain = tag.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
      if (!plain.isEmpty()) {
        each.add(plain);
      }
    }
    tags = List.copyOf(each);
  }

  /** For all clients, with no tags and no notes. */
  public static Described of(String name, PieceKind kind, Purpose purpose) {
    return new Described(name, kind, purpose, List.of(), "", "");
  }

  /** What is wrong with it, in which of its parts; and how to mend it. */
  public record Fault(String part, String message) {}

  /**
   * Everything that is wrong with it for a piece.
   *
   * @param root the kind of the piece's outermost node
   * @return empty if all is well
   */
  public List<Fault> faults(Kind root) {
    List<Fault> faults = new ArrayList<>();
    if (name.isEmpty()) {
      faults.add(new Fault("name", "Give the piece a name"));
    }
    tooLong("name", "The name has ", name, NAME_LIMIT).ifPresent(faults::add);
    tooLong("notes", "The notes have ", notes, NOTES_LIMIT).ifPresent(faults::add);
    if (tags.size() > TAGS_LIMIT || tags.stream().anyMatch(tag -> tag.length() > TAG_LIMIT)) {
      faults.add(
          new Fault(
              "tags",
              "A piece has at most "
                  + TAGS_LIMIT
                  + " tags of at most "
                  + TAG_LIMIT
                  + " characters each"));
    }
    if (!kind.mayBe(root)) {
      faults.add(
          new Fault(
              "kind",
              "A "
                  + kind.title().toLowerCase(Locale.ROOT)
                  + " is a section across the page, and this is a "
                  + root.word()
                  + ": call it a saved block"));
    }
    return faults;
  }

  private static Optional<Fault> tooLong(String part, String begins, String said, int limit) {
    return said.length() <= limit
        ? Optional.empty()
        : Optional.of(
            new Fault(part, begins + said.length() + " characters; at most " + limit + " fit"));
  }

  /**
   * Whether the piece may stand in what belongs to a client: what is for all may stand everywhere,
   * what is one client's at that client alone.
   *
   * @param owner the client's id; empty for what is for all clients
   */
  public boolean mayStandIn(String owner) {
    return siteId.isEmpty() || siteId.equals(owner);
  }

  public Described withNotes(String other) {
    return new Described(name, kind, purpose, tags, other, siteId);
  }

  public Described withTags(List<String> others) {
    return new Described(name, kind, purpose, others, notes, siteId);
  }

  public Described withSiteId(String only) {
    return new Described(name, kind, purpose, tags, notes, only);
  }
}
