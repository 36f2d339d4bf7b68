package goodbones.server.sites;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PageRepository extends JpaRepository<PageEntity, String> {
  List<PageEntity> findBySiteIdOrderByAddress(String siteId);

  /** The pages of all sites without their documents. */
  @Query(
      "select new goodbones.server.sites.PageInfo(p.id, p.siteId, p.title, p.address, p.changed,"
          + " p.version, p.sections, (select count(r) from PlacedRow r"
          + " where r.id.ownerKind = 'page' and r.id.ownerId = p.id))"
          + " from PageEntity p order by p.siteId, p.address")
  List<PageInfo> infos();

  @Query("select count(p) > 0 from PageEntity p where p.siteId = :siteId and p.address = :address")
  boolean hasAddress(String siteId, String address);

  @Query(
      "select new goodbones.server.sites.PageVersion(p.id, p.version)"
          + " from PageEntity p where p.siteId = :siteId")
  List<PageVersion> versions(String siteId);

  @Query("select p.version from PageEntity p where p.id = :id")
  Optional<Long> version(String id);

  @Query("select s.stamp from SiteEntity s, PageEntity p where p.id = :id and s.id = p.siteId")
  Optional<Long> stamp(String id);

  @Query("select p.siteId from PageEntity p where p.id = :id")
  Optional<String> siteId(String id);

  @Query("select p.title from PageEntity p where p.id = :id")
  Optional<String> title(String id);

  /** Pages with placements that do not know yet what they are settled on. */
  @Query(
      "select p from PageEntity p where p.document like '%\"pieceId\"%'"
          + " and p.document not like '%\"settled\":%'")
  List<PageEntity> unsettled();
}
