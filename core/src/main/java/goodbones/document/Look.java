package goodbones.document;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;

/**
 * How an element is styled, apart from what it says: its own style values and its named styles.
 * Taken from one element, it can be laid on others, of other kinds too.
 */
public record Look(SortedMap<StyleKey, StyleValue> styles, List<String> namedStyles) {
  public Look {
    styles = Sorted.map(styles);
    namedStyles = List.copyOf(namedStyles);
  }

  /** The look of a node as shown. Column widths belong to a row's structure and are left out. */
  public static Look of(Node node) {
    SortedMap<StyleKey, StyleValue> styles = new java.util.TreeMap<>(node.styles());
    styles.keySet().removeIf(key -> key.property() == StyleProperty.COLUMNS);
    return new Look(styles, node.namedStyles());
  }

  /**
   * The edits that give a node this look, as far as its kind can have it; what it set itself and
   * this look does not is taken away.
   */
  public Edit on(Node node) {
    List<Edit> edits = new ArrayList<>();
    if (!node.namedStyles().equals(namedStyles)) {
      edits.add(new Edit.SetNamedStyles(node.id(), namedStyles));
    }
    Look before = of(node);
    for (StyleKey key : before.styles().keySet()) {
      if (!styles.containsKey(key)) {
        edits.add(new Edit.SetStyle(node.id(), key, Optional.empty()));
      }
    }
    styles.forEach(
        (key, value) -> {
          if (fits(node.kind(), key) && !value.equals(before.styles().get(key))) {
            edits.add(new Edit.SetStyle(node.id(), key, Optional.of(value)));
          }
        });
    return new Edit.Group(edits);
  }

  private static boolean fits(Kind kind, StyleKey key) {
    return Catalogue.hasStyle(kind, key.property()) && Catalogue.states(kind).contains(key.state());
  }
}
