package goodbones.server.pictures;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

interface PictureSizeRepository extends CrudRepository<PictureSize, PictureSize.Key> {
  /** The sizes that there are, without their files. */
  @Query("select s.id from PictureSize s")
  List<PictureSize.Key> keys();
}
