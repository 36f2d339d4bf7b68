package goodbones.library;

import goodbones.document.Catalogue;
import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Editor;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalChange;
import goodbones.document.LocalKey;
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
import java.util.SortedMap;
import java.util.TreeMap;

/** Carries out edits that are aimed at what a page shows, placements included. */
public final class PageEditor {
  private final Showing showing;
  private final Library library;
  private final Settler settler;
  private final Fillings fillings;
  private final boolean pagesOwn;

  public PageEditor(Showing showing, Library library, Settler settler) {
    this(showing, library, settler, new Fillings());
  }

  /**
   * @param showing which revisions the document's own placements show
   * @param settler makes what comes from another revision hold on the one that is shown
   * @param fillings those of the page that is edited
   */
  public PageEditor(Showing showing, Library library, Settler settler, Fillings fillings) {
    this(showing, library, settler, fillings, false);
  }

  private PageEditor(
      Showing showing, Library library, Settler settler, Fillings fillings, boolean pagesOwn) {
    this.showing = showing;
    this.library = library;
    this.settler = settler;
    this.fillings = fillings;
    this.pagesOwn = pagesOwn;
  }

  /** The same, but where it would ask first, the page's own holds. */
  public PageEditor withPagesOwn() {
    return new PageEditor(showing, library, settler, fillings, true);
  }

  public Shown shown(Node page) {
    return Shown.of(page, showing, library, fillings);
  }

  /**
   * Applies an edit to a page. What is stored changes; what is shown must still be allowed.
   *
   * @return the page as it is to be stored, and the inverse, which is aimed at what is stored
   * @throws Refused if the edit makes no sense; the page given in is untouched
   * @throws AsksFirst if something would be seen again that the library changed too since
   */
  public Edited apply(Node page, Edit edit) {
    Run run = new Run(page);
    edit.steps().forEach(step -> run.carryOut(translated(run.now, step)));
    return finished(run);
  }

  /**
   * Applies an edit; what of it is aimed at an item of one of the document's own lists, and is not
   * the item's own to say, is done to the pattern that all its items are made from.
   *
   * @throws Refused if the edit makes no sense; the page given in is untouched
   */
  public Edited applyToEvery(Node page, Edit edit) {
    Run run = new Run(page);
    for (Edit step : edit.steps()) {
      run.carryOut(
          EveryItem.of(run.now, step)
              .map(every -> translated(every.pattern(), every.step()))
              .orElseGet(() -> translated(run.now, step)));
    }
    return finished(run);
  }

  private Edit translated(Node document, Edit step) {
    return LocalEdits.isOfShown(step)
        ? LocalEdits.translate(document, shown(document), showing, library, step)
        : step;
  }

  /** Carries out steps one after the other, and collects what brings everything back. */
  private final class Run {
    private final Node before;
    private final List<Edit> inverses = new ArrayList<>();
    private final SortedMap<LocalKey, Optional<FieldValue>> filled = new TreeMap<>();
    private Node now;

    Run(Node before) {
      this.before = before;
      this.now = before;
    }

    void carryOut(Edit edit) {
      for (Edit asked : edit.steps()) {
        new LocalSteps(showing, library).stored(now, asked).forEach(this::step);
      }
    }

    private void step(Edit step) {
      if (step instanceof Edit.FillSite fill) {
        LocalKey key = SiteFillings.key(fill.slot(), fill.field());
        Optional<FieldValue> was = ofSite(fill);
        filled.put(key, fill.value());
        inverses.add(0, new Edit.FillSite(fill.slot(), fill.field(), was, fill.value()));
      } else {
        Edited edited = Editor.step(now, step);
        inverses.add(0, edited.inverse());
        now = edited.root();
      }
    }

    private Optional<FieldValue> ofSite(Edit.FillSite fill) {
      return showing.fillings().with(filled).of(fill.slot(), fill.field());
    }

    /** What fills the site is brought back only over what the edit itself had filled. */
    void requireFilled(Edit edit) {
      for (Edit step : edit.steps()) {
        if (step instanceof Edit.FillSite fill && !ofSite(fill).equals(fill.was())) {
          throw Refused.at(
              before,
              "These words of the whole site were changed from another page since; set them anew."
                  + " Nothing was changed");
        }
      }
    }
  }

  /** What every way to another document ends with: it is settled, and allowed. */
  private Edited finished(Run run) {
    run.now = settled(run.before, run.now, run.inverses);
    new Layers(showing, library).followed(run.before, run.now).forEach(run::carryOut);
    requireNoneNew(run.before, run.now);
    List<Edit> inverses = run.inverses;
    Edit inverse = inverses.size() == 1 ? inverses.get(0) : new Edit.Group(inverses);
    return new Edited(run.now, inverse, run.filled);
  }

  /**
   * Nothing is shown on a revision that its changes were not settled on: what was edited, what
   * comes from elsewhere and what shows another revision now is rebased. What cannot be settled by
   * itself waits on the revision that it was shown on.
   */
  private Node settled(Node before, Node after, List<Edit> inverses) {
    Map<NodeId, Placement> old = Placements.of(before);
    Node now =
        Placements.mapped(
            after,
            (path, placement) -> {
              Optional<Placement> was = Optional.ofNullable(old.get(path));
              return was.filter(placement::equals).isPresent()
                  ? placement
                  : settled(path, placement, was);
            });
    Map<NodeId, Placement> settled = own(now);
    own(after)
        .forEach(
            (id, placement) -> {
              if (!placement.equals(settled.get(id))) {
                inverses.add(0, new Edit.SetPlacement(id, placement));
              }
            });
    return now;
  }

  /** Those of the document's own tree. */
  private static Map<NodeId, Placement> own(Node document) {
    Map<NodeId, Placement> placements = new LinkedHashMap<>();
    document.walk(
        node -> {
          if (node.kind() == Kind.PLACEMENT) {
            node.placement().ifPresent(placement -> placements.put(node.id(), placement));
          }
        });
    return placements;
  }

  private Placement settled(NodeId id, Placement edited, Optional<Placement> was) {
    int shown = showing.shownBy(edited);
    Placement placement = edited.made(shown);
    Optional<Placement> before = was.filter(w -> w.pieceId().equals(placement.pieceId()));
    if (before.isEmpty()) {
      return settler.arrived(id, placement, shown);
    }
    int from = showing.shownBy(before.get());
    if (from == shown) {
      return settler.edited(id, before.get(), placement, shown, pagesOwn);
    }
    Placement after = settler.moved(id, placement.withPin(Optional.empty()), from, shown);
    return after.pin().isPresent() ? after : after.withPin(placement.pin());
  }

  /**
   * Applies an inverse that an earlier edit gave, for undo and redo.
   *
   * @param asked aimed at what was stored
   * @throws Refused if its target is gone since, for example because another revision is shown now
   * @throws AsksFirst if the library changed the same since
   */
  public Edited reapply(Node page, Edit asked) {
    asked.steps().forEach(step -> requireSamePiece(page, step));
    asked.steps().forEach(step -> requireTarget(page, step, asked));
    Run run = new Run(page);
    run.requireFilled(asked);
    run.carryOut(asked);
    return finished(run);
  }

  /** What was said of one piece is nothing that another one, put there since, could have. */
  private static void requireSamePiece(Node page, Edit step) {
    NodeId at;
    String piece;
    if (step instanceof Edit.SetLocal e) {
      at = e.placement();
      piece = e.piece();
    } else if (step instanceof Edit.SetOrder e) {
      at = e.placement();
      piece = e.piece();
    } else if (step instanceof Edit.SetPin e) {
      at = e.placement();
      piece = e.piece();
    } else {
      return;
    }
    page.find(at)
        .filter(node -> node.kind() == Kind.PLACEMENT && !piece.isEmpty())
        .filter(node -> node.placement().filter(p -> !p.pieceId().equals(piece)).isPresent())
        .ifPresent(
            node -> {
              throw Refused.at(
                  node,
                  "Another piece was put here since; take that back first. Nothing was changed");
            });
  }

  private void requireNoneNew(Node before, Node after) {
    Catalogue.requireNoneNew(before, after);
    Catalogue.requireNoneNew(shown(before).root(), shown(after).root());
  }

  private void requireTarget(Node page, Edit step, Edit whole) {
    if (!(step instanceof Edit.SetLocal local)
        || local.value().isEmpty()
        || local.value().get() instanceof LocalValue.IsRemoved
        || !page.find(local.placement()).map(n -> n.kind() == Kind.PLACEMENT).orElse(true)) {
      return;
    }
    Node node = page.find(local.placement()).orElseThrow(() -> Refused.gone(local.placement()));
    Placement placement = node.placement().orElseThrow(() -> Refused.gone(node.id()));
    int shown = showing.shownBy(placement);
    Translation translation = Translation.of(library, with(placement, node.id(), whole), shown);
    LocalKey key = translation.key(local.key(), local.madeOn());
    boolean inserts =
        local.value().get() instanceof LocalValue.PlacedUnder placed
            && placed.inserted().isPresent();
    if (!inserts && !translation.target().has(key.node()) && !isInserted(placement, key.node())) {
      throw Refused.at(
          node,
          "Revision "
              + shown
              + " of the piece no longer has what this would change; nothing was changed");
    }
  }

  /** With what an edit chooses: items that it brings back are there then. */
  private static Placement with(Placement placement, NodeId at, Edit edit) {
    Placement with = placement;
    for (Edit step : edit.steps()) {
      if (step instanceof Edit.SetLocal local
          && local.placement().equals(at)
          && local.key().aspect().isPick()) {
        with =
            with.withChange(
                local.key(), local.value().map(value -> new LocalChange(value, local.madeOn())));
      }
    }
    return with;
  }

  private static boolean isInserted(Placement placement, NodeId id) {
    return placement.changes().values().stream()
        .anyMatch(
            change ->
                change.value() instanceof LocalValue.PlacedUnder placed
                    && placed.inserted().flatMap(tree -> tree.find(id)).isPresent());
  }
}
