package goodbones.document;

import java.util.Comparator;
import java.util.function.UnaryOperator;

/**
 * The key of a local change: a node, addressed from inside the placement, and an aspect of it.
 *
 * <p>Its text form is {@code node aspect}.
 */
public record LocalKey(NodeId node, Aspect aspect) implements Comparable<LocalKey> {
  private static final Comparator<LocalKey> ORDER =
      Comparator.comparing(LocalKey::node).thenComparing(LocalKey::aspect);

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
    return ORDER.compare(this, other);
  }

  @Override
  public String toString() {
    return node + " " + aspect;
  }
}
