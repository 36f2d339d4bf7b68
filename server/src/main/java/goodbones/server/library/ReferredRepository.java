package goodbones.server.library;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

interface ReferredRepository extends CrudRepository<ReferredRow, ReferredRow.Key> {
  /** What one document refers to. */
  @Query(
      "select r from ReferredRow r where r.id.ownerKind = :kind and r.id.ownerId = :owner"
          + " and r.id.revision = :revision")
  List<ReferredRow> of(String kind, String owner, int revision);

  /** The documents that refer to something. */
  @Query(
      "select new goodbones.server.library.Referrer(r.id.ownerKind, r.id.ownerId, r.id.revision,"
          + " coalesce(r.siteId, '')) from ReferredRow r"
          + " where r.id.kind = :kind and r.id.refId = :id"
          + " order by r.id.ownerKind, r.id.ownerId, r.id.revision")
  List<Referrer> to(String kind, String id);

  /**
   * In how many places something of a kind is referred to: pages, drafts, and pieces as they are
   * now.
   */
  @Query(
      "select new goodbones.server.library.Users(r.id.refId, count(distinct concat(r.id.ownerKind,"
          + " r.id.ownerId))) from ReferredRow r where r.id.kind = :kind and (r.id.revision = 0 or"
          + " r.id.revision = (select p.currentRevision from PieceEntity p where p.id ="
          + " r.id.ownerId)) group by r.id.refId")
  List<Users> users(String kind);

  /** What is bound in which revision. */
  @Query(
      "select new goodbones.server.library.BoundIn(r.id.ownerId, r.id.revision, r.id.refId)"
          + " from ReferredRow r where r.id.kind = 'bound'")
  List<BoundIn> bound();
}
