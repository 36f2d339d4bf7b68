package goodbones.server.finishes;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.CrudRepository;

interface HouseFinishesRepository extends CrudRepository<HouseFinishes, Integer> {
  Optional<HouseFinishes> findFirstByOrderByRevisionDesc();

  List<HouseFinishes> findAllByOrderByRevisionDesc();
}
