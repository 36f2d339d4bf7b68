package goodbones.server.library;

import java.util.List;
import org.springframework.data.repository.CrudRepository;

interface PlacementRepository extends CrudRepository<PlacementRow, PlacementRow.Key> {
  List<PlacementRow> findByPieceId(String pieceId);

  void deleteByIdPageId(String pageId);
}
