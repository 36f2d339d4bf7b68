package goodbones.server.accounts;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

interface PersonRepository extends CrudRepository<Person, String> {
  Optional<Person> findByNameKey(String nameKey);

  boolean existsByDemoFalse();

  /**
   * Takes a code for a password, once however many try at the same time.
   *
   * @return how many did: 1 or 0
   */
  @Modifying(flushAutomatically = true, clearAutomatically = true)
  @Query(
      "update Person p set p.passwordHash = :password, p.codeHash = null, p.codeUntil = null"
          + " where p.id = :id and p.codeHash = :code")
  int redeem(String id, String code, String password);

  List<Person> findAllByOrderByNameKey();
}
