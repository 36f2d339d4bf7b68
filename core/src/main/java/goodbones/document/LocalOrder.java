package goodbones.document;

import java.util.List;
import java.util.function.UnaryOperator;

/**
 * The children of a parent as a placement sees them, by id.
 *
 * @param madeOn the revision as which the parent and the ids are addressed, as in a {@link
 *     LocalChange}
 */
public record LocalOrder(List<NodeId> ids, int madeOn) {
  public LocalOrder {
    ids = List.copyOf(ids);
  }

  LocalOrder readdressed(UnaryOperator<NodeId> address) {
    return new LocalOrder(ids.stream().map(address).toList(), madeOn);
  }
}
