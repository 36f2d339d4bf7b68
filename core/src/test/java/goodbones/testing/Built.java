package goodbones.testing;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import java.util.List;

/** Pages written out by hand, as short as they can be. */
public final class Built {
  private Built() {}

  public static Node node(String id, Kind kind, Node... children) {
    return Node.of(NodeId.of(id), kind, "").withChildren(List.of(children));
  }

  /** With settings, a key and a value each: {@code "padding-top@phone", "12px"}. */
  public static Node styled(Node node, String... settings) {
    Node styled = node;
    for (int i = 0; i < settings.length; i += 2) {
      styled = styled.withStyle(StyleKey.parse(settings[i]), StyleValue.parse(settings[i + 1]));
    }
    return styled;
  }

  public static Node worded(Node node, String words) {
    return node.withContent("words", new FieldValue.Words(words));
  }

  public static Node text(String id, String words, String... settings) {
    return styled(worded(node(id, Kind.TEXT), words), settings);
  }

  public static Node find(Node root, String id) {
    return root.find(NodeId.of(id)).orElseThrow();
  }

  /** What a node says of a setting itself; empty text for nothing. */
  public static String setting(Node root, String id, String key) {
    StyleValue value = find(root, id).styles().get(StyleKey.parse(key));
    return value == null ? "" : value.toString();
  }
}
