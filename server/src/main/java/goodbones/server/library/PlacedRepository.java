package goodbones.server.library;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

interface PlacedRepository extends CrudRepository<PlacedRow, PlacedRow.Key> {
  /** What is placed in one document itself. */
  @Query("select p from PlacedRow p where p.id.ownerKind = :kind and p.id.ownerId = :owner")
  List<PlacedRow> of(String kind, String owner);

  @Query(
      "select new goodbones.server.library.Reach(count(p), count(distinct p.id.ownerId),"
          + " count(distinct p.siteId), sum(case when p.held = true then 1 else 0 end))"
          + " from PlacedRow p where p.id.ownerKind = 'page' and p.pieceId in :pieces")
  Reach reach(Collection<String> pieces);

  /** Whatever is placed on pages. */
  @Query(Use.OF_ROW + " where p.id.ownerKind = 'page' order by p.id.ownerId, p.id.path")
  List<Use> placedOn();

  /** The same, of some pages. */
  @Query(
      Use.OF_ROW
          + " where p.id.ownerKind = 'page' and p.id.ownerId in :pages"
          + " order by p.id.ownerId, p.id.path")
  List<Use> placedOn(Collection<String> pages);

  /** The pieces that are placed in one document itself. */
  @Query(
      "select distinct p.pieceId from PlacedRow p"
          + " where p.id.ownerKind = :kind and p.id.ownerId = :owner")
  List<String> in(String kind, String owner);

  /** The sites at which a piece is placed itself, but one. */
  @Query(
      "select distinct p.siteId from PlacedRow p where p.pieceId = :piece"
          + " and p.id.ownerKind = 'page' and p.siteId <> :site")
  List<String> sitesOtherThan(String piece, String site);

  /** The pieces in which one stands itself, or in their drafts. */
  @Query(
      "select distinct new goodbones.server.library.Contained(p.id.ownerId, p.pieceId)"
          + " from PlacedRow p where p.id.ownerKind <> 'page' and p.pieceId = :piece")
  List<Contained> containing(String piece);

  /** Wherever a piece is placed itself. */
  @Query(Use.OF_ROW + " where p.pieceId = :piece order by p.id.ownerKind, p.id.ownerId, p.id.path")
  List<Use> uses(String piece);

  /** The revisions on which placements stay on pages, held or waiting. */
  @Query(
      "select distinct new goodbones.server.library.StaysOn(p.pieceId, p.pinned,"
          + " coalesce(p.siteId, '')) from PlacedRow p"
          + " where p.id.ownerKind = 'page' and p.pinned is not null")
  List<StaysOn> stays();

  /** Pages on which a piece of a site is placed. */
  @Query(
      "select distinct p.id.ownerId from PlacedRow p where p.id.ownerKind = 'page'"
          + " and p.siteId = :site and p.pieceId in :pieces")
  List<String> pages(String site, Collection<String> pieces);

  /** Pages of a site on which a piece is placed with local changes. */
  @Query(
      "select distinct p.id.ownerId from PlacedRow p where p.id.ownerKind = 'page'"
          + " and p.siteId = :site and p.pieceId in :pieces and p.changes > 0")
  List<String> changedPages(String site, Collection<String> pieces);

  /** Which pieces stand in which, by owner kind {@code piece} or {@code draft}. */
  @Query(
      "select distinct new goodbones.server.library.Contained(p.id.ownerId, p.pieceId)"
          + " from PlacedRow p where p.id.ownerKind = :kind")
  List<Contained> contained(String kind);

  /** What is bound to another revision than its piece's current one. */
  @Query(
      "select distinct p.id.ownerId from PlacedRow p, PieceEntity c"
          + " where p.id.ownerKind in ('piece', 'draft') and c.id = p.pieceId"
          + " and p.bound <> c.currentRevision")
  List<String> waiting();

  @Query(
      "select p from PlacedRow p where p.id.ownerKind = 'page' and p.pieceId in :pieces"
          + " order by p.id.ownerId, p.id.path")
  List<PlacedRow> onPages(Collection<String> pieces);
}
