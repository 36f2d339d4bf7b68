package goodbones.server.demo;

import goodbones.document.Aspect;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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

  static Node picture(String id, String picture, String alt) {
    return node(id, Kind.PICTURE, "").withContent("picture", new FieldValue.Picture(picture, alt));
  }

  static Node named(Node node, String... styles) {
    return node.withNamedStyles(List.of(styles));
  }

  static Node page(String id, Node... sections) {
    return node(id, Kind.PAGE, "").withChildren(List.of(sections));
  }

  @SafeVarargs
  static Node placing(String id, String piece, Map.Entry<LocalKey, LocalValue>... own) {
    Map<LocalKey, LocalValue> changes = new LinkedHashMap<>();
    for (Map.Entry<LocalKey, LocalValue> change : own) {
      changes.put(change.getKey(), change.getValue());
    }
    return Node.placing(NodeId.of(id), "", piece)
        .withPlacement(Placement.of(piece).saying(changes));
  }

  /** A list of like items, all made from one pattern. */
  static Node list(String id, Node pattern, Node... items) {
    List<Node> children = new ArrayList<>();
    children.add(node(id + "-pattern", Kind.PATTERN, "").withChildren(List.of(pattern)));
    children.addAll(List.of(items));
    return node(id, Kind.BOX, "").withChildren(children);
  }

  @SafeVarargs
  static Node item(String id, Map.Entry<LocalKey, LocalValue>... own) {
    Map<LocalKey, LocalValue> changes = new LinkedHashMap<>();
    for (Map.Entry<LocalKey, LocalValue> change : own) {
      changes.put(change.getKey(), change.getValue());
    }
    Node item = Node.item(NodeId.of(id));
    return item.withPlacement(item.placement().orElseThrow().saying(changes));
  }

  /** A part that a placement may switch off. */
  static Node optional(Node node) {
    return node.withOptions(node.options().withOptional(true));
  }

  /** With its words filled once for the whole site. */
  static Node forSite(Node node) {
    return node.withSlots(List.of()).withOptions(node.options().withSiteSlots(List.of("words")));
  }

  static Map.Entry<LocalKey, LocalValue> words(String node, String words) {
    return content(node, "words", new FieldValue.Words(words));
  }

  static Map.Entry<LocalKey, LocalValue> link(String node, String target) {
    return content(node, "link", new FieldValue.Link(target));
  }

  static Map.Entry<LocalKey, LocalValue> photo(String node, String id, String alt) {
    return content(node, "picture", new FieldValue.Picture(id, alt));
  }

  private static Map.Entry<LocalKey, LocalValue> content(
      String node, String field, FieldValue value) {
    return Map.entry(
        new LocalKey(NodeId.of(node), Aspect.content(field)), new LocalValue.ContentIs(value));
  }

  static Map.Entry<LocalKey, LocalValue> style(String node, String key, String value) {
    return Map.entry(
        new LocalKey(NodeId.of(node), Aspect.style(StyleKey.parse(key))),
        new LocalValue.StyleIs(Optional.of(StyleValue.parse(value))));
  }

  static Map.Entry<LocalKey, LocalValue> scheme(String node, String id) {
    return Map.entry(
        new LocalKey(NodeId.of(node), Aspect.SCHEME), new LocalValue.SchemeIs(Optional.of(id)));
  }
}
