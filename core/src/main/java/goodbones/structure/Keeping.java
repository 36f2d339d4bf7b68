package goodbones.structure;

import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Layer;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Options;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.library.Expanded;
import goodbones.library.Library;
import goodbones.library.PageEditor;
import goodbones.library.Placements;
import goodbones.library.Revision;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.library.SiteFillings;
import goodbones.library.Translation;
import goodbones.propagation.Rebasing;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Makes a piece of a part of a document, and puts a placement of it in its place. */
public final class Keeping {
  private final Bench bench;

  public Keeping(Bench bench) {
    this.bench = bench;
  }

  /**
   * What keeping comes to.
   *
   * @param root the piece's document: what stands in it is bound as it was shown
   * @param edit puts the placement where the part stood
   */
  public record Kept(Node root, Edit edit) {}

  /**
   * What is kept for all clients has nothing of one client’s in it: other words, pictures and links
   * stand in for theirs, which fill the placement.
   *
   * @param pieceId what the piece will go by
   * @throws Refused if the node cannot be a piece
   */
  public Kept keepForAll(NodeId id, String pieceId) {
    Kept kept = keep(id, pieceId);
    Kept own = new Kept(onlySeen(kept.root()), kept.edit());
    Edit.Insert placing = (Edit.Insert) own.edit().steps().get(0);
    Node clean =
        Placements.mapped(
            own.root(),
            (path, placement) ->
                placement.mapped(
                    (key, value) -> key.aspect().isPick() ? Optional.of(value) : Optional.empty()));
    Shown shown = Shown.of(own.root(), Showing.BOUND, bench.library());
    Node offered = Shown.of(clean, Showing.BOUND, bench.library()).root();
    List<Edit> neutral = new ArrayList<>();
    List<Edit> filled = new ArrayList<>();
    Map<LocalKey, Edit> forSite = new LinkedHashMap<>();
    for (Edit step : kept.edit().steps()) {
      if (step instanceof Edit.FillSite fill) {
        forSite.put(SiteFillings.key(fill.slot(), fill.field()), fill);
      }
    }
    NodeId at = placing.subtree().id();
    shown
        .root()
        .walk(
            node ->
                node.content()
                    .forEach(
                        (field, value) -> {
                          if (isOfClient(node, field, value, offered)) {
                            Optional<FieldValue> standsIn = Neutral.of(node.kind(), value);
                            neutral.add(set(node.id(), field, standsIn));
                            if (isOfSite(node, field)) {
                              forSite.putIfAbsent(
                                  SiteFillings.key(node.id(), field),
                                  new Edit.FillSite(
                                      node.id(), field, Optional.of(value), Optional.empty()));
                            } else {
                              filled.add(set(node.id().within(at), field, Optional.of(value)));
                            }
                          }
                        }));
    Node root = edited(own.root(), neutral, bench.library());
    Node page =
        Node.of(NodeId.of("around"), Kind.PAGE, "").withChildren(List.of(placing.subtree()));
    Node placed = edited(page, filled, with(pieceId, root)).children().get(0);
    List<Edit> edits = new ArrayList<>();
    edits.add(new Edit.Insert(placing.parent(), placing.index(), placed));
    edits.add(kept.edit().steps().get(1));
    edits.addAll(forSite.values());
    return new Kept(root, new Edit.Group(edits));
  }

  /** Whether a field of a node of the piece itself is filled for the whole site from here on. */
  private boolean isOfSite(Node node, String field) {
    return bench.showing().isOfSite()
        && !node.id().isInside()
        && node.options().siteSlots().contains(field);
  }

  /** What is out of sight, and what an exchange left over, is one client's too. */
  private Node onlySeen(Node root) {
    Node members = Shown.of(root, Showing.BOUND, bench.library()).members();
    return Placements.mapped(
        root,
        (path, placement) -> {
          Translation there = Translation.of(bench.library(), placement, placement.bound());
          Layer seen =
              there
                  .layer()
                  .withChanges(
                      there.layer().changes().entrySet().stream()
                          .filter(each -> isSeen(members, path, each.getKey(), each.getValue()))
                          .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)));
          return there.storing(placement, seen, Set.of()).withLeft(List.of());
        });
  }

  private static boolean isSeen(Node members, NodeId path, LocalKey key, LocalValue value) {
    if (value instanceof LocalValue.IsRemoved || value instanceof LocalValue.SwitchedIs) {
      return true;
    }
    return members
        .find(key.node().within(path))
        .filter(
            node ->
                !node.options().off()
                    && members.parentOf(node.id()).filter(p -> p.options().off()).isEmpty())
        .isPresent();
  }

  /** A piece’s own words that a placement leaves as they are are the library’s already. */
  private static boolean isOfClient(Node node, String field, FieldValue value, Node offered) {
    boolean ofLibrary =
        node.id().isInside()
            && offered
                .find(node.id())
                .map(same -> value.equals(same.content().get(field)))
                .orElse(false);
    return !ofLibrary && Neutral.isOfClient(value);
  }

  private static Edit set(NodeId id, String field, Optional<FieldValue> value) {
    return new Edit.SetContent(id, field, value);
  }

  private static Node edited(Node document, List<Edit> edits, Library library) {
    return new PageEditor(Showing.BOUND, library, new Rebasing(library, Showing.BOUND))
        .apply(document, new Edit.Group(edits))
        .root();
  }

  /** The library with the piece in it. */
  private Library with(String pieceId, Node root) {
    Library others = bench.library();
    return new Library() {
      @Override
      public Revision revision(String piece, int number) {
        return piece.equals(pieceId)
            ? new Revision(pieceId, 1, root, "", 0)
            : others.revision(piece, number);
      }

      @Override
      public Expanded expanded(String piece, int number) {
        return piece.equals(pieceId)
            ? Library.super.expanded(piece, number)
            : others.expanded(piece, number);
      }
    };
  }

  /**
   * @param pieceId what the piece will go by
   * @throws Refused if the node cannot be a piece
   */
  public Kept keep(NodeId id, String pieceId) {
    Node node = bench.need(id);
    NodeId outward = bench.shown().outward(id);
    if (!outward.equals(id)) {
      throw Refused.at(node, "It is a piece already; place it where you want it");
    }
    if (node.kind() == Kind.PAGE) {
      throw Refused.at(node, "A whole page is no piece; keep a section of it");
    }
    Node parent = bench.needParent(node);
    Bench.Copied copied = bench.toKeep(node);
    Node copy = copied.node();
    Node root =
        Placements.mapped(copy.withOptions(copy.options().withOptional(false)), this::bound);
    // Where it is an optional part, it is one as a placement.
    Node placement =
        Node.placing(bench.ids().get(), "", pieceId)
            .withOptions(Options.NONE.withOptional(copy.options().optional()))
            .withPlacement(Placement.of(pieceId, 1));
    List<Edit> edits = new ArrayList<>();
    edits.add(new Edit.Insert(parent.id(), parent.indexOf(id), placement));
    edits.add(new Edit.Remove(id));
    edits.addAll(copied.fillings());
    return new Kept(root, new Edit.Group(edits));
  }

  private Placement bound(NodeId path, Placement placement) {
    int shown = bench.showing().shownBy(placement);
    return placement.withPin(Optional.empty()).withBound(shown);
  }
}
