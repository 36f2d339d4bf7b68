package goodbones.server.sites;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

interface SiteSheetRepository extends CrudRepository<SiteSheet, SiteSheet.Key> {
  /** What is said about one thing, of all sites. */
  @Query("select s from SiteSheet s where s.id.about = :about order by s.id.siteId")
  List<SiteSheet> about(String about);
}
