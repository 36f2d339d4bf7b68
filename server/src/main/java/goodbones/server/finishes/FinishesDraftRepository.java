package goodbones.server.finishes;

import org.springframework.data.repository.CrudRepository;

interface FinishesDraftRepository extends CrudRepository<FinishesDraft, Integer> {}
