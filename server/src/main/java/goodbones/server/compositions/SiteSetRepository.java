package goodbones.server.compositions;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface SiteSetRepository extends JpaRepository<SiteSetEntity, String> {
  List<SiteSetEntity> findAllByOrderByPosition();
}
