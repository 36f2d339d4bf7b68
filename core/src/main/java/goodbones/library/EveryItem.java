package goodbones.library;

import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.List;
import java.util.Optional;

/**
 * What is meant for every item of a list of the document's own is done to the pattern that they are
 * made from. What fills a slot is an item's own in any case, and so is the item as a whole.
 *
 * @param pattern the document in which the step is carried out
 * @param step aimed at the pattern
 */
record EveryItem(Node pattern, Edit step) {

  /**
   * @param step aimed at nodes in an item
   * @return empty if it is for the item alone
   */
  static Optional<EveryItem> of(Node document, Edit step) {
    List<NodeId> ids = step.nodes();
    if (ids.isEmpty() || !ids.stream().allMatch(NodeId::isInside)) {
      return Optional.empty();
    }
    List<Node> lists =
        ids.stream()
            .map(NodeId::outer)
            .flatMap(id -> document.find(id).stream())
            .filter(node -> node.kind() == Kind.ITEM)
            .flatMap(item -> document.parentOf(item.id()).stream())
            .toList();
    boolean one = lists.size() == ids.size() && lists.stream().distinct().count() == 1;
    if (!one) {
      return Optional.empty();
    }
    Node pattern = lists.get(0).children().get(0).children().get(0);
    Edit there = step.mapped(NodeId::inner);
    boolean has = ids.stream().allMatch(id -> pattern.find(id.inner().outer()).isPresent());
    return has && !isOfOne(pattern, there)
        ? Optional.of(new EveryItem(pattern, there))
        : Optional.empty();
  }

  private static boolean isOfOne(Node pattern, Edit step) {
    if (step instanceof Edit.SetContent content) {
      return pattern
          .find(content.node())
          .map(node -> node.slots().contains(content.field()))
          .orElse(true);
    }
    boolean whole = step instanceof Edit.Remove || step instanceof Edit.Move;
    return whole && step.nodes().get(0).equals(pattern.id())
        || step instanceof Edit.SetLocal
        || step instanceof Edit.Switch;
  }
}
