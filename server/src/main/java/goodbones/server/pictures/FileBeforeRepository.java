package goodbones.server.pictures;

import java.util.Optional;
import java.util.Set;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

interface FileBeforeRepository extends CrudRepository<FileBefore, FileBefore.Key> {
  /** The file before the present one. */
  Optional<FileBefore> findFirstByIdPictureIdOrderByIdFileVersionDesc(String pictureId);

  /** The pictures that have had another file. */
  @Query("select distinct b.id.pictureId from FileBefore b")
  Set<String> pictures();
}
