package goodbones.server.sites;

import org.springframework.data.repository.CrudRepository;

interface SiteSheetRepository extends CrudRepository<SiteSheet, SiteSheet.Key> {}
