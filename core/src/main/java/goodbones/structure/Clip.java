package goodbones.structure;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.References;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.library.Picks;
import goodbones.library.RevisionIndex;
import goodbones.library.UnknownPiece;
import goodbones.style.NamedStyle;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Predicate;

/**
 * Things that were copied, with what another site needs to show them alike.
 *
 * @param nodes placements with their local changes
 * @param styles the settings of every named style in use, those of its bases included
 * @param worths what every token in use was worth
 */
public record Clip(
    List<Node> nodes, Map<String, Map<StyleKey, StyleValue>> styles, Map<String, String> worths) {
  public Clip {
    nodes = List.copyOf(nodes);
    styles = Map.copyOf(styles);
    worths = Map.copyOf(worths);
  }

  /** A clip of some nodes, columns in a row of their own where they are put elsewhere. */
  public static Clip of(Bench bench, List<NodeId> ids) {
    List<Node> nodes = bench.outermost(ids).stream().map(bench::toTakeAway).toList();
    Map<String, Map<StyleKey, StyleValue>> styles = new TreeMap<>();
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
      }
      node.walk(inside -> values(inside).forEach(value -> note(value, bench, worths)));
    }
    return new Clip(nodes, styles, worths);
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
   * The nodes as they can stand at a site: every id new, every reference kept that the site knows.
   * A named style or a token that it does not know gives way to what it said; nothing comes along
   * that could not be made there by hand, for a clip may come from anywhere.
   */
  public List<Node> at(Bench bench, Sieve.Known known) {
    Sieve sieve = new Sieve(bench.finishes(), known);
    List<Node> settled = new ArrayList<>();
    for (Node node : nodes) {
      sieve
          .sifted(settled(node, bench))
          .map(kept -> Copies.of(kept, bench.ids()))
          .ifPresent(settled::add);
    }
    return settled;
  }

  private Node settled(Node node, Bench bench) {
    SiteFinishes here = bench.finishes();
    List<String> keep = new ArrayList<>();
    TreeMap<StyleKey, StyleValue> own = new TreeMap<>();
    for (String id : node.namedStyles()) {
      if (here.namedStyle(id).isPresent()) {
        keep.add(id);
      } else {
        styles.getOrDefault(id, Map.of()).forEach((key, value) -> own.put(key, value));
      }
    }
    own.keySet()
        .removeIf(
            key ->
                !Catalogue.hasStyle(node.kind(), key.property())
                    || !Catalogue.states(node.kind()).contains(key.state()));
    own.putAll(node.styles());
    own.replaceAll((key, value) -> known(value, here));
    Node placed = node.placement().map(p -> node.withPlacement(settled(p, bench))).orElse(node);
    Node settled =
        placed
            .withNamedStyles(keep)
            .withStyles(own)
            .withScheme(node.scheme().filter(id -> here.house().scheme(id).isPresent()))
            .withChildren(node.children().stream().map(child -> settled(child, bench)).toList());
    if (node.content().get("words") instanceof FieldValue.Words words) {
      settled =
          settled.withContent(
              "words",
              new FieldValue.Words(
                  words.text(), words.marks().stream().map(mark -> known(mark, here)).toList()));
    }
    return settled;
  }

  /** What is changed locally gives way in the same manner; what a placement sets itself stays. */
  private Placement settled(Placement placement, Bench bench) {
    SiteFinishes here = bench.finishes();
    Predicate<LocalKey> allowed = allowed(placement, bench);
    Map<LocalKey, LocalValue> changes = new TreeMap<>();
    placement
        .changes()
        .forEach(
            (key, value) -> {
              if (value instanceof LocalValue.NamedStylesAre named) {
                changes.put(
                    key,
                    new LocalValue.NamedStylesAre(
                        named.ids().stream()
                            .filter(id -> here.namedStyle(id).isPresent())
                            .toList()));
                for (String id : named.ids()) {
                  if (here.namedStyle(id).isEmpty()) {
                    spelledOut(id, key.node(), here)
                        .forEach(
                            (setting, said) -> {
                              if (allowed.test(setting)
                                  && !placement.changes().containsKey(setting)) {
                                changes.put(setting, said);
                              }
                            });
                  }
                }
              } else if (value instanceof LocalValue.StyleIs is) {
                changes.put(key, new LocalValue.StyleIs(is.value().map(v -> known(v, here))));
              } else if (value instanceof LocalValue.PlacedUnder under) {
                changes.put(
                    key,
                    new LocalValue.PlacedUnder(
                        under.parent(), under.inserted().map(tree -> settled(tree, bench))));
              } else {
                changes.put(key, value);
              }
            });
    return placement.withChanges(changes);
  }

  /** What the nodes that are placed can have; of a piece that is not here nothing is placed. */
  private static Predicate<LocalKey> allowed(Placement placement, Bench bench) {
    RevisionIndex shown;
    try {
      shown =
          bench
              .library()
              .expanded(
                  placement.pieceId(), bench.showing().shownBy(placement), Picks.of(placement))
              .index();
    } catch (UnknownPiece notHere) {
      return key -> false;
    }
    return key ->
        key.aspect() instanceof Aspect.Style style
            && shown
                .node(key.node())
                .filter(n -> Catalogue.hasStyle(n.kind(), style.key().property()))
                .filter(n -> Catalogue.states(n.kind()).contains(style.key().state()))
                .isPresent();
  }

  /** What a named style says, as settings of a node. */
  private Map<LocalKey, LocalValue> spelledOut(String style, NodeId node, SiteFinishes here) {
    Map<LocalKey, LocalValue> settings = new TreeMap<>();
    styles
        .getOrDefault(style, Map.of())
        .forEach(
            (key, value) ->
                settings.put(
                    new LocalKey(node, Aspect.style(key)),
                    new LocalValue.StyleIs(Optional.of(known(value, here)))));
    return settings;
  }

  private Mark known(Mark mark, SiteFinishes here) {
    return mark.type() == Mark.Type.COLOUR
        ? new Mark(
            mark.type(),
            mark.from(),
            mark.to(),
            known(StyleValue.parse(mark.value()), here).toString())
        : mark;
  }

  private StyleValue known(StyleValue value, SiteFinishes here) {
    boolean all = value.refs().stream().allMatch(ref -> here.token(ref.tokenId()).isPresent());
    if (all) {
      return value;
    }
    return value instanceof StyleValue.Composed composed
        ? StyleValue.literal(composed.filled(ref -> worths.getOrDefault(ref.toString(), "")))
        : StyleValue.literal(worths.getOrDefault(value.toString(), ""));
  }
}
