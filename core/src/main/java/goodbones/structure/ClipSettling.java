package goodbones.structure;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.FieldValue;
import goodbones.document.LocalChange;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.library.RevisionIndex;
import goodbones.library.Translation;
import goodbones.library.UnknownPiece;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * Puts what a site does not know in the clip's own words: a named style or a token gives way to
 * what it said.
 */
final class ClipSettling {
  private final Clip clip;
  private final Bench bench;
  private final SiteFinishes here;
  private final List<GaveWay> gaveWay = new ArrayList<>();

  ClipSettling(Clip clip, Bench bench) {
    this.clip = clip;
    this.bench = bench;
    this.here = bench.finishes();
  }

  /**
   * The named styles that are not known here.
   *
   * @param address from a path in the clip to one in its copy
   */
  List<GaveWay> gaveWay(UnaryOperator<NodeId> address) {
    return gaveWay.stream()
        .map(each -> new GaveWay(address.apply(each.node()), each.name(), each.settings()))
        .toList();
  }

  Node settled(Node node) {
    return settled(node, UnaryOperator.identity());
  }

  /**
   * @param path from a node's id to its path
   */
  private Node settled(Node node, UnaryOperator<NodeId> path) {
    List<String> keep = new ArrayList<>();
    TreeMap<StyleKey, StyleValue> own = new TreeMap<>();
    for (String id : node.namedStyles()) {
      if (here.namedStyle(id).isPresent()) {
        keep.add(id);
      } else {
        TreeMap<StyleKey, StyleValue> said =
            new TreeMap<>(clip.styles().getOrDefault(id, Map.of()));
        said.keySet().removeIf(key -> !canHave(node, key));
        own.putAll(said);
        said.keySet().removeAll(node.styles().keySet());
        note(path.apply(node.id()), id, said.keySet());
      }
    }
    own.putAll(node.styles());
    own.replaceAll((key, value) -> known(value));
    Node placed =
        node.placement()
            .map(p -> node.withPlacement(settled(p, path.apply(node.id()))))
            .orElse(node);
    Node settled =
        placed
            .withNamedStyles(keep)
            .withStyles(own)
            .withScheme(node.scheme().filter(id -> here.house().scheme(id).isPresent()))
            .withChildren(node.children().stream().map(child -> settled(child, path)).toList());
    if (node.content().get("words") instanceof FieldValue.Words words) {
      settled =
          settled.withContent(
              "words", words.withMarks(words.marks().stream().map(this::known).toList()));
    }
    return settled;
  }

  private void note(NodeId node, String style, Iterable<StyleKey> settings) {
    List<StyleKey> keys = new ArrayList<>();
    settings.forEach(keys::add);
    gaveWay.add(new GaveWay(node, clip.names().getOrDefault(style, style), keys));
  }

  private static boolean canHave(Node node, StyleKey key) {
    return Catalogue.hasStyle(node.kind(), key.property())
        && Catalogue.states(node.kind()).contains(key.state());
  }

  /** What is changed locally gives way in the same manner; what a placement sets itself stays. */
  private Placement settled(Placement placement, NodeId around) {
    Predicate<LocalKey> allowed = allowed(placement);
    Map<LocalKey, LocalChange> changes = new TreeMap<>();
    placement
        .changes()
        .forEach(
            (key, change) -> {
              LocalValue value = change.value();
              if (value instanceof LocalValue.NamedStylesAre named) {
                changes.put(
                    key, change.withValue(new LocalValue.NamedStylesAre(known(named.ids()))));
                for (String id : named.ids()) {
                  if (here.namedStyle(id).isEmpty()) {
                    Map<LocalKey, LocalValue> said = spelledOut(id, key.node());
                    said.keySet()
                        .removeIf(k -> !allowed.test(k) || placement.changes().containsKey(k));
                    said.forEach((k, setting) -> changes.put(k, change.withValue(setting)));
                    note(key.node().within(around), id, keys(said));
                  }
                }
              } else if (value instanceof LocalValue.StyleIs is) {
                changes.put(
                    key, change.withValue(new LocalValue.StyleIs(is.value().map(this::known))));
              } else if (value instanceof LocalValue.PlacedUnder under) {
                changes.put(
                    key,
                    change.withValue(
                        new LocalValue.PlacedUnder(
                            under.parent(),
                            under
                                .inserted()
                                .map(tree -> settled(tree, inside -> inside.within(around))))));
              } else {
                changes.put(key, change);
              }
            });
    return placement.withChanges(changes);
  }

  private List<String> known(List<String> namedStyles) {
    return namedStyles.stream().filter(id -> here.namedStyle(id).isPresent()).toList();
  }

  private static List<StyleKey> keys(Map<LocalKey, LocalValue> settings) {
    return settings.keySet().stream().map(key -> ((Aspect.Style) key.aspect()).key()).toList();
  }

  /** What the nodes that are placed can have; of a piece that is not here nothing is placed. */
  private Predicate<LocalKey> allowed(Placement placement) {
    RevisionIndex shown;
    try {
      int revision = bench.showing().shownBy(placement);
      shown = Translation.of(bench.library(), placement, revision).target();
    } catch (UnknownPiece notHere) {
      return key -> false;
    }
    return key ->
        key.aspect() instanceof Aspect.Style style
            && shown.node(key.node()).filter(node -> canHave(node, style.key())).isPresent();
  }

  /** What a named style says, as settings of a node. */
  private Map<LocalKey, LocalValue> spelledOut(String style, NodeId node) {
    Map<LocalKey, LocalValue> settings = new TreeMap<>();
    clip.styles()
        .getOrDefault(style, Map.of())
        .forEach(
            (key, value) ->
                settings.put(
                    new LocalKey(node, Aspect.style(key)),
                    new LocalValue.StyleIs(Optional.of(known(value)))));
    return settings;
  }

  private Mark known(Mark mark) {
    return mark.type() == Mark.Type.COLOUR
        ? new Mark(
            mark.type(), mark.from(), mark.to(), known(StyleValue.parse(mark.value())).toString())
        : mark;
  }

  private StyleValue known(StyleValue value) {
    boolean all = value.refs().stream().allMatch(ref -> here.token(ref.tokenId()).isPresent());
    if (all) {
      return value;
    }
    return value instanceof StyleValue.Composed composed
        ? StyleValue.literal(composed.filled(ref -> clip.worths().getOrDefault(ref.toString(), "")))
        : StyleValue.literal(clip.worths().getOrDefault(value.toString(), ""));
  }
}
