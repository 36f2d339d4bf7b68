package goodbones.server.sites;

import java.util.List;
import org.springframework.data.repository.CrudRepository;

interface AdoptedRepository extends CrudRepository<AdoptedRow, AdoptedRow.Key> {
  List<AdoptedRow> findByIdSiteId(String siteId);
}
