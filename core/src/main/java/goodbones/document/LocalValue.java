package goodbones.document;

import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/** The value of a local change: what the placement says instead of the library. */
public sealed interface LocalValue {

  /** The same with the address of the parent that it names as it is somewhere else. */
  default LocalValue readdressed(UnaryOperator<NodeId> address) {
    return this instanceof PlacedUnder placed
        ? new PlacedUnder(address.apply(placed.parent()), placed.inserted())
        : this;
  }

  /**
   * A field's content: the filling of a slot, or a changed fixed part; empty where what the library
   * has there was taken away.
   */
  record ContentIs(Optional<FieldValue> value) implements LocalValue {
    public ContentIs(FieldValue value) {
      this(Optional.of(value));
    }
  }

  /** A style value; empty takes the library's key away and puts nothing in its place. */
  record StyleIs(Optional<StyleValue> value) implements LocalValue {}

  /** The devices on which the node is hidden here. */
  record HiddenOn(Set<Device> devices) implements LocalValue {
    public HiddenOn(Collection<Device> devices) {
      this(Sorted.devices(devices));
    }
  }

  /** The named styles that the node has here. */
  record NamedStylesAre(List<String> ids) implements LocalValue {
    public NamedStylesAre {
      ids = List.copyOf(ids);
    }
  }

  /** The colour scheme that the section takes here; empty for the one around it. */
  record SchemeIs(Optional<String> scheme) implements LocalValue {}

  /** The optional part is shown here, or not. */
  record SwitchedIs(boolean on) implements LocalValue {}

  /** The variant that the piece has here, by its id; empty for its own. */
  record VariantIs(Optional<String> variant) implements LocalValue {}

  /**
   * The items of a list here, in order.
   *
   * @param own those among them that were added here; what is neither among these nor in the
   *     library's list is not shown
   */
  record ItemsAre(List<NodeId> ids, Set<NodeId> own) implements LocalValue {
    /** More items are no list that a page shows. */
    public static final int LIMIT = 200;

    public ItemsAre {
      ids = List.copyOf(ids);
      own = Collections.unmodifiableSet(new TreeSet<>(own));
    }

    /** Those that stand in a list, none of them added here. */
    public static ItemsAre of(Node list) {
      return new ItemsAre(
          list.children().stream()
              .filter(child -> child.kind() == Kind.ITEM)
              .map(child -> child.id().own())
              .toList(),
          Set.of());
    }

    /** These, laid on those of the layer beneath: of that only what it has can be had. */
    public ItemsAre over(ItemsAre beneath) {
      Set<NodeId> all = new TreeSet<>(own);
      all.addAll(beneath.own);
      List<NodeId> shown =
          ids.stream().filter(id -> own.contains(id) || beneath.ids.contains(id)).toList();
      all.retainAll(shown);
      return new ItemsAre(shown, all);
    }
  }

  /** The node is removed here. */
  record IsRemoved() implements LocalValue {}

  /**
   * The node stands under this parent here.
   *
   * @param inserted the whole subtree when it is the placement's own; empty when a library node was
   *     moved
   */
  record PlacedUnder(NodeId parent, Optional<Node> inserted) implements LocalValue {}
}
