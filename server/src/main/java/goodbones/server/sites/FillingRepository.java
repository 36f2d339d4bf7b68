package goodbones.server.sites;

import java.util.List;
import org.springframework.data.repository.CrudRepository;

interface FillingRepository extends CrudRepository<FillingRow, FillingRow.Key> {
  List<FillingRow> findByIdSiteId(String siteId);
}
