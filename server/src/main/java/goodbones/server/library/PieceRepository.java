package goodbones.server.library;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PieceRepository extends JpaRepository<PieceEntity, String> {
  List<PieceEntity> findAllByOrderByName();

  @Query(
      "select new goodbones.server.library.PieceName(p.id, p.name, p.currentRevision) from PieceEntity p"
          + " order by p.name")
  List<PieceName> names();

  @Query(
      "select new goodbones.server.library.PieceRevision(p.id, p.currentRevision)"
          + " from PieceEntity p")
  List<PieceRevision> currents();

  /** Those of some that are drafts only. */
  @Query("select p.id from PieceEntity p where p.currentRevision = 0 and p.id in :ids")
  List<String> unreleased(Collection<String> ids);

  @Query("select p.version from PieceEntity p where p.id = :id")
  Optional<Long> version(String id);
}
