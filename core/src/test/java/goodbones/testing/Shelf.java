package goodbones.testing;

import goodbones.document.Edit;
import goodbones.document.Editor;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.document.Variant;
import goodbones.library.AsksFirst;
import goodbones.library.Expanded;
import goodbones.library.Library;
import goodbones.library.PageEditor;
import goodbones.library.PieceGraph;
import goodbones.library.Placements;
import goodbones.library.Revision;
import goodbones.library.Showing;
import goodbones.library.VariantEditor;
import goodbones.propagation.FollowUps;
import goodbones.propagation.Rebasing;
import goodbones.propagation.Settlement;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** A library in memory: pieces that stand in each other, with revisions and their follow-ups. */
public final class Shelf implements Library {
  private final Map<String, List<Revision>> revisions = new HashMap<>();
  private final Map<String, Expanded> expanded = new HashMap<>();

  @Override
  public Revision revision(String pieceId, int number) {
    return revisions.get(pieceId).get(number - 1);
  }

  @Override
  public Expanded expanded(String pieceId, int number) {
    String key = pieceId + " " + number;
    Expanded known = expanded.get(key);
    if (known == null) {
      known = Library.super.expanded(pieceId, number);
      expanded.put(key, known);
    }
    return known;
  }

  public int current(String pieceId) {
    return revisions.get(pieceId).size();
  }

  public Set<String> pieces() {
    return revisions.keySet();
  }

  /** A new piece, with its first revision. */
  public void keep(String pieceId, Node root) {
    revisions.put(pieceId, new ArrayList<>(List.of(new Revision(pieceId, 1, root, "", 1))));
  }

  public PieceGraph graph() {
    Map<String, Collection<String>> contained = new HashMap<>();
    for (String piece : revisions.keySet()) {
      Set<String> inside = new HashSet<>();
      Placements.of(revision(piece, current(piece)).root())
          .values()
          .forEach(placement -> inside.add(placement.pieceId()));
      contained.put(piece, inside);
    }
    return new PieceGraph(contained);
  }

  /** Releases a document as the next revision, with the follow-ups of what contains the piece. */
  public FollowUps.Outcome release(
      String pieceId, Node root, Function<FollowUps.Asked, Optional<Settlement>> decided) {
    List<Revision> all = revisions.get(pieceId);
    all.add(new Revision(pieceId, all.size() + 1, root, "", 1));
    return follow(pieceId, decided);
  }

  /** What follows from a piece as it is now. */
  public FollowUps.Outcome follow(
      String pieceId, Function<FollowUps.Asked, Optional<Settlement>> decided) {
    FollowUps.Outcome outcome =
        new FollowUps(this, graph(), this::current).of(Set.of(pieceId), decided);
    for (FollowUps.FollowUp next : outcome.followUps()) {
      revisions.get(next.revision().pieceId()).add(next.revision());
    }
    return outcome;
  }

  /** Marks a revision as one that was gone back on. */
  public void goBackOn(String pieceId, int number) {
    Revision r = revision(pieceId, number);
    revisions
        .get(pieceId)
        .set(number - 1, new Revision(pieceId, number, r.root(), r.note(), r.finishes(), true));
  }

  /** Edits a piece's document, and what stands in it. */
  public PageEditor editor() {
    return new PageEditor(Showing.BOUND, this, new Rebasing(this, Showing.BOUND));
  }

  /** A piece's current document after some random edits that were not refused, at any depth. */
  public Node edited(String pieceId, Trees trees, int edits) {
    Node now = revision(pieceId, current(pieceId)).root();
    for (int i = 0; i < edits; i++) {
      try {
        now = edited(now, trees);
      } catch (Refused | AsksFirst refused) {
        // A refused edit changes nothing.
      }
    }
    return now;
  }

  private Node edited(Node now, Trees trees) {
    List<Variant> forms = now.options().variants();
    int what = trees.random().nextInt(12);
    if (what < 2) {
      return editor().apply(now, trees.edit(now, node -> !node.kind().isMember(), true)).root();
    } else if (what == 2 && forms.size() < 3) {
      Variant form = Variant.of("form" + trees.random().nextInt(4), "A form");
      return Editor.apply(now, new Edit.SetVariant(now.id(), form.id(), Optional.of(form))).root();
    } else if (what == 3 && !forms.isEmpty()) {
      String gone = forms.get(trees.random().nextInt(forms.size())).id();
      return Editor.apply(now, new Edit.SetVariant(now.id(), gone, Optional.empty())).root();
    } else if (what < 8 && !forms.isEmpty()) {
      String form = forms.get(trees.random().nextInt(forms.size())).id();
      VariantEditor editor = new VariantEditor(now, form, this);
      Edit edit = trees.edit(editor.shown(), node -> node.id().isInside(), false);
      return editor.apply(edit, library -> new Rebasing(library, Showing.BOUND)).root();
    }
    return editor().apply(now, trees.edit(editor().shown(now), node -> true, true)).root();
  }

  /** A placement of a piece as it is now. */
  public Node placing(NodeId id, String pieceId) {
    return Node.placing(id, "", pieceId)
        .withPlacement(Placement.of(pieceId).withBound(current(pieceId)));
  }

  public Trees.Placeable placeable(String pieceId) {
    Kind root = expanded(pieceId, current(pieceId)).drawn().kind();
    return new Trees.Placeable(pieceId, current(pieceId), root);
  }
}
