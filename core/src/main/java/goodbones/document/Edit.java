package goodbones.document;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * One edit of a document. Edits are values; {@link Editor#apply} carries them out and gives their
 * inverse.
 */
public sealed interface Edit {

  /** Puts a new subtree under a parent, so that it stands at the index afterwards. */
  record Insert(NodeId parent, int index, Node subtree) implements Edit {}

  /** Takes a node and everything below it away. */
  record Remove(NodeId node) implements Edit {}

  /** Puts a node under a parent, so that it stands at the index afterwards. */
  record Move(NodeId node, NodeId parent, int index) implements Edit {}

  /** Sets a content field; empty takes it away. */
  record SetContent(NodeId node, String field, Optional<FieldValue> value) implements Edit {}

  /** Sets a style value; empty takes it away. */
  record SetStyle(NodeId node, StyleKey key, Optional<StyleValue> value) implements Edit {}

  /** Says on which devices the node is hidden. */
  record SetVisibility(NodeId node, Set<Device> hiddenOn) implements Edit {
    public SetVisibility {
      hiddenOn = Sorted.devices(hiddenOn);
    }
  }

  /** Says which named styles the node has; the last one named wins. */
  record SetNamedStyles(NodeId node, List<String> ids) implements Edit {
    public SetNamedStyles {
      ids = List.copyOf(ids);
    }
  }

  /** Says which colour scheme a section takes; empty for the one around it. */
  record SetScheme(NodeId node, Optional<String> scheme) implements Edit {}

  /** Makes a field a slot, or fixes it. */
  record SetSlot(NodeId node, String field, boolean slot) implements Edit {}

  /** Makes a field one that is filled once for the whole site, or one that is not. */
  record SetSiteSlot(NodeId node, String field, boolean slot) implements Edit {}

  /** Says what the author of a piece wants in a slot; empty for nothing. */
  record SetWant(NodeId node, String field, Optional<SlotWant> want) implements Edit {}

  /** Says whether a placement may switch the node off. */
  record SetOptional(NodeId node, boolean optional) implements Edit {}

  /** Puts one of a piece's variants; empty takes it away. */
  record SetVariant(NodeId node, String variant, Optional<Variant> value) implements Edit {}

  /** Shows an optional part where it stands in a placement, or not. */
  record Switch(NodeId node, boolean on) implements Edit {}

  /** Chooses the variant that a placement shows; empty for the piece's own. */
  record ShowVariant(NodeId placement, Optional<String> variant) implements Edit {}

  /**
   * Fills a slot of the whole site; empty goes back to the library's. It changes no document.
   *
   * @param slot the slot's node, in the piece that it comes from
   * @param was what fills it before; an edit that is brought back holds only if that is still so
   */
  record FillSite(NodeId slot, String field, Optional<FieldValue> value, Optional<FieldValue> was)
      implements Edit {}

  record Rename(NodeId node, String name) implements Edit {}

  /**
   * Sets one local change of a placement; empty goes back to the library's.
   *
   * @param madeOn the revision as which the key is addressed and on which the value was said, for a
   *     change that is brought back; 0 for one that is made now, on the revision shown
   * @param piece the piece that stood there, for one that is brought back; empty where any may
   */
  record SetLocal(
      NodeId placement, LocalKey key, Optional<LocalValue> value, int madeOn, String piece)
      implements Edit {
    public SetLocal {
      // Edits that were kept before say none.
      piece = piece == null ? "" : piece;
    }

    /** A change that is made on the revision shown. */
    public SetLocal(NodeId placement, LocalKey key, Optional<LocalValue> value) {
      this(placement, key, value, 0, "");
    }
  }

  /**
   * Sets the order of a parent with locally placed children; an empty list takes it away.
   *
   * @param madeOn as with a {@link SetLocal}
   */
  record SetOrder(NodeId placement, NodeId parent, List<NodeId> ids, int madeOn, String piece)
      implements Edit {
    public SetOrder {
      ids = List.copyOf(ids);
      piece = piece == null ? "" : piece;
    }

    public SetOrder(NodeId placement, NodeId parent, List<NodeId> ids) {
      this(placement, parent, ids, 0, "");
    }
  }

  /** Holds a placement at a revision, or lets it follow. */
  record SetPin(NodeId placement, Optional<Pin> pin, String piece) implements Edit {
    public SetPin {
      piece = piece == null ? "" : piece;
    }

    public SetPin(NodeId placement, Optional<Pin> pin) {
      this(placement, pin, "");
    }
  }

  /** Puts a placement as a whole in the place of what stands there. */
  record SetPlacement(NodeId node, Placement placement) implements Edit {}

  /** Several edits as one: all or nothing. */
  record Group(List<Edit> edits) implements Edit {
    public Group {
      edits = List.copyOf(edits);
    }
  }

  /**
   * The same said of another node.
   *
   * @throws IllegalArgumentException if it is not an edit of one node alone
   */
  default Edit aimedAt(NodeId other) {
    if (this instanceof SetContent e) {
      return new SetContent(other, e.field(), e.value());
    } else if (this instanceof SetStyle e) {
      return new SetStyle(other, e.key(), e.value());
    } else if (this instanceof SetVisibility e) {
      return new SetVisibility(other, e.hiddenOn());
    } else if (this instanceof SetNamedStyles e) {
      return new SetNamedStyles(other, e.ids());
    } else if (this instanceof SetScheme e) {
      return new SetScheme(other, e.scheme());
    } else if (this instanceof SetSlot e) {
      return new SetSlot(other, e.field(), e.slot());
    } else if (this instanceof SetSiteSlot e) {
      return new SetSiteSlot(other, e.field(), e.slot());
    } else if (this instanceof SetWant e) {
      return new SetWant(other, e.field(), e.want());
    } else if (this instanceof SetOptional e) {
      return new SetOptional(other, e.optional());
    } else if (this instanceof Rename e) {
      return new Rename(other, e.name());
    } else if (this instanceof SetLocal e) {
      return new SetLocal(other, e.key(), e.value(), e.madeOn(), e.piece());
    } else if (this instanceof SetPin e) {
      return new SetPin(other, e.pin(), e.piece());
    } else if (this instanceof Switch e) {
      return new Switch(other, e.on());
    } else if (this instanceof ShowVariant e) {
      return new ShowVariant(other, e.variant());
    }
    throw new IllegalArgumentException("not an edit of one node: " + this);
  }

  /** The same with other ids for the nodes that it names; of what it puts in nothing changes. */
  default Edit mapped(UnaryOperator<NodeId> ids) {
    if (this instanceof Insert e) {
      return new Insert(ids.apply(e.parent()), e.index(), e.subtree());
    } else if (this instanceof Remove e) {
      return new Remove(ids.apply(e.node()));
    } else if (this instanceof Move e) {
      return new Move(ids.apply(e.node()), ids.apply(e.parent()), e.index());
    } else if (this instanceof Group group) {
      return new Group(group.edits().stream().map(each -> each.mapped(ids)).toList());
    }
    return nodes().isEmpty() ? this : aimedAt(ids.apply(nodes().get(0)));
  }

  /** Its steps, one after the other: each is aimed at what the one before it leads to. */
  default List<Edit> steps() {
    return this instanceof Group group
        ? group.edits().stream().flatMap(each -> each.steps().stream()).toList()
        : List.of(this);
  }

  /** The nodes that it names: those that it changes, and those that it puts something under. */
  default List<NodeId> nodes() {
    if (this instanceof Insert e) {
      return List.of(e.parent());
    } else if (this instanceof Remove e) {
      return List.of(e.node());
    } else if (this instanceof Move e) {
      return List.of(e.node(), e.parent());
    } else if (this instanceof SetContent e) {
      return List.of(e.node());
    } else if (this instanceof SetStyle e) {
      return List.of(e.node());
    } else if (this instanceof SetVisibility e) {
      return List.of(e.node());
    } else if (this instanceof SetNamedStyles e) {
      return List.of(e.node());
    } else if (this instanceof SetScheme e) {
      return List.of(e.node());
    } else if (this instanceof SetSlot e) {
      return List.of(e.node());
    } else if (this instanceof SetSiteSlot e) {
      return List.of(e.node());
    } else if (this instanceof SetWant e) {
      return List.of(e.node());
    } else if (this instanceof SetOptional e) {
      return List.of(e.node());
    } else if (this instanceof SetVariant e) {
      return List.of(e.node());
    } else if (this instanceof Switch e) {
      return List.of(e.node());
    } else if (this instanceof ShowVariant e) {
      return List.of(e.placement());
    } else if (this instanceof FillSite) {
      return List.of();
    } else if (this instanceof Rename e) {
      return List.of(e.node());
    } else if (this instanceof SetLocal e) {
      return List.of(e.placement());
    } else if (this instanceof SetOrder e) {
      return List.of(e.placement());
    } else if (this instanceof SetPin e) {
      return List.of(e.placement());
    } else if (this instanceof SetPlacement e) {
      return List.of(e.node());
    }
    return ((Group) this).edits().stream().flatMap(each -> each.nodes().stream()).toList();
  }
}
