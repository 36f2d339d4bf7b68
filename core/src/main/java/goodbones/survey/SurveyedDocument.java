package goodbones.survey;

import goodbones.document.FieldValue;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import goodbones.layout.Room;
import goodbones.library.Shown;
import goodbones.style.Layer;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** A page's own document, or a part that pages share. */
public final class SurveyedDocument {
  private final String id;
  private final boolean shared;
  private final Shown page;
  private final Room room;
  private @Nullable PageLook look;
  private @Nullable Drawn drawn;

  /**
   * @param shared whether it stands around the content of pages
   * @param page what it shows
   * @param room how much of the page's width it has
   */
  public SurveyedDocument(String id, boolean shared, Shown page, Room room) {
    this.id = id;
    this.shared = shared;
    this.page = page;
    this.room = room;
  }

  /** One that has the page's whole width. */
  public SurveyedDocument(String id, boolean shared, Shown page) {
    this(id, shared, page, Room.WHOLE);
  }

  public boolean shared() {
    return shared;
  }

  /** The tree that is drawn. */
  public Node shown() {
    return page.root();
  }

  /** The same with its placements as members of the tree. */
  Node members() {
    return page.members();
  }

  /** What its texts are worth in the client's look; found once for all rules. */
  PageLook look(SurveyedSite site) {
    PageLook known = look;
    if (known == null) {
      known = PageLook.of(id, page, site.look());
      look = known;
    }
    return known;
  }

  /** How it is drawn in the client's look; found once for all rules. */
  Drawn drawn(SurveyedSite site) {
    Drawn known = drawn;
    if (known == null) {
      known = new Drawn(page, room, site.look());
      drawn = known;
    }
    return known;
  }

  /** Whether a style value is the document's own, and no piece's. */
  boolean isOwn(Node node, StyleKey key) {
    return page.layers(node, key).stream()
        .findFirst()
        .filter(
            layer ->
                layer.source() == Layer.Source.OWN
                    || layer.source() == Layer.Source.LOCAL
                    || layer.source() == Layer.Source.ITEM)
        .isPresent();
  }

  /** Whether a node is the document's own, and no part of a piece that is placed there. */
  boolean isOwn(Node node) {
    return page.carried(node.id()).isEmpty();
  }

  String id() {
    return id;
  }

  Finding at(Node node, String message) {
    return at(node.id(), message);
  }

  Finding at(NodeId node, String message) {
    return new Finding(id, Optional.of(node), message);
  }

  /** What was found about nodes, in reading order. */
  <T> List<Finding> inOrder(Map<NodeId, T> found, Function<T, String> message) {
    return shown().all().stream()
        .map(Node::id)
        .filter(found::containsKey)
        .map(node -> at(node, message.apply(found.get(node))))
        .toList();
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
