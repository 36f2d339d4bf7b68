package goodbones.server.pictures;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import goodbones.server.memory.Current;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Etag;
import goodbones.server.problems.NotFound;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionOperations;

/** The pictures of the house and of its clients. */
@Service
public class Pictures {
  private static final Logger LOG = LoggerFactory.getLogger(Pictures.class);

  /** What a page can need: a phone, a tablet and a desktop, at one and at two pixels for one. */
  static final List<Integer> WIDTHS = List.of(320, 640, 960, 1280, 1920, 2560);

  /** What is hardly narrower than the whole is not worth a file. */
  private static final double WORTH = 0.9;

  private static final int KEPT_BYTES = 48 * 1024 * 1024;
  private static final int BYTES_A_PIXEL = 4;
  private static final int LONGEST_NAME = 80;
  private static final int LONGEST_ALT = 300;
  private static final int LONGEST_TAG = 30;
  private static final int MOST_TAGS = 20;
  private final PictureRepository repository;
  private final FileBeforeRepository before;
  private final PictureSizeRepository sizes;
  private final TransactionOperations transactions;
  private final DrawingRoom room;

  /** What came of drawing a picture: its pixels, or why there are none. */
  private record Drawn(@Nullable Raster raster, @Nullable BadInput refused) {
    int bytes() {
      return 100 + (raster == null ? 0 : raster.argb().length * BYTES_A_PIXEL);
    }
  }

  /** One file of a picture, which never changes. */
  private record OneFile(String id, int version) {}

  private final Cache<OneFile, Drawn> drawn =
      Caffeine.newBuilder()
          .maximumWeight(KEPT_BYTES)
          .<OneFile, Drawn>weigher((id, one) -> one.bytes())
          .build();

  private final ThreadLocal<@Nullable Set<String>> missed = new ThreadLocal<>();

  private final Current<PictureBook> book = new Current<>(this::read);

  Pictures(
      PictureRepository repository,
      FileBeforeRepository before,
      PictureSizeRepository sizes,
      TransactionOperations transactions,
      DrawingRoom room) {
    this.repository = repository;
    this.before = before;
    this.sizes = sizes;
    this.transactions = transactions;
    this.room = room;
  }

  /** What is known of all pictures where they are drawn. */
  @Transactional(readOnly = true)
  public PictureBook book() {
    return book.get();
  }

  private PictureBook read() {
    return new PictureBook(repository.views(), sizes.keys());
  }

  /** A picture that was taken in, and names of what did not come along with it. */
  public record TakenIn(PictureView picture, Set<String> leftOut) {}

  /**
   * Takes a picture in.
   *
   * @param siteId whose it is; empty for the house's
   * @throws BadInput if the file is not a picture, or is beyond a limit
   */
  public TakenIn add(String siteId, String fileName, byte[] bytes) {
    return add(UUID.randomUUID().toString(), siteId, fileName, bytes);
  }

  /**
   * @throws BadInput as {@link #add(String, String, byte[])}
   */
  public TakenIn add(String id, String siteId, String fileName, byte[] bytes) {
    PictureFile file = PictureFile.read(fileName, bytes);
    StoredFile stored = new StoredFile(cleaned(fileName, file.ending()), file);
    Map<Integer, byte[]> narrower = narrower(file, stored);
    return written(
        () -> {
          repository.save(new Picture(id, siteId, stored));
          keep(id, 0, narrower);
          return new TakenIn(read().find(id).orElseThrow(), file.leftOut());
        });
  }

  /** What a page may need of a picture, made before anything is written: it takes its time. */
  private Map<Integer, byte[]> narrower(PictureFile file, StoredFile stored) {
    Map<Integer, byte[]> narrower = new TreeMap<>();
    if (file.isRaster()) {
      DrawingRoom.Sheet sheet = DrawingRoom.Sheet.of(stored);
      List<Integer> wanted = new ArrayList<>(WIDTHS);
      wanted.removeIf(width -> width > file.width() * WORTH);
      wanted.forEach(width -> narrower.put(width, room.narrower(sheet, width)));
      if (wanted.isEmpty()) {
        // A file that cannot be drawn is found out here, not on a page.
        room.narrower(sheet, file.width());
      }
    }
    return narrower;
  }

  private void keep(String id, int version, Map<Integer, byte[]> narrower) {
    narrower.forEach(
        (width, bytes) ->
            sizes.save(new PictureSize(new PictureSize.Key(id, version, width), bytes)));
  }

  /** Makes the sizes of pictures that were taken in before there were any. */
  void makeMissingSizes() {
    PictureBook now = book();
    for (PictureView picture : now.all()) {
      if (picture.madeOfPixels() && now.widths(picture.id()).isEmpty()) {
        makeSizes(picture.id());
      }
    }
  }

  private void makeSizes(String id) {
    StoredFile file = get(id).file();
    try {
      Map<Integer, byte[]> made = narrower(PictureFile.read(file.fileName(), file.bytes()), file);
      written(
          () -> {
            int version = get(id).fileVersion();
            keep(id, version, made);
            return version;
          });
    } catch (BadInput cannot) {
      LOG.warn("A picture is shown at its own size only: {}", cannot.getMessage());
    }
  }

  private <T> T written(Supplier<T> work) {
    return Objects.requireNonNull(
        transactions.execute(
            status -> {
              book.change();
              return work.get();
            }));
  }

  /**
   * Gives a picture another file wherever it is used. The one before is kept and can be put back.
   *
   * @throws NotFound if there is no such picture
   * @throws BadInput as {@link #add(String, String, byte[])}
   */
  public TakenIn replace(String id, String etag, String fileName, byte[] bytes) {
    PictureFile file = PictureFile.read(fileName, bytes);
    String stem = get(id).fileName().replaceFirst("\\.[^.]*$", "");
    StoredFile stored = new StoredFile(cleaned(stem, file.ending()), file);
    Map<Integer, byte[]> narrower = narrower(file, stored);
    return written(
        () -> {
          requireSeen(id, etag);
          put(get(id), stored, narrower);
          return new TakenIn(read().find(id).orElseThrow(), file.leftOut());
        });
  }

  private void put(Picture picture, StoredFile file, Map<Integer, byte[]> narrower) {
    before.save(new FileBefore(picture));
    int version = picture.fileVersion() + 1;
    picture.replace(file, version);
    repository.save(picture);
    keep(picture.id(), version, narrower);
  }

  /**
   * Puts the file back that a picture had before the present one.
   *
   * @throws NotFound if there is no such picture
   * @throws BadInput if it has had no other
   */
  public PictureView putBack(String id, String etag) {
    get(id);
    FileBefore earlier =
        before
            .findFirstByIdPictureIdOrderByIdFileVersionDesc(id)
            .orElseThrow(() -> new BadInput("picture", "The picture has had no other file"));
    StoredFile file = earlier.file();
    Map<Integer, byte[]> narrower = narrower(PictureFile.read(file.fileName(), file.bytes()), file);
    return written(
        () -> {
          requireSeen(id, etag);
          put(get(id), file, narrower);
          return read().find(id).orElseThrow();
        });
  }

  /** The ids of pictures that have had another file before the one that they have. */
  @Transactional(readOnly = true)
  public Set<String> withEarlier() {
    return before.pictures();
  }

  /**
   * Says something else of a picture.
   *
   * @param change from what is said of it to what is to be said
   * @throws NotFound if there is no such picture
   * @throws BadInput if what is said is too long, or the point lies outside
   */
  public PictureView describe(String id, String etag, UnaryOperator<Picture.Described> change) {
    return written(
        () -> {
          Picture picture = requireSeen(id, etag);
          String ending = picture.fileName().replaceFirst(".*\\.", "");
          picture.describe(sound(change.apply(picture.described()), ending));
          repository.save(picture);
          return read().find(id).orElseThrow();
        });
  }

  private Picture requireSeen(String id, String etag) {
    Picture picture = repository.held(id).orElseThrow(() -> new NotFound("picture", id));
    Etag.require(etag, read().find(id).orElseThrow().etag(), "This picture");
    return picture;
  }

  private static Picture.Described sound(Picture.Described said, String ending) {
    BadInput.require(
        said.alt().length() <= LONGEST_ALT,
        "alt",
        "An alternative text has at most " + LONGEST_ALT + " letters; say it shorter");
    BadInput.require(
        isShare(said.focusX()) && isShare(said.focusY()),
        "focus",
        "The focal point lies in the picture, between 0 and 1");
    List<String> tags =
        said.tags().stream().map(Pictures::tag).filter(t -> !t.isEmpty()).distinct().toList();
    BadInput.require(
        tags.size() <= MOST_TAGS,
        "tags",
        "A picture has at most " + MOST_TAGS + " tags; leave some out");
    return new Picture.Described(
        cleaned(said.fileName(), ending),
        said.alt().strip(),
        said.decoration(),
        tags,
        said.focusX(),
        said.focusY(),
        said.away());
  }

  /** A picture that is for all becomes a client's own. */
  public void give(String id, String siteId) {
    written(
        () -> {
          Picture picture = get(id);
          if (picture.siteId().isEmpty()) {
            picture.give(siteId);
            repository.save(picture);
          }
          return picture;
        });
  }

  private static boolean isShare(double share) {
    return share >= 0 && share <= 1;
  }

  private static String tag(String said) {
    String plain = said.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", "-");
    if (plain.length() > LONGEST_TAG) {
      throw new BadInput("tags", "A tag has at most " + LONGEST_TAG + " letters: “" + plain + "”");
    }
    return plain;
  }

  private static String cleaned(String fileName, String ending) {
    String stem = fileName.replaceFirst("\\.[^.]*$", "").toLowerCase(Locale.ROOT);
    String plain = stem.replaceAll("[^a-z0-9]+", "-").replaceAll("^-+|-+$", "");
    String shortened = plain.length() > LONGEST_NAME ? plain.substring(0, LONGEST_NAME) : plain;
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
   * A picture's file at a width; the whole where there is none of that width.
   *
   * @throws NotFound if there is no such picture
   */
  @Transactional(readOnly = true)
  public byte[] bytes(String id, int width) {
    Picture picture = get(id);
    return sizes
        .findById(new PictureSize.Key(id, picture.fileVersion(), width))
        .map(PictureSize::bytes)
        .orElseGet(picture::bytes);
  }

  /**
   * The pixels of a picture, drawn once. It takes its time, so it is not for transactions; they ask
   * {@link #known}.
   *
   * @throws NotFound if there is no such picture
   * @throws BadInput if it cannot be drawn, or not in time
   */
  public Raster raster(String id) {
    Picture picture = get(id);
    OneFile file = new OneFile(id, picture.fileVersion());
    Drawn now = drawn.getIfPresent(file);
    if (now == null) {
      now = draw(picture);
      drawn.put(file, now);
    }
    if (now.raster() == null) {
      throw Objects.requireNonNull(now.refused());
    }
    return now.raster();
  }

  private Drawn draw(Picture picture) {
    try {
      return new Drawn(room.draw(DrawingRoom.Sheet.of(picture.file())), null);
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
      repository
          .findAllById(wanted)
          .forEach(
              picture ->
                  drawn.put(new OneFile(picture.id(), picture.fileVersion()), draw(picture)));
      return work.get();
    } finally {
      missed.remove();
    }
  }

  /** The pixels of a picture that was drawn before; empty if it was not, or cannot be. */
  public Optional<Raster> known(String id) {
    int version = book().find(id).map(PictureView::version).orElse(0);
    Drawn one = drawn.getIfPresent(new OneFile(id, version));
    Set<String> wanted = missed.get();
    if (one == null && wanted != null) {
      wanted.add(id);
    }
    return Optional.ofNullable(one).map(Drawn::raster);
  }

  public boolean exists(String id) {
    return book().find(id).isPresent();
  }

  /** What pages of a client may have, by name: its own pictures and the house's. */
  public List<PictureView> of(String siteId) {
    return book().all().stream()
        .filter(picture -> picture.isFor(siteId) && !picture.away())
        .toList();
  }

  /** All pictures by name, without the one that only stands in. */
  public List<PictureView> all() {
    return book().all();
  }
}
