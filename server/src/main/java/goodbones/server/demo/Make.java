package goodbones.server.demo;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import java.util.List;

/** Short ways to write demo documents down. */
final class Make {
  private Make() {}

  static Node node(String id, Kind kind, String name) {
    return Node.of(NodeId.of(id), kind, name);
  }

  static Node section(String id, String name, Node... children) {
    return node(id, Kind.SECTION, name).withChildren(List.of(children));
  }

  static Node row(String id, String columns, Node... children) {
    return styled(
        node(id, Kind.ROW, "").withChildren(List.of(children)),
        "columns",
        columns,
        "columns@phone",
        "12");
  }

  static Node column(String id, Node... children) {
    return node(id, Kind.COLUMN, "").withChildren(List.of(children));
  }

  static Node heading(String id, int level, String words) {
    return words(node(id, Kind.HEADING, ""), words)
        .withContent("level", new FieldValue.Level(level));
  }

  static Node text(String id, String words) {
    return words(node(id, Kind.TEXT, ""), words);
  }

  static Node label(String id, String words) {
    return words(node(id, Kind.LABEL, ""), words);
  }

  static Node button(String id, String words, String link) {
    return words(node(id, Kind.BUTTON, ""), words).withContent("link", new FieldValue.Link(link));
  }

  private static Node words(Node node, String words) {
    return node.withContent("words", new FieldValue.Words(words));
  }

  /**
   * @param settings style keys and values in turn
   */
  static Node styled(Node node, String... settings) {
    Node styled = node;
    for (int i = 0; i < settings.length; i += 2) {
      styled = styled.withStyle(StyleKey.parse(settings[i]), StyleValue.parse(settings[i + 1]));
    }
    return styled;
  }
}
