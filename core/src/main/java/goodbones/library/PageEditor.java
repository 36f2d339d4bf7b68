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
import java.util.List;

/** Carries out edits that are aimed at what a page shows, placements included. */
public final class PageEditor {
  private final Adopted adopted;
  private final Library library;
  private final Fillings fillings;

  public PageEditor(Adopted adopted, Library library) {
    this(adopted, library, new Fillings());
  }

  /**
   * @param fillings those of the page that is edited
   */
  public PageEditor(Adopted adopted, Library library, Fillings fillings) {
    this.adopted = adopted;
    this.library = library;
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
    requireNoneNew(page, now);
    return new Edited(now, inverses.size() == 1 ? inverses.get(0) : new Edit.Group(inverses));
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
    requireNoneNew(page, edited.root());
    return edited;
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
      Node revision = library.revision(placement.pieceId(), adopted.shownBy(placement)).root();
      boolean inserts =
          local.value().get() instanceof LocalValue.PlacedUnder placed
              && placed.inserted().isPresent();
      if (!inserts && revision.find(local.key().node()).isEmpty()) {
        throw Refused.at(
            node,
            "Revision "
                + adopted.shownBy(placement)
                + " of the piece no longer has what this would change; nothing was changed");
      }
    }
  }
}
