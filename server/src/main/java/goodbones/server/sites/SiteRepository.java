package goodbones.server.sites;

import java.util.List;
import org.springframework.data.repository.CrudRepository;

interface SiteRepository extends CrudRepository<SiteEntity, String> {
  List<SiteEntity> findAllByOrderByName();
}
