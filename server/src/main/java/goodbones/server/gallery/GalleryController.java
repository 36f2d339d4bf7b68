package goodbones.server.gallery;

import goodbones.server.pictures.Picture;
import goodbones.server.pictures.PictureView;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.Upload;
import java.io.IOException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api/pictures")
class GalleryController {
  private final Gallery gallery;

  GalleryController(Gallery gallery) {
    this.gallery = gallery;
  }

  /**
   * A picture with how far it is used.
   *
   * @param uses the pages, pieces and clients' details that have it
   * @param earlier whether it has had another file that can be put back
   */
  record PictureCard(PictureView picture, int uses, boolean earlier) {}

  /** All pictures, the house's and every client's, also those that are put away. */
  @GetMapping
  List<PictureCard> pictures() {
    return gallery.all();
  }

  /** What pages of a client may have: its own pictures and the house's. */
  @GetMapping("/at-hand")
  List<PictureView> atHand(@RequestParam String site) {
    return gallery.of(site);
  }

  /**
   * A picture that was brought in.
   *
   * @param leftOut what did not come along, because it could run or fetch something, or is not
   *     known
   */
  record Added(PictureView picture, List<String> leftOut) {
    static Added of(Pictures.TakenIn taken) {
      return new Added(taken.picture(), List.copyOf(taken.leftOut()));
    }
  }

  /**
   * Brings a picture in.
   *
   * @param site whose it is; empty for the house's
   * @param away whether it is offered nowhere, as a picture to work from
   */
  @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  Added add(
      @RequestPart("file") MultipartFile file,
      @RequestParam(defaultValue = "") String site,
      @RequestParam(defaultValue = "false") boolean away)
      throws IOException {
    Upload sent = Upload.of(file);
    Pictures.TakenIn taken = gallery.add(site, sent.name(), sent.content());
    if (!away) {
      return Added.of(taken);
    }
    PictureView put =
        gallery.describe(taken.picture().id(), taken.picture().etag(), Picture.Described::putAway);
    return Added.of(new Pictures.TakenIn(put, taken.leftOut()));
  }

  /** Gives a picture another file wherever it is used. */
  @PostMapping(path = "/{id}/file", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  Added replace(
      @PathVariable String id, @RequestParam String etag, @RequestPart("file") MultipartFile file)
      throws IOException {
    Upload sent = Upload.of(file);
    return Added.of(gallery.replace(id, etag, sent.name(), sent.content()));
  }

  /** Puts the file back that a picture had before. */
  @PostMapping("/{id}/earlier")
  PictureView putBack(@PathVariable String id, @RequestParam String etag) {
    return gallery.putBack(id, etag);
  }

  /** What is said anew of a picture; what is left out stays as it is. */
  record SaidOfPicture(
      @Nullable String fileName,
      @Nullable String alt,
      @Nullable Boolean decoration,
      @Nullable List<String> tags,
      @Nullable Double focusX,
      @Nullable Double focusY,
      @Nullable Boolean away) {
    Picture.Described on(Picture.Described before) {
      return new Picture.Described(
          fileName == null ? before.fileName() : fileName,
          alt == null ? before.alt() : alt,
          decoration == null ? before.decoration() : decoration,
          tags == null ? before.tags() : tags,
          focusX == null ? before.focusX() : focusX,
          focusY == null ? before.focusY() : focusY,
          away == null ? before.away() : away);
    }
  }

  /** Says something of a picture; one that is used somewhere cannot be put away. */
  @PatchMapping("/{id}")
  PictureView describe(
      @PathVariable String id, @RequestParam String etag, @RequestBody SaidOfPicture said) {
    return gallery.describe(id, etag, said::on);
  }
}
