package goodbones.testing;

import goodbones.document.Node;

/** A tree as text, one property a line with what it belongs to: what a text merge is given. */
public final class TextForm {
  private TextForm() {}

  public static String of(Node root) {
    StringBuilder lines = new StringBuilder();
    root.walk(node -> write(node, lines));
    return lines.toString();
  }

  private static void write(Node node, StringBuilder lines) {
    line(lines, node, "kind", node.kind());
    line(lines, node, "name", node.name());
    node.content().forEach((field, value) -> line(lines, node, field, value));
    node.styles().forEach((key, value) -> line(lines, node, key, value));
    line(lines, node, "named styles", node.namedStyles());
    line(lines, node, "scheme", node.scheme());
    line(lines, node, "hidden on", node.hiddenOn());
    line(lines, node, "slots", node.slots());
    node.children().forEach(child -> line(lines, node, "child", child.id()));
  }

  private static void line(StringBuilder lines, Node node, Object property, Object value) {
    lines.append(node.id()).append(' ').append(property).append(' ').append(value).append('\n');
  }
}
