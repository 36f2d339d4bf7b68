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

  /** What is bound in which revision. */
  @Query(
      "select new goodbones.server.library.BoundIn(r.id.ownerId, r.id.revision, r.id.refId)"
          + " from ReferredRow r where r.id.kind = 'bound'")
  List<BoundIn> bound();
}
