package goodbones.server.sites;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PageRepository extends JpaRepository<PageEntity, String> {
  List<PageEntity> findBySiteIdOrderByAddress(String siteId);

  long countBySiteId(String siteId);

  /** The documents of a site, shared parts too, without what stands in them; in their order. */
  @Query(
      "select new goodbones.server.sites.PageInfo(p.id, p.siteId, p.title, p.address,"
          + " p.description, p.picture, p.shared, p.kind, p.parentId, p.ready, p.changed,"
          + " p.version, p.sections, (select count(r) from PlacedRow r"
          + " where r.id.ownerKind = 'page' and r.id.ownerId = p.id))"
          + " from PageEntity p where p.siteId = :siteId order by p.position, p.address")
  List<PageInfo> infos(String siteId);

  /** The pages of a site as its tree has them, in their order. */
  @Query(
      "select new goodbones.server.sites.FiledPage(p.id, p.title, p.address, p.kind, p.parentId,"
          + " p.ready, p.description, p.picture) from PageEntity p where p.siteId = :siteId and p.shared = false"
          + " order by p.position, p.address")
  List<FiledPage> filed(String siteId);

  /** The pages of all sites by their names, by site and address. */
  @Query(
      "select new goodbones.server.sites.PageName(p.id, p.siteId, p.title, p.address)"
          + " from PageEntity p where p.shared = false order by p.siteId, p.address")
  List<PageName> names();

  /** How many pages each site has, how many of them are in work, and when one was written last. */
  @Query(
      "select new goodbones.server.sites.PageCount(p.siteId, count(p),"
          + " sum(case when p.ready = true then 0L else 1L end), max(p.changed))"
          + " from PageEntity p where p.shared = false group by p.siteId")
  List<PageCount> counts();

  /** When a page of a site, or a part that they share, was written last. */
  @Query("select max(p.changed) from PageEntity p where p.siteId = :siteId")
  Optional<Instant> lastChanged(String siteId);

  /** The first page of each site, by its address. */
  @Query(
      "select new goodbones.server.sites.PageName(p.id, p.siteId, p.title, p.address)"
          + " from PageEntity p where p.address = '/'")
  List<PageName> homes();

  @Query(
      "select new goodbones.server.sites.PageName(p.id, p.siteId, p.title, p.address)"
          + " from PageEntity p where p.siteId = :siteId and p.shared = true order by p.title, p.id")
  List<PageName> shared(String siteId);

  /** The pictures that stand for pages, each as often as it does. */
  @Query("select p.picture from PageEntity p where p.picture <> ''")
  List<String> pictures();

  @Query("select p from PageEntity p where p.siteId = :siteId and p.shared = false")
  List<PageEntity> ofSite(String siteId);

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

  /** Some pages by their names; what is not there is left out. */
  @Query(
      "select new goodbones.server.sites.PageName(p.id, p.siteId, p.title, p.address)"
          + " from PageEntity p where p.id in :ids")
  List<PageName> names(Collection<String> ids);
}
