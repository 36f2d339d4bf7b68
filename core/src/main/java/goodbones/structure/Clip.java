package goodbones.structure;

import goodbones.document.FieldValue;
import goodbones.document.LocalValue;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.References;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.library.Placements;
import goodbones.style.NamedStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Things that were copied, with what another site needs to show them alike.
 *
 * @param nodes placements with their local changes
 * @param styles the settings of every named style in use, those of its bases included
 * @param names what these named styles are called
 * @param worths what every token in use was worth
 */
public record Clip(
    List<Node> nodes,
    Map<String, Map<StyleKey, StyleValue>> styles,
    Map<String, String> names,
    Map<String, String> worths) {
  public Clip {
    nodes = List.copyOf(nodes);
    styles = Map.copyOf(styles);
    // What was copied before has none.
    names = names == null ? Map.of() : Map.copyOf(names);
    worths = Map.copyOf(worths);
  }

  /** A clip of some nodes, columns in a row of their own where they are put elsewhere. */
  public static Clip of(Bench bench, List<NodeId> ids) {
    // A site that has none of a piece yet takes it as it was shown here.
    List<Node> nodes =
        bench.outermost(ids).stream()
            .map(bench::toTakeAway)
            .map(
                node ->
                    Placements.mapped(
                        node,
                        (path, placement) ->
                            placement.withBound(bench.showing().shownBy(placement))))
            .toList();
    Map<String, Map<StyleKey, StyleValue>> styles = new TreeMap<>();
    Map<String, String> names = new TreeMap<>();
    Map<String, String> worths = new TreeMap<>();
    for (Node node : nodes) {
      References used = References.of(node);
      for (String id : used.namedStyles()) {
        TreeMap<StyleKey, StyleValue> settings = new TreeMap<>();
        List<NamedStyle> line = bench.finishes().withBases(id);
        for (int i = line.size() - 1; i >= 0; i--) {
          settings.putAll(line.get(i).styles());
        }
        settings.values().stream()
            .flatMap(value -> value.refs().stream())
            .forEach(ref -> worths.put(ref.toString(), bench.finishes().worth(ref).css()));
        styles.put(id, settings);
        bench.finishes().namedStyle(id).ifPresent(style -> names.put(id, style.name()));
      }
      node.walk(inside -> values(inside).forEach(value -> note(value, bench, worths)));
    }
    return new Clip(nodes, styles, names, worths);
  }

  private static void note(StyleValue value, Bench bench, Map<String, String> worths) {
    value
        .refs()
        .forEach(
            ref -> {
              if (bench.finishes().token(ref.tokenId()).isPresent()) {
                worths.put(ref.toString(), bench.finishes().worth(ref).css());
              }
            });
  }

  private static List<StyleValue> values(Node node) {
    List<StyleValue> values = new ArrayList<>(node.styles().values());
    node.placement()
        .ifPresent(
            placement ->
                placement
                    .layer()
                    .changes()
                    .values()
                    .forEach(
                        value -> {
                          if (value instanceof LocalValue.StyleIs is) {
                            is.value().ifPresent(values::add);
                          } else if (value instanceof LocalValue.PlacedUnder under) {
                            under
                                .inserted()
                                .ifPresent(
                                    tree -> tree.walk(inside -> values.addAll(values(inside))));
                          }
                        }));
    if (node.content().get("words") instanceof FieldValue.Words words) {
      for (Mark mark : words.marks()) {
        if (mark.type() == Mark.Type.COLOUR) {
          values.add(StyleValue.parse(mark.value()));
        }
      }
    }
    return values;
  }

  /**
   * What comes of a clip at a site.
   *
   * @param nodes with new ids
   * @param gaveWay the named styles that are not known there
   */
  public record Settled(List<Node> nodes, List<GaveWay> gaveWay) {
    public Settled {
      nodes = List.copyOf(nodes);
      gaveWay = List.copyOf(gaveWay);
    }
  }

  /**
   * The nodes as they can stand at a site: every id new, every reference kept that the site knows.
   * A named style or a token that it does not know gives way to what it said; nothing comes along
   * that could not be made there by hand, for a clip may come from anywhere.
   */
  public Settled at(Bench bench, Sieve.Known known) {
    Sieve sieve = new Sieve(bench.finishes(), known);
    ClipSettling settling = new ClipSettling(this, bench);
    Copies copies = new Copies(bench.ids());
    List<Node> made = new ArrayList<>();
    for (Node node : nodes) {
      sieve.sifted(settling.settled(node)).map(copies::made).ifPresent(made::add);
    }
    return new Settled(made, settling.gaveWay(copies::moved));
  }
}
