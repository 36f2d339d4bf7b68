package goodbones.server.finishes;

import java.util.List;
import org.springframework.data.repository.CrudRepository;

interface SiteValueRepository extends CrudRepository<SiteValue, SiteValue.Key> {
  List<SiteValue> findByIdSiteId(String siteId);
}
