package goodbones.document;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The value of a local change: what the placement says instead of the library. */
public sealed interface LocalValue {

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
