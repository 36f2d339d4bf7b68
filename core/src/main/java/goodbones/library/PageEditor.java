package goodbones.library;

import goodbones.document.Catalogue;
import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Editor;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Carries out edits that are aimed at what a page shows, placements included. */
public final class PageEditor {
  private final Adopted adopted;
  private final Library library;
  private final Settler settler;
  private final Fillings fillings;

  public PageEditor(Adopted adopted, Library library, Settler settler) {
    this(adopted, library, settler, new Fillings());
  }

  /**
   * @param settler makes what comes from another revision hold on the one that is shown
   * @param fillings those of the page that is edited
   */
  public PageEditor(Adopted adopted, Library library, Settler settler, Fillings fillings) {
    this.adopted = adopted;
    this.library = library;
    this.settler = settler;
    this.fillings = fillings;
  }

  public Shown shown(Node page) {
    return Shown.of(page, adopted, library, fillings);
  }

  /**
   * Applies an edit to a page. What is stored changes; what is shown must still be allowed.
   *
   * @return the page as it is to be stored, and the inverse, which is aimed at what is stored
   * @throws Refused if the edit makes no sense; the page given in is untouched
   */
  public Edited apply(Node page, Edit edit) {
    List<Edit> inverses = new ArrayList<>();
    Node now = page;
    for (Edit step : steps(edit)) {
      boolean aimedInside = step.nodes().stream().anyMatch(NodeId::isInside);
      Edit onStored = aimedInside ? LocalEdits.translate(now, shown(now), step) : step;
      Edited edited = Editor.step(now, onStored);
      inverses.add(0, edited.inverse());
      now = edited.root();
    }
    now = settled(page, now, inverses);
    requireNoneNew(page, now);
    return new Edited(now, inverses.size() == 1 ? inverses.get(0) : new Edit.Group(inverses));
  }

  /**
   * Nothing is shown on a revision that its changes were not settled on: what was edited is settled
   * on the one that is shown, and what comes from another one, or shows another one now, is rebased
   * to it. What cannot be settled by itself waits on the revision that it comes from.
   */
  private Node settled(Node before, Node after, List<Edit> inverses) {
    Map<NodeId, Placement> old = placements(before);
    Node now = after;
    for (Map.Entry<NodeId, Placement> entry : placements(after).entrySet()) {
      Placement placement = entry.getValue();
      Optional<Placement> was = Optional.ofNullable(old.get(entry.getKey()));
      if (was.filter(placement::equals).isEmpty()) {
        Placement settled = settled(entry.getKey(), placement, was);
        Edited edited = Editor.step(now, new Edit.SetPlacement(entry.getKey(), settled));
        // To be settled on a newer revision needs no undoing: all that stands holds there too.
        if (!settled.equals(placement.withSettled(settled.settled()))) {
          inverses.add(0, edited.inverse());
        }
        now = edited.root();
      }
    }
    return now;
  }

  private Placement settled(NodeId id, Placement placement, Optional<Placement> was) {
    int shown = adopted.shownBy(placement);
    boolean sameView =
        was.filter(w -> w.settled() == placement.settled() && adopted.shownBy(w) == shown)
            .isPresent();
    if (sameView || placement.settled() == 0 || placement.settled() == shown) {
      return placement.withSettled(shown);
    }
    Placement after = settler.settle(id, placement.withPin(Optional.empty()), shown);
    return after.pin().isPresent() ? after : after.withPin(placement.pin());
  }

  private static Map<NodeId, Placement> placements(Node page) {
    Map<NodeId, Placement> placements = new LinkedHashMap<>();
    page.walk(node -> node.placement().ifPresent(p -> placements.put(node.id(), p)));
    return placements;
  }

  /** One step after the other: each is aimed at what the one before it leads to. */
  private static List<Edit> steps(Edit edit) {
    return edit instanceof Edit.Group group
        ? group.edits().stream().flatMap(each -> steps(each).stream()).toList()
        : List.of(edit);
  }

  /**
   * Applies an inverse that an earlier edit gave, for undo and redo.
   *
   * @param edit aimed at what is stored
   * @throws Refused if its target is gone since, for example because another revision is shown now
   */
  public Edited reapply(Node page, Edit edit) {
    requireTargets(page, edit);
    Edited edited = Editor.apply(page, edit);
    List<Edit> inverses = new ArrayList<>(List.of(edited.inverse()));
    Node now = settled(page, edited.root(), inverses);
    requireNoneNew(page, now);
    return new Edited(now, inverses.size() == 1 ? inverses.get(0) : new Edit.Group(inverses));
  }

  private void requireNoneNew(Node before, Node after) {
    Catalogue.requireNoneNew(before, after);
    Catalogue.requireNoneNew(shown(before).root(), shown(after).root());
  }

  private void requireTargets(Node page, Edit edit) {
    if (edit instanceof Edit.Group group) {
      group.edits().forEach(each -> requireTargets(page, each));
    } else if (edit instanceof Edit.SetLocal local && local.value().isPresent()) {
      Node node = page.find(local.placement()).orElseThrow(() -> Refused.gone(local.placement()));
      Placement placement = node.placement().orElseThrow(() -> Refused.gone(node.id()));
      int shown = adopted.shownBy(placement);
      Node revision = library.revision(placement.pieceId(), shown).root();
      LocalValue value = local.value().get();
      boolean inserts =
          value instanceof LocalValue.PlacedUnder placed && placed.inserted().isPresent();
      if (!inserts && revision.find(local.key().node()).isEmpty()) {
        throw Refused.at(
            node,
            "Revision "
                + shown
                + " of the piece no longer has what this would change; nothing was changed");
      }
      requireUntouched(node, placement, local, shown);
    }
  }

  /** A change brought back must still be one that the library did not make otherwise since. */
  private void requireUntouched(Node node, Placement placement, Edit.SetLocal local, int shown) {
    if (local.settled() == 0 || local.settled() == shown) {
      return;
    }
    Placement alone =
        Placement.of(placement.pieceId())
            .withSettled(local.settled())
            .withChange(local.key(), local.value());
    if (settler.settle(node.id(), alone, shown).pin().isPresent()) {
      throw Refused.at(
          node,
          "This was made on revision "
              + local.settled()
              + " of the piece, and revision "
              + shown
              + " changed the same; set it anew where you want it. Nothing was changed");
    }
  }
}
