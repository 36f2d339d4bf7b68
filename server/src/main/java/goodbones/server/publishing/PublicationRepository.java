package goodbones.server.publishing;

import org.springframework.data.repository.CrudRepository;

interface PublicationRepository extends CrudRepository<Publication, String> {}
