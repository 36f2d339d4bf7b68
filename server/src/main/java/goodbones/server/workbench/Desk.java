package goodbones.server.workbench;

import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.server.problems.BadInput;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.workbench.Views.PieceDraft;
import goodbones.server.workbench.Views.PlacementView;
import goodbones.structure.Bench;
import goodbones.style.NamedStyle;
import goodbones.style.SiteFinishes;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A document that is worked on, a page or a piece in a client's look, as it stands now. */
interface Desk {
  String id();

  String title();

  SiteInfo site();

  long version();

  /** Grows with every change of what its site has adopted; 0 for a piece. */
  long stamp();

  /** Which revisions the placements in it show. */
  Showing showing();

  /** Where the pieces are looked up that stand in it. */
  Library library();

  /**
   * A placement of a piece as it would be put here.
   *
   * @throws goodbones.server.problems.BadInput if it cannot stand here yet
   */
  Placement placing(String pieceId);

  /**
   * Checks that what an edit changed at placements holds although the site shows other revisions by
   * now than those on which it was made.
   *
   * @param stamp of what the site had adopted then
   * @throws goodbones.server.problems.Stale if the library changed the same meanwhile
   */
  void requireHolds(Edited edited, long stamp);

  /** What its history is kept under. */
  String historyId();

  /** What hands work on: the document, or a form of it as one. */
  Node stored();

  /** The document as it is kept. */
  default Node kept() {
    return stored();
  }

  Shown shown();

  SiteFinishes look();

  /** The named styles that it can have. */
  List<NamedStyle> namedStyles();

  /**
   * Applies an edit that is aimed at what is shown. Nothing is kept yet.
   *
   * @param everyItem whether what is aimed at an item of a list is done to its pattern
   * @param own whether what would be asked first is answered with the page's own
   * @throws goodbones.library.AsksFirst if something would be seen again that the library changed
   */
  Edited apply(Edit edit, boolean everyItem, boolean own);

  /**
   * Applies an inverse of an earlier edit. Nothing is kept yet.
   *
   * @param own whether what would be asked first is answered with the page's own
   * @throws goodbones.library.AsksFirst if the library changed the same since
   */
  Edited reapply(Edit inverse, boolean own);

  /** Keeps what an edit led to; the desk shows that from then on. */
  Desk write(Edited edited);

  /** Keeps a named style that an edit made. */
  void keep(NamedStyle style);

  /** The one client that a piece on the desk belongs to; empty for all, and for a page. */
  String ownerSiteId();

  /**
   * The document of an earlier revision, if a piece is on the desk.
   *
   * @throws BadInput if there is no such revision, or a page is on the desk
   */
  default Node earlier(int revision) {
    throw new BadInput("revision", "A page has no revisions; undo goes back");
  }

  /** Keeps a piece that an edit places. */
  void keep(ReadEdit.Kept piece);

  List<PlacementView> placements();

  /** Where a piece stands; null for a page. */
  @Nullable PieceDraft piece();

  /** The page on the desk, or the part that pages share; empty for a piece. */
  default Optional<PageState> page() {
    return Optional.empty();
  }

  /** What is kept of its last drawing. */
  DeskMemo memo();

  default Bench bench() {
    return new Bench(
        stored(),
        shown(),
        look(),
        () -> NodeId.of(UUID.randomUUID().toString()),
        library(),
        showing());
  }
}
