package goodbones.server.library;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface DescribedRepository extends JpaRepository<DescribedEntity, String> {
  /** Those of some pieces, which nobody can retire until the transaction ends. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select d from DescribedEntity d where d.pieceId in :pieces order by d.pieceId")
  List<DescribedEntity> locked(Collection<String> pieces);

  @Query("select d from DescribedEntity d where d.kind = ''")
  List<DescribedEntity> unknown();

  /** A name is no part of what is worked on: a draft that is open goes on. */
  @Modifying(clearAutomatically = true, flushAutomatically = true)
  @Query("update PieceEntity p set p.name = :name where p.id = :id")
  void rename(String id, String name);
}
