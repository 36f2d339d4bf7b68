package goodbones.server.compositions;

import goodbones.server.compositions.Compositions.CompositionView;
import goodbones.server.library.Referred;
import goodbones.server.problems.BadInput;
import jakarta.validation.Valid;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class CompositionController {
  private final Compositions compositions;
  private final SiteSets sets;

  CompositionController(Compositions compositions, SiteSets sets) {
    this.compositions = compositions;
    this.sets = sets;
  }

  record StartedPage(String id) {}

  record FromComposition(String title, String composition) {}

  /**
   * @param words whether words, pictures and links come along
   */
  record LikePage(String title, String page, boolean words) {}

  record KeptComposition(String name) {}

  /** What a client's page can start from. */
  @GetMapping("/compositions")
  List<CompositionView> compositions(@RequestParam String site) {
    return compositions.all(site);
  }

  @GetMapping(path = "/compositions/{id}/frame", produces = MediaType.TEXT_HTML_VALUE)
  String frame(@PathVariable String id, @RequestParam String site) {
    return compositions.frame(id, site);
  }

  @GetMapping(path = "/pages/{id}/frame", produces = MediaType.TEXT_HTML_VALUE)
  String pageFrame(@PathVariable String id, @RequestParam(defaultValue = "") String only) {
    return compositions.pageFrame(id, only);
  }

  /**
   * The first place on a page where something is used by the page itself.
   *
   * @param kind {@code token}, {@code style}, {@code scheme} or {@code picture}
   */
  @GetMapping("/pages/{id}/uses/{kind}/{ref}")
  Compositions.Spot spot(
      @PathVariable String id, @PathVariable String kind, @PathVariable String ref) {
    return compositions.spot(id, BadInput.known("kind", kind, Referred::ofWord), ref);
  }

  @PostMapping("/sites/{id}/pages/from-composition")
  StartedPage fromComposition(@PathVariable String id, @Valid @RequestBody FromComposition start) {
    return new StartedPage(compositions.pageFrom(id, start.title(), start.composition()));
  }

  @PostMapping("/sites/{id}/pages/like-page")
  StartedPage likePage(@PathVariable String id, @Valid @RequestBody LikePage start) {
    return new StartedPage(compositions.pageLike(id, start.title(), start.page(), start.words()));
  }

  record FromSet(String set) {}

  /** The sets of pages that a client's site can start from, as far as it lacks them. */
  @GetMapping("/sites/{id}/sets")
  List<SiteSets.SetView> sets(@PathVariable String id) {
    return sets.all(id);
  }

  @GetMapping(
      path = "/sites/{id}/sets/{set}/pages/{place}/frame",
      produces = MediaType.TEXT_HTML_VALUE)
  String setFrame(@PathVariable String id, @PathVariable String set, @PathVariable int place) {
    return sets.frame(id, set, place);
  }

  /** Keeps the pages of a site as a set. */
  @PostMapping("/sites/{id}/sets")
  void keepSet(@PathVariable String id, @Valid @RequestBody KeptComposition kept) {
    sets.keep(id, kept.name());
  }

  @DeleteMapping("/sets/{id}")
  void removeSet(@PathVariable String id) {
    sets.remove(id);
  }

  /** Makes the pages of a set that the client does not have yet. */
  @PostMapping("/sites/{id}/pages/from-set")
  List<StartedPage> fromSet(@PathVariable String id, @Valid @RequestBody FromSet start) {
    return sets.pagesFrom(id, start.set()).stream().map(StartedPage::new).toList();
  }

  /** Keeps what stands on a page from the library as a composition. */
  @PostMapping("/pages/{id}/composition")
  void keep(@PathVariable String id, @Valid @RequestBody KeptComposition kept) {
    compositions.keep(id, kept.name());
  }

  @DeleteMapping("/compositions/{id}")
  void remove(@PathVariable String id) {
    compositions.remove(id);
  }
}
