package goodbones.server.pictures;

import goodbones.server.problems.NotFound;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The pictures that sites use. */
@Service
public class Pictures {
  private final PictureRepository repository;

  /** Pictures never change under their id. */
  private final Map<String, Raster> rasters = new ConcurrentHashMap<>();

  Pictures(PictureRepository repository) {
    this.repository = repository;
  }

  /**
   * Takes a picture in.
   *
   * @throws goodbones.server.problems.BadInput if the file is not a picture
   */
  @Transactional
  public PictureView add(String fileName, byte[] bytes) {
    return add(UUID.randomUUID().toString(), fileName, bytes);
  }

  @Transactional
  public PictureView add(String id, String fileName, byte[] bytes) {
    PictureFile file = PictureFile.read(fileName, bytes);
    Picture picture =
        new Picture(
            id,
            cleaned(fileName, file.ending()),
            file.mediaType(),
            file.width(),
            file.height(),
            bytes);
    repository.save(picture);
    return new PictureView(id, picture.fileName(), file.width(), file.height());
  }

  private static String cleaned(String fileName, String ending) {
    String stem = fileName.replaceFirst("\\.[^.]*$", "").toLowerCase(Locale.ROOT);
    String plain = stem.replaceAll("[^a-z0-9]+", "-").replaceAll("^-+|-+$", "");
    String shortened = plain.length() > 80 ? plain.substring(0, 80) : plain;
    return (shortened.isEmpty() ? "picture" : shortened) + "." + ending;
  }

  /**
   * @throws NotFound if there is no such picture
   */
  @Transactional(readOnly = true)
  public Picture get(String id) {
    return repository.findById(id).orElseThrow(() -> new NotFound("picture", id));
  }

  /**
   * The pixels of a picture, read once.
   *
   * @throws NotFound if there is no such picture
   */
  @Transactional(readOnly = true)
  public Raster raster(String id) {
    return rasters.computeIfAbsent(id, wanted -> Raster.of(get(wanted)));
  }

  public boolean exists(String id) {
    return repository.existsById(id);
  }

  List<PictureView> all() {
    return repository.views();
  }
}
