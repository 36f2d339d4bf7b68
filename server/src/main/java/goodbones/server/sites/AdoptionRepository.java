package goodbones.server.sites;

import java.util.List;
import org.springframework.data.repository.CrudRepository;

interface AdoptionRepository extends CrudRepository<AdoptionRow, AdoptionRow.Key> {
  List<AdoptionRow> findByIdSiteIdAndIdStampGreaterThanOrderByIdStampDesc(
      String siteId, long stamp);
}
