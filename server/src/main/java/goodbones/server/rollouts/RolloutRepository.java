package goodbones.server.rollouts;

import java.time.Instant;
import java.util.List;
import org.springframework.data.repository.CrudRepository;

interface RolloutRepository extends CrudRepository<RolloutEntity, Long> {
  List<RolloutEntity> findAllByOrderByIdDesc();

  List<RolloutEntity> findByTakenBackIsNullAndIdGreaterThanOrderById(long id);

  List<RolloutEntity> findByTakenBackIsNullAndAppliedGreaterThanEqualOrderById(Instant applied);
}
