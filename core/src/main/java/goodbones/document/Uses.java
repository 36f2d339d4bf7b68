package goodbones.document;

import java.util.Collections;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * The pictures and pieces that a document uses, in its nodes and in its local changes.
 *
 * @param files pictures and other files that it links to
 */
public record Uses(SortedSet<String> pictures, SortedSet<String> files, SortedSet<String> pieces) {
  /** How a link to a picture or another file begins; its id follows. */
  public static final String FILE = "file:";

  public Uses {
    pictures = Collections.unmodifiableSortedSet(new TreeSet<>(pictures));
    files = Collections.unmodifiableSortedSet(new TreeSet<>(files));
    pieces = Collections.unmodifiableSortedSet(new TreeSet<>(pieces));
  }

  public static Uses of(Node root) {
    Collector collector = new Collector();
    root.walk(collector::node);
    return new Uses(collector.pictures, collector.files, collector.pieces);
  }

  private static final class Collector {
    private final SortedSet<String> pictures = new TreeSet<>();
    private final SortedSet<String> files = new TreeSet<>();
    private final SortedSet<String> pieces = new TreeSet<>();

    void node(Node node) {
      node.content().values().forEach(this::content);
      node.options().variants().forEach(variant -> placement(variant.layer()));
      node.placement()
          .ifPresent(
              placement -> {
                if (node.kind() == Kind.PLACEMENT) {
                  pieces.add(placement.pieceId());
                }
                placement(placement);
              });
    }

    private void placement(Placement placement) {
      // What stood here before another piece was put in keeps its pictures, and is not placed.
      placement.left().forEach(this::left);
      for (LocalChange change : placement.changes().values()) {
        LocalValue value = change.value();
        if (value instanceof LocalValue.ContentIs is) {
          is.value().ifPresent(this::content);
        } else if (value instanceof LocalValue.PlacedUnder placed) {
          placed.inserted().ifPresent(tree -> tree.walk(this::node));
        }
      }
    }

    private void left(Placement before) {
      Collector apart = new Collector();
      apart.placement(before);
      pictures.addAll(apart.pictures);
      files.addAll(apart.files);
    }

    private void content(FieldValue value) {
      if (value instanceof FieldValue.Picture picture) {
        if (!PageShown.isPicture(picture.pictureId())) {
          pictures.add(picture.pictureId());
        }
      } else if (value instanceof FieldValue.Link link) {
        link(link.target());
      } else if (value instanceof FieldValue.Words words) {
        words.marks().stream()
            .filter(mark -> mark.type() == Mark.Type.LINK)
            .forEach(mark -> link(mark.value()));
      }
    }

    private void link(String target) {
      if (target.startsWith(FILE)) {
        files.add(target.substring(FILE.length()));
      }
    }
  }
}
