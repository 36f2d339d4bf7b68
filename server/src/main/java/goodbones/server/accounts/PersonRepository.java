package goodbones.server.accounts;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.CrudRepository;

interface PersonRepository extends CrudRepository<Person, String> {
  Optional<Person> findByNameKey(String nameKey);

  boolean existsByDemoFalse();

  List<Person> findAllByOrderByNameKey();
}
