package goodbones.survey;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Finds the words and pictures that only show where the real ones go. */
public final class StandIns {
  private StandIns() {}

  /** A field that still waits for what is real. */
  public record Left(NodeId node, String field) {}

  /**
   * What is left on a page as it is shown, in reading order. A picture element without a picture
   * counts, for nothing is to be seen in its place.
   */
  public static List<Left> of(Node shown) {
    List<Left> left = new ArrayList<>();
    shown.walk(
        node -> {
          for (Map.Entry<String, FieldValue> field : node.content().entrySet()) {
            if (field.getValue().standIn()) {
              left.add(new Left(node.id(), field.getKey()));
            }
          }
          if (node.kind() == Kind.PICTURE && node.content().get("picture") == null) {
            left.add(new Left(node.id(), "picture"));
          }
        });
    return left;
  }
}
