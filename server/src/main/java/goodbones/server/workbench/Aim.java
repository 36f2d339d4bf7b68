package goodbones.server.workbench;

import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.library.Origin;
import goodbones.library.Shown;
import goodbones.server.drawing.Wording;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.BadInput;
import goodbones.site.Links;
import goodbones.site.PageKind;
import goodbones.structure.Bench;
import goodbones.structure.Landing;
import goodbones.structure.RowEdits;
import goodbones.structure.Sieve;
import goodbones.style.SiteFinishes;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** What an edit is aimed at: the document on a desk as it is shown, and what there is to use. */
final class Aim {
  private final Desk desk;
  private final Pictures pictures;
  private final Sieve.Known known;
  private final Bench bench;

  Aim(Desk desk, Pictures pictures, Sieve.Known known) {
    this.desk = desk;
    this.pictures = pictures;
    this.known = known;
    this.bench = desk.bench();
  }

  Shown shown() {
    return desk.shown();
  }

  SiteFinishes finishes() {
    return desk.look();
  }

  Pictures pictures() {
    return pictures;
  }

  Sieve.Known known() {
    return known;
  }

  Bench bench() {
    return bench;
  }

  /**
   * @throws BadInput if the site has no such page
   */
  void requirePage(String id) {
    BadInput.require(known.page(id), "pages", "This site has no page “" + id + "”: choose another");
  }

  /** What a list is to show all of, if that is there. */
  String lot(@Nullable String lot) {
    if (lot == null || lot.isEmpty()) {
      return "";
    }
    boolean there =
        lot.startsWith(Links.ROLE)
            ? Arrays.stream(PageKind.values())
                .anyMatch(kind -> lot.equals(Links.ROLE + kind.word()))
            : lot.startsWith(Links.PAGE) && known.page(lot.substring(Links.PAGE.length()));
    BadInput.require(
        there, "lot", "“" + lot + "” is nothing to show all of: choose a page, or a kind of pages");
    return lot;
  }

  /** A placement of a piece as it would be put here. */
  Placement placing(String pieceId) {
    return desk.placing(pieceId);
  }

  /**
   * The outermost node of the piece on the desk.
   *
   * @throws Refused if a page is
   */
  Node piece() {
    Node kept = desk.kept();
    if (kept.kind() == Kind.PAGE) {
      throw Refused.at(kept, "A page has no variants; keep a section of it as a piece");
    }
    return kept;
  }

  /**
   * The document of an earlier revision of the piece on the desk, with what stands in it bound as
   * far as nothing asks.
   */
  Node earlier(int revision) {
    return desk.earlier(revision);
  }

  /**
   * Something that stands straight on the page, as the page keeps it.
   *
   * @throws Refused if a piece or a shared part is on the desk, or it stands elsewhere
   */
  Node straightOnPage(NodeId shownAt) {
    Node root = desk.kept();
    boolean page = desk.page().filter(each -> !each.shared()).isPresent();
    NodeId own =
        shown().origin(shownAt).flatMap(Origin::placedIn).map(NodeId::outer).orElse(shownAt);
    return root.children().stream()
        .filter(child -> page && child.id().equals(own))
        .findFirst()
        .orElseThrow(
            () ->
                Refused.at(
                    root, "Only what stands straight on a page can become a part of all of them"));
  }

  boolean isPage() {
    return desk.kept().kind() == Kind.PAGE;
  }

  /** The client in whose look it is. */
  String siteId() {
    return desk.site().id();
  }

  /** The one client that what is on the desk belongs to if it is a piece; empty for all. */
  String ownerSiteId() {
    return desk.ownerSiteId();
  }

  Landing landing() {
    return new Landing(bench);
  }

  /**
   * @throws Refused if it is not there any more
   */
  Node node(String id) {
    NodeId wanted = NodeId.of(id);
    return shown().root().find(wanted).orElseThrow(() -> Refused.gone(wanted));
  }

  List<Node> nodes(List<String> ids) {
    return ids.stream().map(this::node).toList();
  }

  static List<NodeId> ids(List<String> ids) {
    return ids.stream().map(NodeId::of).toList();
  }

  static Optional<NodeId> before(@Nullable String sibling) {
    return Optional.ofNullable(sibling).filter(id -> !id.isEmpty()).map(NodeId::of);
  }

  /** What several things are called together. */
  String titles(List<String> ids) {
    return ids.size() == 1
        ? shown().root().find(NodeId.of(ids.get(0))).map(Wording::title).orElse("it")
        : ids.size() + " things";
  }

  /** Where a node comes from. */
  Origin origin(Node node, String otherwise) {
    return shown().origin(node.id()).orElseThrow(() -> Refused.at(node, otherwise));
  }

  static StyleKey key(String property, String device, @Nullable String state) {
    return new StyleKey(
        StyleProperty.ofKey(property),
        Device.ofWord(device),
        state == null ? State.NORMAL : State.ofWord(state));
  }

  static Edit group(List<Node> nodes, Function<Node, Edit> edit) {
    return nodes.size() == 1
        ? edit.apply(nodes.get(0))
        : new Edit.Group(nodes.stream().map(edit).toList());
  }

  /** Sets what was typed; nothing typed takes the node's own value away. */
  Edit setting(Node node, StyleKey key, String text) {
    String typed = text.strip();
    Optional<StyleValue> value =
        typed.isEmpty() ? Optional.empty() : Optional.of(finishes().read(typed));
    value.ifPresent(v -> finishes().require(key.property(), v));
    Edit edit = new Edit.SetStyle(node.id(), key, value);
    Optional<Edit> stacked =
        key.property() == StyleProperty.COLUMNS
            ? RowEdits.stacked(node, key.device())
            : Optional.empty();
    return stacked.map(s -> (Edit) new Edit.Group(List.of(edit, s))).orElse(edit);
  }

  /**
   * @throws BadInput if one of them is not to be had here
   */
  void requireNamedStyles(List<String> ids) {
    for (String id : ids) {
      if (desk.namedStyles().stream().noneMatch(style -> style.id().equals(id))) {
        throw new BadInput(
            "ids",
            "That named style is not to be had here"
                + finishes()
                    .namedStyle(id)
                    .map(style -> ": “" + style.name() + "” is this client’s own")
                    .orElse("")
                + "; choose one from the list");
      }
    }
  }
}
