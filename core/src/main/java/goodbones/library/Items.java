package goodbones.library;

import goodbones.document.Aspect;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Predicate;

/** Items that a placement adds to the lists of what it places. */
public final class Items {
  private Items() {}

  /**
   * What a new item of a list has to say to look like one that is shown.
   *
   * @param pieceId the piece that is placed, at its revision, with what is chosen about it
   * @param list the list's path in that
   * @param fresh the path of the new item in that
   * @param member the item that is shown, as a member around what it shows
   * @param lifting out of the tree in which the shown one stands
   * @return its changes and orders, as seen from inside the item; empty if there is no such list,
   *     or its pattern is empty
   */
  public static Optional<Placement> like(
      Library library,
      String pieceId,
      int number,
      Picks picks,
      NodeId list,
      NodeId fresh,
      Node member,
      Lifting lifting) {
    Map<LocalKey, LocalValue> chosen = shown(member);
    Function<Predicate<Aspect>, Optional<RevisionIndex>> pattern =
        wanted -> {
          TreeMap<LocalKey, LocalValue> all = new TreeMap<>(picks.said());
          all.put(
              new LocalKey(list, Aspect.ITEMS),
              new LocalValue.ItemsAre(List.of(fresh.own()), Set.of(fresh.own())));
          chosen.forEach(
              (key, value) -> {
                if (wanted.test(key.aspect())) {
                  all.put(new LocalKey(key.node().within(fresh), key.aspect()), value);
                }
              });
          return library
              .expanded(pieceId, number, new Picks(all))
              .index()
              .node(fresh)
              .map(item -> item.children().get(0).mapIds(id -> id.from(fresh)))
              .map(RevisionIndex::new);
        };
    return pattern
        .apply(aspect -> true)
        .map(
            full ->
                lifting.item(
                    member,
                    full,
                    pattern.apply(aspect -> aspect instanceof Aspect.VariantShown).orElse(full),
                    pattern.apply(aspect -> false).orElse(full),
                    chosen));
  }

  /** What an item says itself, as local changes of one at another path. */
  public static Map<LocalKey, LocalValue> content(Node item, NodeId path) {
    Map<LocalKey, LocalValue> content = new TreeMap<>();
    item.content()
        .forEach(
            (field, value) ->
                content.put(
                    new LocalKey(path, Aspect.content(field)),
                    new LocalValue.ContentIs(Optional.of(value))));
    return content;
  }

  /** What is chosen about what a member shows, by the paths inside it. */
  static Map<LocalKey, LocalValue> shown(Node member) {
    Map<LocalKey, LocalValue> picks = new TreeMap<>();
    member.walk(
        node -> {
          if (!node.id().isIn(member.id())) {
            return;
          }
          NodeId inside = node.id().from(member.id());
          if (!node.options().variants().isEmpty()) {
            picks.put(
                new LocalKey(inside, Aspect.VARIANT),
                new LocalValue.VariantIs(node.options().variant()));
          }
          if (node.isList()) {
            List<NodeId> ids = LocalValue.ItemsAre.of(node).ids();
            picks.put(
                new LocalKey(inside, Aspect.ITEMS),
                new LocalValue.ItemsAre(ids, new TreeSet<>(ids)));
          }
        });
    return picks;
  }
}
