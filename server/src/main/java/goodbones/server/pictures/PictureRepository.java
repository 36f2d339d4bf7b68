package goodbones.server.pictures;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

interface PictureRepository extends CrudRepository<Picture, String> {
  @Query(
      "select new goodbones.server.pictures.PictureView(p.id, p.fileName, p.width, p.height)"
          + " from Picture p order by p.fileName")
  List<PictureView> views();

  List<Picture> findByRebuiltFalse();
}
