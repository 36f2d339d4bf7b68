package goodbones.server.finishes;

import org.springframework.data.repository.CrudRepository;

interface SiteStyleRepository extends CrudRepository<SiteStyle, SiteStyle.Key> {}
