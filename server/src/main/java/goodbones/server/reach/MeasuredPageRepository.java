package goodbones.server.reach;

import org.springframework.data.repository.CrudRepository;

interface MeasuredPageRepository extends CrudRepository<MeasuredPage, MeasuredPage.Key> {}
