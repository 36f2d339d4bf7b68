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

  /** How many steps it has. */
  private final int depth;

  /** Of whole steps of others: ids are made by the thousand whenever a page is shown. */
  private NodeId(String value, int depth) {
    if (depth > DEPTH_LIMIT) {
      throw noForm(value);
    }
    this.value = value;
    this.hash = value.hashCode();
    this.depth = depth;
  }

  private static IllegalArgumentException noForm(String value) {
    return new IllegalArgumentException(
        "“" + value + "” is not a node id: use letters, digits, - and _, at most 64 of them");
  }

  /**
   * How many steps a text has.
   *
   * @return 0 where it is no id
   */
  private static int depth(String value) {
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
        return 0;
      }
      if (step > STEP_LIMIT) {
        return 0;
      }
    }
    return step > 0 ? depth : 0;
  }

  /**
   * @throws IllegalArgumentException if the value is not made of letters, digits, {@code _} and
   *     {@code -}, with {@code /} between the steps
   */
  public static NodeId of(String value) {
    Objects.requireNonNull(value, "value");
    int depth = depth(value);
    if (depth == 0) {
      throw noForm(value);
    }
    return new NodeId(value, depth);
  }

  public String value() {
    return value;
  }

  /** Says whether this addresses a node inside a placement. */
  public boolean isInside() {
    return depth > 1;
  }

  /** The outermost step: the placement's id, or the id itself when there is no placement. */
  public NodeId outer() {
    return depth == 1 ? this : new NodeId(value.substring(0, value.indexOf('/')), 1);
  }

  /** The address as seen from inside the outermost placement; the id itself when there is none. */
  public NodeId inner() {
    return depth == 1 ? this : new NodeId(value.substring(value.indexOf('/') + 1), depth - 1);
  }

  /** The last step: the node's id in the document that it comes from. */
  public NodeId own() {
    return depth == 1 ? this : new NodeId(value.substring(value.lastIndexOf('/') + 1), 1);
  }

  /** The address of another node that stands in the same placement or item as this one. */
  public NodeId beside(NodeId other) {
    return depth == 1 ? other : other.within(around());
  }

  /** The placement or item that it stands in; itself where there is none. */
  public NodeId around() {
    return depth == 1 ? this : new NodeId(value.substring(0, value.lastIndexOf('/')), depth - 1);
  }

  /** Whether it stands in that placement or item. */
  public boolean isIn(NodeId member) {
    int length = member.value.length();
    return value.length() > length && value.charAt(length) == '/' && value.startsWith(member.value);
  }

  /** Whether it is a placement or item, or stands in that. */
  public boolean isOrIsIn(NodeId member) {
    return equals(member) || isIn(member);
  }

  /**
   * The address as seen from inside a placement or item that it stands in.
   *
   * @throws IllegalArgumentException if it does not stand in it
   */
  public NodeId from(NodeId member) {
    if (!isIn(member)) {
      throw new IllegalArgumentException("“" + value + "” does not stand in “" + member + "”");
    }
    return new NodeId(value.substring(member.value.length() + 1), depth - member.depth);
  }

  /** This node as seen from outside the given placement. */
  public NodeId within(NodeId placement) {
    return new NodeId(placement.value + "/" + value, placement.depth + depth);
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
