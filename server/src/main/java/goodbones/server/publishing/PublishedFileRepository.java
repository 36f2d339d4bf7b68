package goodbones.server.publishing;

import java.util.List;
import org.springframework.data.repository.CrudRepository;

interface PublishedFileRepository extends CrudRepository<PublishedFile, PublishedFile.Key> {
  List<PublishedFile> findByIdSiteId(String siteId);
}
