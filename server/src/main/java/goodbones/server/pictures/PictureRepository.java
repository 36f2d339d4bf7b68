package goodbones.server.pictures;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Lock;
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

  /** A picture that nobody else changes until the transaction ends. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select p from Picture p where p.id = :id")
  Optional<Picture> held(String id);
}
