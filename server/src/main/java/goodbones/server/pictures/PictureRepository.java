package goodbones.server.pictures;

import goodbones.document.FieldValue;
import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

interface PictureRepository extends CrudRepository<Picture, String> {
  @Query(
      "select new goodbones.server.pictures.PictureView(p.id, p.fileName, p.width, p.height)"
          + " from Picture p where p.id <> '"
          + FieldValue.Picture.STAND_IN_ID
          + "' order by p.fileName")
  List<PictureView> views();

  List<Picture> findByRebuiltFalse();
}
