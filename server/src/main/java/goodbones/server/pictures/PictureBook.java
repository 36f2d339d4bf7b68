package goodbones.server.pictures;

import goodbones.render.Pictured;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;

/**
 * What is known of all pictures where they are drawn. It is the same object as long as nothing
 * about any picture changes.
 */
public final class PictureBook implements Function<String, Pictured> {
  private final Map<String, PictureView> views = new TreeMap<>();
  private final Map<String, SortedSet<Integer>> widths = new HashMap<>();

  PictureBook(List<PictureView> pictures, List<PictureSize.Key> sizes) {
    pictures.forEach(picture -> views.put(picture.id(), picture));
    for (PictureSize.Key size : sizes) {
      find(size.pictureId())
          .filter(picture -> picture.version() == size.fileVersion())
          .ifPresent(
              picture ->
                  widths.computeIfAbsent(picture.id(), id -> new TreeSet<>()).add(size.width()));
    }
  }

  /** Where there are no pictures. */
  public static PictureBook empty() {
    return new PictureBook(List.of(), List.of());
  }

  public Optional<PictureView> find(String id) {
    return Optional.ofNullable(views.get(id));
  }

  /** All pictures by name, without the one that only stands in. */
  public List<PictureView> all() {
    return views.values().stream()
        .filter(picture -> !picture.standsIn())
        .sorted(Comparator.comparing(PictureView::fileName))
        .toList();
  }

  /** The widths in px at which a picture is kept besides its own; the smallest first. */
  public List<Integer> widths(String id) {
    return List.copyOf(widths.getOrDefault(id, new TreeSet<>()));
  }

  /** As the application itself serves it; one that is not known is drawn as a broken one. */
  @Override
  public Pictured apply(String id) {
    String url = "/api/pictures/" + id + "/file";
    return find(id)
        .map(picture -> pictured(picture, width -> url + query(picture, width)))
        .orElse(new Pictured(url, 0, 0, "", false, Pictured.Focus.CENTRE, List.of()));
  }

  private static String query(PictureView picture, int width) {
    String version = "?v=" + picture.version();
    return width == picture.width() ? version : version + "&width=" + width;
  }

  /**
   * @param url from a width in px to where that file is served; the picture's own for the whole
   */
  public Pictured pictured(PictureView picture, Function<Integer, String> url) {
    List<Pictured.Size> sizes = new ArrayList<>();
    if (picture.madeOfPixels()) {
      widths(picture.id()).forEach(width -> sizes.add(new Pictured.Size(width, url.apply(width))));
      sizes.add(new Pictured.Size(picture.width(), url.apply(picture.width())));
    }
    return new Pictured(
        url.apply(picture.width()),
        picture.width(),
        picture.height(),
        picture.decoration() ? "" : picture.alt(),
        picture.decoration(),
        new Pictured.Focus(picture.focusX(), picture.focusY()),
        sizes);
  }
}
