package goodbones.server.sites;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

interface SiteRepository extends CrudRepository<SiteEntity, String> {
  List<SiteEntity> findAllByOrderByName();

  /** A site that nobody else changes or works on the pages of until the transaction ends. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select s from SiteEntity s where s.id = :id")
  Optional<SiteEntity> held(String id);
}
