package goodbones.server.gallery;

import goodbones.document.FieldValue;
import goodbones.server.gallery.GalleryController.PictureCard;
import goodbones.server.library.Referred;
import goodbones.server.library.UsageIndex;
import goodbones.server.pictures.Picture;
import goodbones.server.pictures.PictureView;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.NotFound;
import goodbones.server.sites.ClientDetails;
import goodbones.server.sites.Sites;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The pictures with whose they are and where they are used. */
@Service
class Gallery {
  private final Pictures pictures;
  private final UsageIndex usage;
  private final Sites sites;
  private final ClientDetails details;

  Gallery(Pictures pictures, UsageIndex usage, Sites sites, ClientDetails details) {
    this.pictures = pictures;
    this.usage = usage;
    this.sites = sites;
    this.details = details;
  }

  @Transactional(readOnly = true)
  List<PictureCard> all() {
    Map<String, Integer> uses = usage.users(Referred.PICTURE);
    Set<String> earlier = pictures.withEarlier();
    List<String> others = new ArrayList<>(sites.pagePictures());
    sites.all().forEach(site -> others.add(site.logo()));
    others.addAll(details.icons());
    return pictures.all().stream()
        .map(
            picture ->
                new PictureCard(
                    picture,
                    uses.getOrDefault(picture.id(), 0)
                        + Collections.frequency(others, picture.id()),
                    earlier.contains(picture.id())))
        .toList();
  }

  List<PictureView> of(String siteId) {
    return pictures.of(siteId);
  }

  /**
   * @throws NotFound if there is no such client
   * @throws BadInput if the file is not a picture, or is beyond a limit
   */
  Pictures.TakenIn add(String siteId, String fileName, byte[] bytes) {
    if (!siteId.isEmpty()) {
      sites.get(siteId);
    }
    return pictures.add(siteId, fileName, bytes);
  }

  Pictures.TakenIn replace(String id, String etag, String fileName, byte[] bytes) {
    return pictures.replace(shown(id), etag, fileName, bytes);
  }

  PictureView putBack(String id, String etag) {
    return pictures.putBack(shown(id), etag);
  }

  /**
   * @throws BadInput if it is used somewhere and would be put away, or what is said is not sound
   */
  PictureView describe(String id, String etag, UnaryOperator<Picture.Described> change) {
    return pictures.describe(
        shown(id),
        etag,
        before -> {
          Picture.Described said = change.apply(before);
          if (said.away() && !before.away()) {
            requireUnused(id);
          }
          return said;
        });
  }

  /** The picture that only stands in is the application's own. */
  private static String shown(String id) {
    if (id.equals(FieldValue.Picture.STAND_IN_ID)) {
      throw new NotFound("picture", id);
    }
    return id;
  }

  private void requireUnused(String id) {
    int uses =
        all().stream()
            .filter(card -> card.picture().id().equals(id))
            .mapToInt(PictureCard::uses)
            .sum();
    if (uses > 0) {
      throw new BadInput(
          "away",
          "The picture is used in "
              + uses
              + (uses == 1 ? " place" : " places")
              + "; give them another one first, or give this one another file");
    }
  }
}
