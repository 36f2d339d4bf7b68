package goodbones.survey;

import goodbones.document.Edit;
import goodbones.document.NodeId;
import java.util.Optional;

/**
 * Something that a rule of the survey found.
 *
 * @param document the id of the page or shared part in which it is mended
 * @param node where it stands there; empty if it concerns the document as a whole
 * @param message what is wrong and how to mend it
 * @param mend an edit of the document that mends it; empty where a person must choose
 */
public record Finding(String document, Optional<NodeId> node, String message, Optional<Edit> mend) {
  Finding(String document, Optional<NodeId> node, String message) {
    this(document, node, message, Optional.empty());
  }

  Finding mendedBy(Edit edit) {
    return new Finding(document, node, message, Optional.of(edit));
  }
}
