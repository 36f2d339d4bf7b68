package goodbones.server.demo;

import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.PageEditor;
import goodbones.library.Showing;
import goodbones.propagation.Rebasing;
import goodbones.server.library.Pieces;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/**
 * Places a piece and fills it as somebody does who reads it from the top: each slot in turn, then
 * as many items of its list as there is something to say. What is not filled is left out.
 */
final class Filling {
  private final Pieces pieces;
  private final PageEditor editor;
  private final NodeId placement;
  private Node page;
  private Iterator<String> said = List.<String>of().iterator();

  /**
   * @param id of the placement
   */
  Filling(Pieces pieces, String id, String piece) {
    this.pieces = pieces;
    this.editor = new PageEditor(Showing.BOUND, pieces, new Rebasing(pieces, Showing.BOUND));
    this.placement = NodeId.of(id);
    Placement placed = Placement.of(piece).withBound(this.pieces.current(piece));
    this.page = Make.page("filling", Node.placing(placement, "", piece).withPlacement(placed));
  }

  /**
   * Fills what is no item of a list.
   *
   * @param texts in reading order: words; {@code words > address} for a button; {@code picture |
   *     alternative text} for a picture; {@code -} leaves the part out
   */
  Filling with(String... texts) {
    said = List.of(texts).iterator();
    Optional<NodeId> list = list();
    fill(page.children().get(0).id(), list);
    return this;
  }

  /** Fills the list with these items, each in reading order. */
  Filling items(List<List<String>> items) {
    NodeId list = list().orElseThrow();
    List<NodeId> ids = new ArrayList<>();
    TreeSet<NodeId> own = new TreeSet<>();
    List<NodeId> given =
        LocalValue.ItemsAre.of(editor.shown(page).members().find(list).orElseThrow()).ids();
    for (int i = 0; i < items.size(); i++) {
      NodeId item = i < given.size() ? given.get(i) : NodeId.of(placement + "-item-" + i);
      ids.add(item);
      if (i >= given.size()) {
        own.add(item);
      }
    }
    edit(
        new Edit.SetLocal(
            placement,
            new LocalKey(list.from(placement), Aspect.ITEMS),
            Optional.of(new LocalValue.ItemsAre(ids, own))));
    for (int i = 0; i < items.size(); i++) {
      said = items.get(i).iterator();
      fill(
          editor.shown(page).root().find(list).orElseThrow().children().get(i).id(),
          Optional.empty());
    }
    return this;
  }

  Node node() {
    return page.children().get(0);
  }

  private Optional<NodeId> list() {
    return editor.shown(page).members().all().stream()
        .filter(Node::isList)
        .map(Node::id)
        .findFirst();
  }

  private void edit(Edit edit) {
    page = editor.apply(page, edit).root();
  }

  private void fill(NodeId at, Optional<NodeId> but) {
    Node root = editor.shown(page).root();
    Node from = at.equals(placement) ? root : root.find(at).orElseThrow();
    List<NodeId> slots = new ArrayList<>();
    collect(from, but, slots);
    for (NodeId slot : slots) {
      editor.shown(page).root().find(slot).ifPresent(this::fill);
    }
  }

  private static void collect(Node node, Optional<NodeId> but, List<NodeId> slots) {
    if (but.filter(node.id()::equals).isPresent()) {
      return;
    }
    boolean element =
        node.kind() == Kind.PICTURE
            || node.kind() == Kind.ICON
            || node.content().containsKey("words");
    if (element && (!node.slots().isEmpty() || !node.options().siteSlots().isEmpty())) {
      slots.add(node.id());
    }
    node.children().forEach(child -> collect(child, but, slots));
  }

  private void fill(Node slot) {
    String text = said.hasNext() ? said.next() : "-";
    if (text.equals("-")) {
      leaveOut(slot);
    } else if (slot.kind() == Kind.ICON) {
      set(slot, "icon", FieldValue.Icon.of(text));
    } else if (slot.kind() == Kind.PICTURE) {
      String[] parts = text.split(" \\| ", 2);
      set(slot, "picture", new FieldValue.Picture(parts[0], parts.length > 1 ? parts[1] : ""));
    } else {
      String[] parts = text.split(" > ", 2);
      set(slot, "words", new FieldValue.Words(parts[0]));
      if (parts.length > 1) {
        set(slot, "link", new FieldValue.Link(parts[1]));
      }
    }
  }

  private void set(Node slot, String field, FieldValue value) {
    edit(new Edit.SetContent(slot.id(), field, Optional.of(value)));
  }

  private void leaveOut(Node slot) {
    edit(
        slot.options().optional() ? new Edit.Switch(slot.id(), false) : new Edit.Remove(slot.id()));
  }
}
