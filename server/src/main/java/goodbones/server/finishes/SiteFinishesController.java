package goodbones.server.finishes;

import goodbones.server.fonts.ClientFontView;
import goodbones.server.fonts.Fonts;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.Upload;
import goodbones.server.reach.Measures;
import goodbones.server.sites.Sites;
import java.io.IOException;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** A site's contrast and fonts. */
@RestController
@RequestMapping("/api")
class SiteFinishesController {
  private final ContrastSheet contrast;
  private final Measures measures;
  private final FinishesStore store;
  private final Typefaces typefaces;
  private final Fonts fonts;
  private final Sites sites;
  private final Pictures pictures;

  SiteFinishesController(
      ContrastSheet contrast,
      Measures measures,
      FinishesStore store,
      Typefaces typefaces,
      Fonts fonts,
      Sites sites,
      Pictures pictures) {
    this.contrast = contrast;
    this.measures = measures;
    this.store = store;
    this.typefaces = typefaces;
    this.fonts = fonts;
    this.sites = sites;
    this.pictures = pictures;
  }

  @GetMapping("/sites/{id}/contrast")
  FinishesViews.Sheet contrast(@PathVariable String id) {
    return pictures.withPixels(() -> contrast.of(id));
  }

  @GetMapping("/sites/{id}/to-measure")
  List<Measures.ToMeasure> toMeasure(@PathVariable String id) {
    return measures.toMeasure(id, store.forSite(id));
  }

  @PostMapping("/pages/{id}/boxes")
  void measured(@PathVariable String id, @RequestBody Measures.Boxes boxes) {
    measures.measured(id, boxes);
  }

  /** The families for a site; for the house with an empty id. */
  @GetMapping("/fonts")
  FinishesViews.FontsView fonts(@RequestParam String site) {
    return typefaces.of(site);
  }

  @PostMapping(path = "/sites/{id}/fonts", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  ClientFontView addFont(
      @PathVariable String id,
      @RequestPart("file") MultipartFile file,
      @RequestParam("licence") String licence)
      throws IOException {
    return fonts.add(sites.get(id).id(), Upload.of(file).content(), licence);
  }

  @DeleteMapping("/sites/{id}/fonts/{font}")
  FinishesViews.FontsView removeFont(@PathVariable String id, @PathVariable String font) {
    fonts.remove(id, font);
    return typefaces.of(id);
  }
}
