package goodbones.library;

import java.util.List;
import java.util.Locale;
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
