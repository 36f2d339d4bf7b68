package goodbones.server.library;

import java.util.List;
import org.springframework.data.repository.CrudRepository;

interface PieceRepository extends CrudRepository<PieceEntity, String> {
  List<PieceEntity> findAllByOrderByName();
}
