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
 * @param unset the word of what of the client is to be set for it ({@code phone}, {@code logo},
 *     {@code menu:Main}); empty where it is something else
 */
public record Finding(
    String document, Optional<NodeId> node, String message, Optional<Edit> mend, String unset) {
  Finding(String document, Optional<NodeId> node, String message) {
    this(document, node, message, Optional.empty(), "");
  }

  /** Whether it was found there; what is empty is not asked. */
  public boolean isAt(String inDocument, String atNode) {
    return (inDocument.isEmpty() || document.equals(inDocument))
        && (atNode.isEmpty() || node.filter(id -> id.value().equals(atNode)).isPresent());
  }

  Finding mendedBy(Edit edit) {
    return new Finding(document, node, message, Optional.of(edit), unset);
  }

  Finding untilSet(String what) {
    return new Finding(document, node, message, mend, what);
  }
}
