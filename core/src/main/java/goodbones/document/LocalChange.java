package goodbones.document;

import java.util.Objects;
import java.util.function.UnaryOperator;

/**
 * A local change: what a placement says instead of the library, and the revision on which it was
 * said. Whatever copies, moves, merges or brings back a change carries both along.
 *
 * @param madeOn the revision of the placed piece over which the change was made, or at which a
 *     question about it was answered; its key, and the parent that it names, are addressed as that
 *     revision has them. 0 where no revision lies beneath it: in a variant, in an item, and in a
 *     placement that nobody has put anywhere yet
 */
public record LocalChange(LocalValue value, int madeOn) {
  public LocalChange {
    Objects.requireNonNull(value, "value");
  }

  public LocalChange withValue(LocalValue other) {
    return other == value ? this : new LocalChange(other, madeOn);
  }

  LocalChange readdressed(UnaryOperator<NodeId> address) {
    return withValue(value.readdressed(address));
  }
}
