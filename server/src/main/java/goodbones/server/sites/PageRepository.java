package goodbones.server.sites;

import java.util.List;
import org.springframework.data.repository.CrudRepository;

interface PageRepository extends CrudRepository<PageEntity, String> {
  List<PageEntity> findBySiteIdOrderByAddress(String siteId);
}
