package goodbones.server.files;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

interface FileRepository extends CrudRepository<ClientFile, String> {
  /** All files without their content, by name. */
  @Query(
      "select new goodbones.server.files.FileView(f.id, f.siteId, f.fileName, f.mediaType, f.size,"
          + " f.fileVersion, f.away) from ClientFile f order by f.fileName")
  List<FileView> views();
}
