package goodbones.server.fonts;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.CrudRepository;

interface ClientFontRepository extends CrudRepository<ClientFont, String> {
  List<ClientFont> findBySiteIdOrderByFamilyAscLeastAsc(String siteId);

  Optional<ClientFont> findByFileName(String fileName);
}
