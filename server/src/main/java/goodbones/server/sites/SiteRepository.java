package goodbones.server.sites;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

interface SiteRepository extends CrudRepository<SiteEntity, String> {
  List<SiteEntity> findAllByOrderByName();

  /** A site that nobody else changes or works on the pages of until the transaction ends. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select s from SiteEntity s where s.id = :id")
  Optional<SiteEntity> held(String id);

  /** Grows with every change of which pages there are, and of what is said of them. */
  @Query("select s.filed from SiteEntity s where s.id = :id")
  Optional<Long> filed(String id);

  /**
   * Raised in the database itself, so that of two who do so at once each has a number of its own.
   */
  @Modifying(flushAutomatically = true)
  @Query("update SiteEntity s set s.filed = s.filed + 1 where s.id = :id")
  void refile(String id);
}
