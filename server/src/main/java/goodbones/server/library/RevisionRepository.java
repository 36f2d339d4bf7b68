package goodbones.server.library;

import java.util.List;
import org.springframework.data.repository.CrudRepository;

interface RevisionRepository extends CrudRepository<RevisionEntity, RevisionEntity.Key> {
  List<RevisionEntity> findByIdPieceIdOrderByIdNumberDesc(String pieceId);
}
