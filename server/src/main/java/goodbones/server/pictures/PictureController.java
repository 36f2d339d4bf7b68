package goodbones.server.pictures;

import goodbones.server.problems.NotFound;
import java.time.Duration;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;

@RestController
@RequestMapping("/api/pictures")
class PictureController {
  /** A picture that is opened by itself runs nothing and asks for nothing. */
  private static final String POLICY =
      "sandbox; default-src 'none'; img-src data:; style-src 'unsafe-inline'";

  private static final CacheControl FOR_EVER =
      CacheControl.maxAge(Duration.ofDays(30)).cachePrivate().immutable();

  private final Pictures pictures;

  PictureController(Pictures pictures) {
    this.pictures = pictures;
  }

  /**
   * A picture's file. Where the address names the version it never changes; else a browser asks
   * again.
   *
   * @param width in px of a narrower file; 0 for the whole
   * @param v the version
   */
  @GetMapping("/{id}/file")
  ResponseEntity<byte[]> file(
      @PathVariable String id,
      @RequestParam(defaultValue = "0") int width,
      @RequestParam(defaultValue = "-1") int v,
      WebRequest request) {
    PictureView picture = pictures.book().find(id).orElseThrow(() -> new NotFound("picture", id));
    String tag = picture.version() + "-" + width;
    ResponseEntity.BodyBuilder answer =
        ResponseEntity.status(HttpStatus.OK)
            .contentType(MediaType.parseMediaType(picture.mediaType()))
            .cacheControl(v == picture.version() ? FOR_EVER : CacheControl.noCache())
            .eTag(tag)
            .header("Content-Security-Policy", POLICY);
    return request.checkNotModified("\"" + tag + "\"")
        ? ResponseEntity.status(HttpStatus.NOT_MODIFIED).build()
        : answer.body(pictures.bytes(id, width));
  }

  /**
   * A colour of a picture.
   *
   * @param share how much of the picture, ground left out, it stands for, 0 to 1
   */
  record SwatchView(String css, double share) {}

  @GetMapping("/{id}/palette")
  List<SwatchView> palette(@PathVariable String id) {
    return pictures.raster(id).palette().stream()
        .map(swatch -> new SwatchView(swatch.colour().css(), swatch.share()))
        .toList();
  }

  /** The colour at a point; x and y are shares of width and height, 0 to 1. */
  @GetMapping("/{id}/colour")
  SwatchView colour(@PathVariable String id, @RequestParam double x, @RequestParam double y) {
    return new SwatchView(pictures.raster(id).at(x, y).css(), 0);
  }
}
