package goodbones.document;

import java.util.Collections;
import java.util.SortedSet;
import java.util.TreeSet;

/** The pictures and pieces that a document uses, in its nodes and in its local changes. */
public record Uses(SortedSet<String> pictures, SortedSet<String> pieces) {
  public Uses {
    pictures = Collections.unmodifiableSortedSet(new TreeSet<>(pictures));
    pieces = Collections.unmodifiableSortedSet(new TreeSet<>(pieces));
  }

  public static Uses of(Node root) {
    SortedSet<String> pictures = new TreeSet<>();
    SortedSet<String> pieces = new TreeSet<>();
    root.walk(node -> collect(node, pictures, pieces));
    return new Uses(pictures, pieces);
  }

  private static void collect(Node node, SortedSet<String> pictures, SortedSet<String> pieces) {
    node.content().values().forEach(value -> collect(value, pictures));
    node.options().variants().forEach(variant -> collect(variant.layer(), pictures, pieces));
    node.placement()
        .ifPresent(
            placement -> {
              if (node.kind() == Kind.PLACEMENT) {
                pieces.add(placement.pieceId());
              }
              collect(placement, pictures, pieces);
            });
  }

  private static void collect(
      Placement placement, SortedSet<String> pictures, SortedSet<String> pieces) {
    // What stood here before another piece was put in keeps its pictures, and is not placed.
    placement.left().forEach(before -> collect(before, pictures, new TreeSet<>()));
    for (LocalValue value : placement.changes().values()) {
      if (value instanceof LocalValue.ContentIs is) {
        is.value().ifPresent(content -> collect(content, pictures));
      } else if (value instanceof LocalValue.PlacedUnder placed) {
        placed.inserted().ifPresent(tree -> tree.walk(inside -> collect(inside, pictures, pieces)));
      }
    }
  }

  private static void collect(FieldValue value, SortedSet<String> pictures) {
    if (value instanceof FieldValue.Picture picture && !PageShown.isPicture(picture.pictureId())) {
      pictures.add(picture.pictureId());
    }
  }
}
