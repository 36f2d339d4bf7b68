package goodbones.library;

import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.LocalChange;
import goodbones.document.LocalKey;
import goodbones.document.LocalOrder;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Local changes as they are to be stored: made on the revision that is shown unless they were made
 * before, and in the place of what is stored for the same key as another revision has it.
 */
final class LocalSteps {
  private final Showing showing;
  private final Library library;

  LocalSteps(Showing showing, Library library) {
    this.showing = showing;
    this.library = library;
  }

  /** The steps that carry a step out on what is stored. */
  List<Edit> stored(Node document, Edit step) {
    if (step instanceof Edit.SetLocal e) {
      return placement(document, e.placement()).map(p -> change(p, e)).orElse(List.of(e));
    } else if (step instanceof Edit.SetOrder e) {
      return placement(document, e.placement()).map(p -> order(p, e)).orElse(List.of(e));
    }
    return List.of(step);
  }

  private static Optional<Placement> placement(Node document, NodeId id) {
    return document.find(id).filter(node -> node.kind() == Kind.PLACEMENT).flatMap(Node::placement);
  }

  private List<Edit> change(Placement placement, Edit.SetLocal e) {
    int shown = showing.shownBy(placement);
    int made = e.madeOn() == 0 ? shown : e.madeOn();
    Translation translation = Translation.of(library, placement, shown);
    Optional<LocalKey> same = translation.stored(translation.key(e.key(), made));
    List<Edit> steps = new ArrayList<>();
    if (same.isPresent() && (e.value().isEmpty() || !same.get().equals(e.key()))) {
      LocalChange stands = placement.changes().get(same.get());
      steps.add(
          new Edit.SetLocal(
              e.placement(), same.get(), Optional.empty(), stands.madeOn(), e.piece()));
    }
    if (e.value().isPresent()) {
      steps.add(new Edit.SetLocal(e.placement(), e.key(), e.value(), made, e.piece()));
    }
    return steps;
  }

  private List<Edit> order(Placement placement, Edit.SetOrder e) {
    int shown = showing.shownBy(placement);
    int made = e.madeOn() == 0 ? shown : e.madeOn();
    Translation translation = Translation.of(library, placement, shown);
    Optional<NodeId> same = translation.storedOrder(translation.node(e.parent(), made));
    List<Edit> steps = new ArrayList<>();
    if (same.isPresent() && (e.ids().isEmpty() || !same.get().equals(e.parent()))) {
      LocalOrder stands = placement.order().get(same.get());
      steps.add(
          new Edit.SetOrder(e.placement(), same.get(), List.of(), stands.madeOn(), e.piece()));
    }
    if (!e.ids().isEmpty()) {
      steps.add(new Edit.SetOrder(e.placement(), e.parent(), e.ids(), made, e.piece()));
    }
    return steps;
  }
}
