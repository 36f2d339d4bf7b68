package goodbones.server.reach;

import goodbones.colour.Colour;
import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.library.Shown;
import goodbones.server.documents.DocumentJson;
import goodbones.server.drawing.Frames;
import goodbones.server.pictures.Pictures;
import goodbones.server.pictures.Raster;
import goodbones.server.problems.BadInput;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.SiteFinishes;
import goodbones.survey.Contrast;
import goodbones.survey.Pair;
import goodbones.survey.Place;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Where boxes stand, as a browser measured it, and which pixels of a picture lie behind a text. A
 * browser is asked for what cannot be reckoned: how high a text is.
 */
@Service
public class Measures {
  private static final int MOST_BOXES = 20_000;
  private static final int GRID = 24;
  private final MeasuredPageRepository measured;
  private final Sites sites;
  private final SiteLooks looks;
  private final Pictures pictures;
  private final Frames frames;

  Measures(
      MeasuredPageRepository measured,
      Sites sites,
      SiteLooks looks,
      Pictures pictures,
      Frames frames) {
    this.measured = measured;
    this.sites = sites;
    this.looks = looks;
    this.pictures = pictures;
    this.frames = frames;
  }

  /** A page that a browser should measure, with the HTML to do it on. */
  public record ToMeasure(String pageId, String stamp, String html) {}

  public record Boxes(String stamp, String device, Map<String, Box> boxes) {}

  /**
   * The pages on which texts stand over pictures and that changed since they were measured.
   *
   * @param look the finishes that the site shows
   */
  @Transactional(readOnly = true)
  public List<ToMeasure> toMeasure(String siteId, SiteFinishes look) {
    SiteInfo site = sites.get(siteId);
    Set<String> overPictures = new HashSet<>();
    looks.of(siteId, look).pairs().keySet().stream()
        .map(Pair::place)
        .flatMap(Optional::stream)
        .forEach(place -> overPictures.add(place.page()));
    List<ToMeasure> wanted = new ArrayList<>();
    for (PageState page : sites.documents(siteId)) {
      if (overPictures.contains(page.id())) {
        String html = frames.html(sites.shown(page), look, site, page.title());
        String stamp = stamp(html);
        boolean fresh = true;
        for (Device device : Device.values()) {
          fresh &= stamp.equals(find(page.id(), device).map(MeasuredPage::stamp).orElse(""));
        }
        if (!fresh) {
          wanted.add(new ToMeasure(page.id(), stamp, html));
        }
      }
    }
    return wanted;
  }

  private static String stamp(String html) {
    return UUID.nameUUIDFromBytes(html.getBytes(StandardCharsets.UTF_8)).toString();
  }

  private Optional<MeasuredPage> find(String pageId, Device device) {
    return measured.findById(new MeasuredPage.Key(pageId, device.word()));
  }

  /**
   * Takes in what a browser measured.
   *
   * @throws BadInput if there are too many boxes, or one is no box
   */
  @Transactional
  public void measured(String pageId, Boxes boxes) {
    sites.page(pageId);
    boolean sound =
        boxes.boxes().size() <= MOST_BOXES
            && boxes.stamp().length() <= 64
            && boxes.boxes().values().stream()
                .allMatch(b -> Double.isFinite(b.x() + b.y() + b.width() + b.height()));
    if (!sound) {
      throw new BadInput("boxes", "These are no boxes of a page");
    }
    measured.save(
        new MeasuredPage(
            new MeasuredPage.Key(pageId, Device.ofWord(boxes.device()).word()),
            boxes.stamp(),
            DocumentJson.write(new Kept(boxes.boxes()))));
  }

  /** What is kept of a page at a device. */
  record Kept(Map<String, Box> boxes) {}

  /** The pixels behind the texts of a site, as its pages were measured last. */
  @Transactional(readOnly = true)
  public Contrast.Pixels pixels(String siteId) {
    Map<String, Map<Device, Map<String, Box>>> boxes = new HashMap<>();
    for (PageState page : sites.documents(siteId)) {
      for (Device device : Device.values()) {
        find(page.id(), device)
            .ifPresent(
                kept ->
                    boxes
                        .computeIfAbsent(page.id(), id -> new HashMap<>())
                        .put(device, DocumentJson.read(kept.boxes(), Kept.class).boxes()));
      }
    }
    if (boxes.isEmpty()) {
      return Contrast.Pixels.UNKNOWN;
    }
    return new Behind(boxes, looks.shown(siteId), pictures);
  }

  private static final class Behind implements Contrast.Pixels {
    private final Map<String, Map<Device, Map<String, Box>>> boxes;
    private final Map<String, Shown> pages;
    private final Pictures pictures;
    private final Map<List<Object>, List<Colour>> known =
        Collections.synchronizedMap(new LinkedHashMap<>());

    Behind(
        Map<String, Map<Device, Map<String, Box>>> boxes,
        Map<String, Shown> pages,
        Pictures pictures) {
      this.boxes = boxes;
      this.pages = pages;
      this.pictures = pictures;
    }

    @Override
    public List<Colour> behind(String pictureId, Place place, Device device) {
      return known.computeIfAbsent(
          List.of(pictureId, place, device), k -> sampled(pictureId, place, device));
    }

    private List<Colour> sampled(String pictureId, Place place, Device device) {
      Map<String, Box> here =
          boxes.getOrDefault(place.page(), Map.of()).getOrDefault(device, Map.of());
      Box text = here.get(place.node().value());
      Box ground = holder(place, pictureId).map(id -> here.get(id.value())).orElse(null);
      Raster picture = pictures.known(pictureId).orElse(null);
      if (text == null || ground == null || picture == null) {
        return List.of();
      }
      double scale = Math.max(ground.width() / picture.width(), ground.height() / picture.height());
      double width = picture.width() * scale;
      double height = picture.height() * scale;
      double left = ground.x() + (ground.width() - width) / 2;
      double top = ground.y() + (ground.height() - height) / 2;
      List<Colour> colours = new ArrayList<>();
      for (int i = 0; i < GRID; i++) {
        for (int j = 0; j < GRID; j++) {
          double x = text.x() + text.width() * (i + 0.5) / GRID;
          double y = text.y() + text.height() * (j + 0.5) / GRID;
          colours.add(picture.pixel((x - left) / width, (y - top) / height));
        }
      }
      return colours;
    }

    /** The box around a text that has the picture for its ground. */
    private Optional<NodeId> holder(Place place, String pictureId) {
      Node root = pages.get(place.page()).root();
      Optional<Node> at = root.find(place.node());
      while (at.isPresent()) {
        if (at.get().content().get("picture") instanceof FieldValue.Picture picture
            && picture.pictureId().equals(pictureId)) {
          return Optional.of(at.get().id());
        }
        at = root.parentOf(at.get().id());
      }
      return Optional.empty();
    }
  }
}
