package goodbones.server.pictures;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.NotFound;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The pictures that sites use. */
@Service
public class Pictures {
  private static final int KEPT_BYTES = 48 * 1024 * 1024;
  private static final int BYTES_A_PIXEL = 4;
  private final PictureRepository repository;
  private final DrawingRoom room;

  /** What came of drawing a picture: its pixels, or why there are none. */
  private record Drawn(@Nullable Raster raster, @Nullable BadInput refused) {
    int bytes() {
      return 100 + (raster == null ? 0 : raster.argb().length * BYTES_A_PIXEL);
    }
  }

  /** Pictures never change under their id. */
  private final Cache<String, Drawn> drawn =
      Caffeine.newBuilder()
          .maximumWeight(KEPT_BYTES)
          .<String, Drawn>weigher((id, one) -> one.bytes())
          .build();

  private final ThreadLocal<@Nullable Set<String>> missed = new ThreadLocal<>();

  Pictures(PictureRepository repository, DrawingRoom room) {
    this.repository = repository;
    this.room = room;
  }

  /** A picture that was taken in, and names of what did not come along with it. */
  record TakenIn(PictureView picture, Set<String> leftOut) {}

  /**
   * Takes a picture in.
   *
   * @throws BadInput if the file is not a picture, or is beyond a limit
   */
  TakenIn add(String fileName, byte[] bytes) {
    return add(UUID.randomUUID().toString(), fileName, bytes);
  }

  /**
   * @throws BadInput as {@link #add(String, byte[])}
   */
  public TakenIn add(String id, String fileName, byte[] bytes) {
    PictureFile file = PictureFile.read(fileName, bytes);
    Picture picture =
        new Picture(
            id,
            cleaned(fileName, file.ending()),
            file.mediaType(),
            file.width(),
            file.height(),
            file.bytes());
    repository.save(picture);
    return new TakenIn(
        new PictureView(id, picture.fileName(), file.width(), file.height()), file.leftOut());
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
   * The pixels of a picture, drawn once. It takes its time, so it is not for transactions; they ask
   * {@link #known}.
   *
   * @throws NotFound if there is no such picture
   * @throws BadInput if it cannot be drawn, or not in time
   */
  public Raster raster(String id) {
    Drawn now = drawn.getIfPresent(id);
    if (now == null) {
      now = draw(id);
      drawn.put(id, now);
    }
    if (now.raster() == null) {
      throw Objects.requireNonNull(now.refused());
    }
    return now.raster();
  }

  private Drawn draw(String id) {
    Picture picture = repository.findById(id).orElseThrow(() -> new NotFound("picture", id));
    try {
      return new Drawn(room.draw(picture), null);
    } catch (BadInput refused) {
      return new Drawn(null, refused);
    }
  }

  /**
   * Does work that asks for pixels by {@link #known}, and if some were not known yet, draws those
   * pictures and does it once more. So nothing is drawn while a transaction is open.
   */
  public <T> T withPixels(Supplier<T> work) {
    Set<String> wanted = new HashSet<>();
    missed.set(wanted);
    try {
      T result = work.get();
      if (wanted.isEmpty()) {
        return result;
      }
      wanted.stream().filter(repository::existsById).forEach(id -> drawn.put(id, draw(id)));
      return work.get();
    } finally {
      missed.remove();
    }
  }

  /** The pixels of a picture that was drawn before; empty if it was not, or cannot be. */
  public Optional<Raster> known(String id) {
    Drawn one = drawn.getIfPresent(id);
    Set<String> wanted = missed.get();
    if (one == null && wanted != null) {
      wanted.add(id);
    }
    return Optional.ofNullable(one).map(Drawn::raster);
  }

  public boolean exists(String id) {
    return repository.existsById(id);
  }

  public List<PictureView> all() {
    return repository.views();
  }
}
