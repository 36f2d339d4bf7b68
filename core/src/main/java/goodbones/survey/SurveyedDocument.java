package goodbones.survey;

import goodbones.document.FieldValue;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.List;
import java.util.Optional;

/**
 * A page's own document, or a part that pages share.
 *
 * @param shown what is shown of it
 */
public record SurveyedDocument(String id, boolean shared, Node shown) {
  Finding at(Node node, String message) {
    return at(node.id(), message);
  }

  Finding at(NodeId node, String message) {
    return new Finding(id, Optional.of(node), message);
  }

  /** What a node says; empty if it says nothing. */
  static String words(Node node) {
    return node.content().get("words") instanceof FieldValue.Words words ? words.text() : "";
  }

  /** What is said of stretches of a node's words, of one type. */
  static List<Mark> marks(Node node, Mark.Type type) {
    return node.content().get("words") instanceof FieldValue.Words words
        ? words.marks().stream().filter(mark -> mark.type() == type).toList()
        : List.of();
  }
}
