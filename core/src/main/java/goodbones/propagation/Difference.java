package goodbones.propagation;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Field;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleProperty;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/** Finds the nodes whose structure, content or computed style differs between two shown trees. */
public final class Difference {
  private final Node before;
  private final Node after;
  private final Cascade cascadeBefore;
  private final Cascade cascadeAfter;

  private final Predicate<NodeId> compared;
  private final UnaryOperator<NodeId> now;

  private Difference(
      Shown before,
      Shown after,
      SiteFinishes finishes,
      Predicate<NodeId> compared,
      UnaryOperator<NodeId> now) {
    this.compared = compared;
    this.now = now;
    this.before = before.root();
    this.after = after.root();
    this.cascadeBefore = new Cascade(this.before, before, finishes);
    this.cascadeAfter = new Cascade(this.after, after, finishes);
  }

  /**
   * @return the differing nodes: those of {@code after} in its order, then those that went
   */
  public static List<NodeChange> between(Shown before, Shown after, SiteFinishes finishes) {
    return between(before, after, finishes, id -> true, id -> id);
  }

  /**
   * @param compared which nodes are compared; where they stand is taken from the whole trees
   * @param now from the id that a node had before to the one that it has after
   * @return the differing nodes: those of {@code after} in its order, then those that went
   */
  static List<NodeChange> between(
      Shown before,
      Shown after,
      SiteFinishes finishes,
      Predicate<NodeId> compared,
      UnaryOperator<NodeId> now) {
    return new Difference(before, after, finishes, compared, now).find();
  }

  private List<NodeChange> find() {
    List<NodeChange> changes = new ArrayList<>();
    Map<NodeId, Node> old = new HashMap<>();
    before.walk(
        node -> {
          if (compared.test(node.id())) {
            old.put(now.apply(node.id()), node);
          }
        });
    after.walk(
        node -> {
          if (!compared.test(node.id())) {
            return;
          }
          Node was = old.remove(node.id());
          if (was == null) {
            changes.add(whole(node, NodeChange.Type.ADDED));
          } else {
            compare(was, node, changes);
          }
        });
    before.walk(
        node -> {
          if (old.containsKey(now.apply(node.id()))) {
            changes.add(whole(node, NodeChange.Type.REMOVED));
          }
        });
    return changes;
  }

  private static NodeChange whole(Node node, NodeChange.Type type) {
    return new NodeChange(node.id(), node.title(), type, EnumSet.allOf(Device.class), List.of());
  }

  private void compare(Node was, Node is, List<NodeChange> changes) {
    Set<String> what = new LinkedHashSet<>();
    Set<Device> devices = EnumSet.noneOf(Device.class);
    for (Field field : Catalogue.fields(is.kind())) {
      if (!java.util.Objects.equals(
          was.content().get(field.key()), is.content().get(field.key()))) {
        what.add(field.label());
      }
    }
    if (hasMoved(was, is)) {
      what.add("Position");
    }
    if (!what.isEmpty()) {
      devices.addAll(EnumSet.allOf(Device.class));
    }
    for (Device device : Device.values()) {
      if (was.hiddenOn().contains(device) != is.hiddenOn().contains(device)) {
        what.add("Visibility");
        devices.add(device);
      }
      for (StyleProperty property : compared(is)) {
        for (State state : Catalogue.states(is.kind())) {
          if (!cascadeBefore
              .computed(was, property, device, state)
              .css()
              .equals(cascadeAfter.computed(is, property, device, state).css())) {
            what.add(property.label());
            devices.add(device);
          }
        }
      }
    }
    if (!what.isEmpty()) {
      changes.add(
          new NodeChange(is.id(), is.title(), NodeChange.Type.CHANGED, devices, List.copyOf(what)));
    }
  }

  /** Inherited properties show only where there are words. */
  private static List<StyleProperty> compared(Node node) {
    boolean hasWords = Catalogue.field(node.kind(), "words").isPresent();
    return Catalogue.styles(node.kind()).stream()
        .filter(property -> hasWords || !property.inherited())
        .toList();
  }

  /**
   * A node has moved if its parent is another, or an earlier sibling that stayed now follows it.
   */
  private boolean hasMoved(Node was, Node is) {
    Node parentBefore = before.parentOf(was.id()).orElse(null);
    Node parentAfter = after.parentOf(is.id()).orElse(null);
    if (parentBefore == null || parentAfter == null) {
      return false;
    }
    if (!now.apply(parentBefore.id()).equals(parentAfter.id())) {
      return true;
    }
    List<NodeId> stayed =
        parentBefore.children().stream().map(child -> now.apply(child.id())).toList();
    List<NodeId> still =
        parentAfter.children().stream().map(Node::id).filter(stayed::contains).toList();
    List<NodeId> then = stayed.stream().filter(still::contains).toList();
    return still.indexOf(is.id()) != then.indexOf(is.id());
  }
}
