package goodbones.survey;

import goodbones.document.NodeId;
import java.util.Optional;

/**
 * Something that a rule of the survey found.
 *
 * @param document the id of the page or shared part in which it is mended
 * @param node where it stands there; empty if it concerns the document as a whole
 * @param message what is wrong and how to mend it
 */
public record Finding(String document, Optional<NodeId> node, String message) {}
