package goodbones.server.sites;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

interface GonePageRepository extends CrudRepository<GonePage, String> {
  /** When a page of a site was taken away last. */
  @Query("select max(g.gone) from GonePage g where g.siteId = :siteId")
  Optional<Instant> lastGone(String siteId);

  List<GonePage> findBySiteIdOrderByGoneDesc(String siteId);
}
