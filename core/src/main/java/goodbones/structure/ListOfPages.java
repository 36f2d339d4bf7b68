package goodbones.structure;

import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.PageShown;
import goodbones.document.Refused;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Lets the items of a list show pages of the site. */
public final class ListOfPages {
  private final Bench bench;

  public ListOfPages(Bench bench) {
    this.bench = bench;
  }

  /**
   * Makes a list show certain pages, one to an item. An item that shows one of them already stays
   * as it is, with all that was changed in it; all others go.
   *
   * @param id the list, or something in one of its items
   * @param pages ids of pages, in the order in which they are to be shown; what comes twice is
   *     shown once
   * @param lot what it is to show all of, see {@link PageShown#LOT}, so that what is missing is
   *     noticed; empty if it is to show just these
   * @throws Refused if it stands in no list, that is no placement's, or no page is asked for
   */
  public Edit of(NodeId id, List<String> pages, String lot) {
    Node list = around(id);
    boolean ownList = bench.stored().find(list.id()).isPresent();
    if (ownList || bench.stored().kind() != Kind.PAGE) {
      throw Refused.at(list, "Pages belong to one site: choose them where the piece is placed");
    }
    if (pages.isEmpty()) {
      throw Refused.at(list, "Choose a page at least, or take the list away");
    }
    Map<String, NodeId> showing = new LinkedHashMap<>();
    List<NodeId> order = new ArrayList<>();
    List<Edit> edits = new ArrayList<>();
    for (Node item : list.children().subList(1, list.children().size())) {
      Optional<String> page = PageShown.of(item).filter(pages::contains);
      if (page.isPresent() && !showing.containsKey(page.get())) {
        showing.put(page.get(), item.id());
        order.add(item.id());
      } else {
        edits.add(new Edit.Remove(item.id()));
      }
    }
    int index = 0;
    for (String page : new LinkedHashSet<>(pages)) {
      NodeId there = showing.get(page);
      if (there == null) {
        NodeId fresh = bench.ids().get();
        NodeId item = list.id().beside(fresh);
        edits.add(new Edit.Insert(list.id(), index, Node.item(fresh)));
        edits.add(
            new Edit.SetContent(
                item, PageShown.FIELD, Optional.of(new FieldValue.Link(PageShown.PAGE + page))));
        order.add(index, item);
      } else if (!order.get(index).equals(there)) {
        edits.add(new Edit.Move(there, list.id(), index));
        order.remove(there);
        order.add(index, there);
      }
      index++;
    }
    if (list.kind() == Kind.ROW && index != list.children().size() - 1) {
      RowEdits.requireRoom(list, index);
      edits.addAll(RowEdits.equally(bench.need(list.id())));
    }
    if (!PageShown.lot(list).equals(lot)) {
      edits.add(
          new Edit.SetContent(
              list.children().get(0).id(),
              PageShown.LOT,
              lot.isEmpty() ? Optional.empty() : Optional.of(new FieldValue.Link(lot))));
    }
    return new Edit.Group(edits);
  }

  private Node around(NodeId id) {
    Node node = bench.member(id);
    while (!node.isList()) {
      node =
          bench
              .shown()
              .members()
              .parentOf(node.id())
              .orElseThrow(() -> Refused.at(bench.member(id), "It stands in no list"));
    }
    return node;
  }
}
