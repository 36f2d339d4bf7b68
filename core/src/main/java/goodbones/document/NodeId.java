package goodbones.document;

import java.util.Objects;
import java.util.regex.Pattern;

/**
 * The identity of a node: globally unique, never reused, kept across revisions.
 *
 * <p>In a shown tree a node that comes out of a placement is addressed from the outside in, {@code
 * placement/node}; {@link #within} and {@link #inner} translate between the two views.
 */
public record NodeId(String value) implements Comparable<NodeId> {
  private static final Pattern FORM =
      Pattern.compile("[A-Za-z0-9_-]{1,64}(/[A-Za-z0-9_-]{1,64}){0,8}");

  /**
   * @throws IllegalArgumentException if the value is not made of letters, digits, {@code _} and
   *     {@code -}, with {@code /} between the steps
   */
  public NodeId {
    Objects.requireNonNull(value, "value");
    if (!FORM.matcher(value).matches()) {
      throw new IllegalArgumentException(
          "“" + value + "” is not a node id: use letters, digits, - and _, at most 64 of them");
    }
  }

  public static NodeId of(String value) {
    return new NodeId(value);
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

  /** This node as seen from outside the given placement. */
  public NodeId within(NodeId placement) {
    return new NodeId(placement.value + "/" + value);
  }

  @Override
  public int compareTo(NodeId other) {
    return value.compareTo(other.value);
  }

  @Override
  public String toString() {
    return value;
  }
}
