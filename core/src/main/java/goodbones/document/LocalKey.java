package goodbones.document;

import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * The key of a local change: a node, addressed from inside the placement, and an aspect of it.
 *
 * <p>Its text form is {@code node aspect}.
 */
public record LocalKey(NodeId node, Aspect aspect) implements Comparable<LocalKey> {
  /**
   * @throws IllegalArgumentException if the text is not {@code node aspect}
   */
  public static LocalKey parse(String text) {
    int space = text.indexOf(' ');
    if (space < 0) {
      throw new IllegalArgumentException("“" + text + "” is not the key of a local change");
    }
    return new LocalKey(
        NodeId.of(text.substring(0, space)), Aspect.parse(text.substring(space + 1)));
  }

  /** The same with the address of its node as it is somewhere else. */
  public LocalKey readdressed(UnaryOperator<NodeId> address) {
    return new LocalKey(address.apply(node), aspect);
  }

  @Override
  public int compareTo(LocalKey other) {
    int byNode = node.compareTo(other.node);
    return byNode != 0 ? byNode : aspect.compareTo(other.aspect);
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof LocalKey key && node.equals(key.node) && aspect.equals(key.aspect);
  }

  @Override
  public int hashCode() {
    return 31 * node.hashCode() + aspect.hashCode();
  }

  @Override
  public String toString() {
    return node + " " + aspect;
  }
}
