package goodbones.server.workbench;

import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Library;
import goodbones.library.Placements;
import goodbones.library.Shown;
import goodbones.propagation.MadeBefore;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.history.Changes;
import goodbones.server.library.Pieces;
import goodbones.server.problems.Stale;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import goodbones.server.workbench.Views.PieceDraft;
import goodbones.server.workbench.Views.PlacementView;
import goodbones.style.FinishesStep;
import goodbones.style.NamedStyle;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A page that is worked on. */
final class PageDesk extends OpenDesk {
  private final Desks desks;
  private final Sites sites;
  private final Pieces pieces;
  private final FinishesStore finishes;
  private final PageState page;
  private final Adopted adopted;
  private final long stamp;
  private final Shown shown;

  PageDesk(Desks desks, PageState page) {
    this(desks, page, desks.sites().adopted(page.siteId()));
  }

  private PageDesk(Desks desks, PageState page, Adopted adopted) {
    super(
        desks,
        Changes.ofPage(page.id()),
        desks.sites().get(page.siteId()),
        desks.finishes().forSite(page.siteId()),
        adopted);
    this.desks = desks;
    this.sites = desks.sites();
    this.pieces = desks.pieces();
    this.finishes = desks.finishes();
    this.page = page;
    this.adopted = adopted;
    this.stamp = sites.stamp(page.siteId());
    this.shown = editor(false).shown(page.root());
  }

  @Override
  public String id() {
    return page.id();
  }

  @Override
  public String title() {
    return page.title();
  }

  @Override
  public long version() {
    return page.version();
  }

  @Override
  public long stamp() {
    return stamp;
  }

  @Override
  public Library library() {
    return pieces;
  }

  @Override
  public Placement placing(String pieceId) {
    int revision = adopted.revisions().getOrDefault(pieceId, pieces.toPlace(pieceId));
    finishes.requireShown(
        site().id(),
        site().name(),
        pieces.revision(pieceId, revision).finishes(),
        "Revision " + revision + " of “" + pieces.names().get(pieceId) + "”");
    return Placement.of(pieceId).withBound(revision);
  }

  @Override
  public void requireHolds(Edited edited, long then) {
    if (then == stamp) {
      return;
    }
    Set<LocalKey> since = sites.filledSince(site().id(), then);
    if (edited.fillings().keySet().stream().anyMatch(since::contains)) {
      throw new Stale("What is filled for the whole site");
    }
    Node after = edited.root();
    MadeBefore.asks(page.root(), after, sites.adopted(site().id(), then), adopted, pieces)
        .ifPresent(
            path -> {
              Placement placement = Objects.requireNonNull(Placements.of(after).get(path));
              throw new Stale("“" + pieces.get(placement.pieceId()).name() + "”");
            });
  }

  @Override
  public String historyId() {
    return Changes.ofPage(page.id());
  }

  @Override
  public Node stored() {
    return page.root();
  }

  @Override
  public Shown shown() {
    return shown;
  }

  @Override
  public List<NamedStyle> namedStyles() {
    return look().namedStyles();
  }

  @Override
  public Edited apply(Edit edit, boolean everyItem, boolean own) {
    return editor(own).apply(page.root(), edit);
  }

  @Override
  public Desk write(Edited edited) {
    if (!edited.fillings().isEmpty()) {
      sites.fill(site().id(), edited.fillings());
    }
    return edited.root().equals(page.root())
        ? new PageDesk(desks, page)
        : new PageDesk(desks, sites.write(page.id(), page.version(), edited.root()));
  }

  @Override
  public String ownerSiteId() {
    return "";
  }

  @Override
  public void keep(NamedStyle style) {
    finishes.edit(
        FinishesStep.style(site().id(), style.id(), Optional.of(style)),
        "add the style " + style.name());
  }

  @Override
  public List<PlacementView> placements() {
    return desks.views().placements(page.root(), shown, look());
  }

  @Override
  public Optional<PageState> page() {
    return Optional.of(page);
  }

  @Override
  public @Nullable PieceDraft piece() {
    return null;
  }
}
