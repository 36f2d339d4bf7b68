package goodbones.server.sites;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface PageRepository extends JpaRepository<PageEntity, String> {
  List<PageEntity> findBySiteIdOrderByAddress(String siteId);
}
