package goodbones.server.finishes;

import org.springframework.data.repository.CrudRepository;

interface AdoptedFinishesRepository extends CrudRepository<AdoptedFinishes, String> {}
