package goodbones.document;

import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * The identity of a node: globally unique, never reused, kept across revisions.
 *
 * <p>In a shown tree a node that comes out of a placement is addressed from the outside in, {@code
 * placement/node}; {@link #within} and {@link #inner} translate between the two views.
 */
public final class NodeId implements Comparable<NodeId> {
  private static final int STEP_LIMIT = 64;
  private static final int DEPTH_LIMIT = 9;

  private final String value;

  /** Kept here: every question about a tree looks ids up. */
  private final int hash;

  private NodeId(String value) {
    Objects.requireNonNull(value, "value");
    if (!isForm(value)) {
      throw new IllegalArgumentException(
          "“" + value + "” is not a node id: use letters, digits, - and _, at most 64 of them");
    }
    this.value = value;
    this.hash = value.hashCode();
  }

  /** Walked by hand: ids are made by the thousand whenever a page is shown. */
  private static boolean isForm(String value) {
    int step = 0;
    int depth = 1;
    for (int i = 0; i < value.length(); i++) {
      char c = value.charAt(i);
      boolean letter = c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' || c >= '0' && c <= '9';
      if (letter || c == '-' || c == '_') {
        step++;
      } else if (c == '/' && step > 0) {
        step = 0;
        depth++;
      } else {
        return false;
      }
      if (step > STEP_LIMIT) {
        return false;
      }
    }
    return step > 0 && depth <= DEPTH_LIMIT;
  }

  /**
   * @throws IllegalArgumentException if the value is not made of letters, digits, {@code _} and
   *     {@code -}, with {@code /} between the steps
   */
  public static NodeId of(String value) {
    return new NodeId(value);
  }

  public String value() {
    return value;
  }

  /** Says whether this addresses a node inside a placement. */
  public boolean isInside() {
    return value.indexOf('/') >= 0;
  }

  /** The outermost step: the placement's id, or the id itself when there is no placement. */
  public NodeId outer() {
    int slash = value.indexOf('/');
    return slash < 0 ? this : new NodeId(value.substring(0, slash));
  }

  /** The address as seen from inside the outermost placement; the id itself when there is none. */
  public NodeId inner() {
    int slash = value.indexOf('/');
    return slash < 0 ? this : new NodeId(value.substring(slash + 1));
  }

  /** The last step: the node's id in the document that it comes from. */
  public NodeId own() {
    int slash = value.lastIndexOf('/');
    return slash < 0 ? this : new NodeId(value.substring(slash + 1));
  }

  /** The address of another node that stands in the same placement or item as this one. */
  public NodeId beside(NodeId other) {
    int slash = value.lastIndexOf('/');
    return slash < 0 ? other : new NodeId(value.substring(0, slash + 1) + other.value);
  }

  /** The placement or item that it stands in; itself where there is none. */
  public NodeId around() {
    int slash = value.lastIndexOf('/');
    return slash < 0 ? this : new NodeId(value.substring(0, slash));
  }

  /** Whether it stands in that placement or item. */
  public boolean isIn(NodeId member) {
    return value.startsWith(member.value + "/");
  }

  /** Whether it is a placement or item, or stands in that. */
  public boolean isOrIsIn(NodeId member) {
    return equals(member) || isIn(member);
  }

  /** The address as seen from inside a placement or item that it stands in. */
  public NodeId from(NodeId member) {
    return new NodeId(value.substring(member.value.length() + 1));
  }

  /** This node as seen from outside the given placement. */
  public NodeId within(NodeId placement) {
    return new NodeId(placement.value + "/" + value);
  }

  @Override
  public int compareTo(NodeId other) {
    return value.compareTo(other.value);
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other == this || other instanceof NodeId id && hash == id.hash && value.equals(id.value);
  }

  @Override
  public int hashCode() {
    return hash;
  }

  @Override
  public String toString() {
    return value;
  }
}
