package goodbones.server.library;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface PieceRepository extends JpaRepository<PieceEntity, String> {
  List<PieceEntity> findAllByOrderByName();
}
