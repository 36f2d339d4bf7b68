package goodbones.server.pictures;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.CrudRepository;

interface PictureRepository extends CrudRepository<Picture, String> {
  /** All pictures without their files, the house's first. */
  @Query(
      "select new goodbones.server.pictures.PictureView(p.id, p.siteId, p.file.fileName,"
          + " p.file.mediaType, p.file.width, p.file.height, p.fileVersion, p.alt, p.decoration,"
          + " p.tags, p.focusX, p.focusY, p.away) from Picture p order by p.file.fileName")
  List<PictureView> views();

  List<Picture> findByRebuiltFalse();
}
