package goodbones.server.pictures;

import goodbones.server.problems.BadInput;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api/pictures")
class PictureController {
  /** A picture that is opened by itself runs nothing and asks for nothing. */
  private static final String POLICY =
      "sandbox; default-src 'none'; img-src data:; style-src 'unsafe-inline'";

  private final Pictures pictures;

  PictureController(Pictures pictures) {
    this.pictures = pictures;
  }

  @GetMapping
  List<PictureView> pictures() {
    return pictures.all();
  }

  /**
   * A picture that was brought in.
   *
   * @param leftOut what did not come along, because it could run or fetch something, or is not
   *     known
   */
  record Added(PictureView picture, List<String> leftOut) {}

  @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  Added add(@RequestPart("file") MultipartFile file) throws IOException {
    if (file.isEmpty()) {
      throw new BadInput("file", "The file is empty; choose another one");
    }
    String name = file.getOriginalFilename();
    Pictures.TakenIn taken = pictures.add(name == null ? "picture" : name, file.getBytes());
    return new Added(taken.picture(), List.copyOf(taken.leftOut()));
  }

  @GetMapping("/{id}/file")
  ResponseEntity<byte[]> file(@PathVariable String id) {
    Picture picture = pictures.get(id);
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(picture.mediaType()))
        .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate().immutable())
        .header("Content-Security-Policy", POLICY)
        .body(picture.bytes());
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
