package goodbones.server.compositions;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface CompositionRepository extends JpaRepository<CompositionEntity, String> {
  List<CompositionEntity> findAllByOrderByPosition();
}
