package goodbones.document;

import java.util.Collections;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/** What a document refers to in the finishes, by id: in its nodes and in its local changes. */
public record References(
    SortedSet<String> tokens, SortedSet<String> namedStyles, SortedSet<String> schemes) {
  public References {
    tokens = Collections.unmodifiableSortedSet(new TreeSet<>(tokens));
    namedStyles = Collections.unmodifiableSortedSet(new TreeSet<>(namedStyles));
    schemes = Collections.unmodifiableSortedSet(new TreeSet<>(schemes));
  }

  public static References of(Node root) {
    Collector collector = new Collector();
    root.walk(collector::node);
    return new References(collector.tokens, collector.namedStyles, collector.schemes);
  }

  private static final class Collector {
    private final SortedSet<String> tokens = new TreeSet<>();
    private final SortedSet<String> namedStyles = new TreeSet<>();
    private final SortedSet<String> schemes = new TreeSet<>();

    void node(Node node) {
      node.styles().values().forEach(this::value);
      node.content().values().forEach(this::content);
      namedStyles.addAll(node.namedStyles());
      node.scheme().ifPresent(schemes::add);
      node.placement().ifPresent(this::placement);
      node.options()
          .variants()
          .forEach(variant -> variant.layer().layer().changes().values().forEach(this::change));
    }

    private void placement(Placement placement) {
      placement.layer().changes().values().forEach(this::change);
      // What stood here before another piece was put in comes back as it was.
      placement.left().forEach(this::placement);
    }

    private void content(FieldValue content) {
      if (content instanceof FieldValue.Words words) {
        words.marks().stream()
            .filter(mark -> mark.type() == Mark.Type.COLOUR)
            .forEach(mark -> value(StyleValue.parse(mark.value())));
      }
    }

    private void value(StyleValue value) {
      value.refs().forEach(ref -> tokens.add(ref.tokenId()));
    }

    private void change(LocalValue value) {
      if (value instanceof LocalValue.StyleIs style) {
        style.value().ifPresent(this::value);
      } else if (value instanceof LocalValue.ContentIs is) {
        is.value().ifPresent(this::content);
      } else if (value instanceof LocalValue.NamedStylesAre named) {
        namedStyles.addAll(named.ids());
      } else if (value instanceof LocalValue.SchemeIs scheme) {
        scheme.scheme().ifPresent(schemes::add);
      } else if (value instanceof LocalValue.PlacedUnder placed) {
        Optional<Node> inserted = placed.inserted();
        inserted.ifPresent(root -> root.walk(this::node));
      }
    }
  }
}
