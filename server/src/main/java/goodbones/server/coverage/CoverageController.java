package goodbones.server.coverage;

import goodbones.server.coverage.CoverageViews.CoverageView;
import goodbones.server.coverage.CoverageViews.RulesRequest;
import goodbones.site.Region;
import jakarta.validation.Valid;
import java.util.Arrays;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class CoverageController {
  private final Coverages coverages;

  CoverageController(Coverages coverages) {
    this.coverages = coverages;
  }

  /**
   * A region of a page.
   *
   * @param where on the page it is, in words
   * @param band whether several may stand there, each under a name
   */
  record RegionView(String word, String title, String where, boolean band) {}

  /** The regions around the content of a page, in the order in which they are read. */
  @GetMapping("/regions")
  List<RegionView> regions() {
    return Arrays.stream(Region.values())
        .map(each -> new RegionView(each.word(), each.title(), each.where(), each.isBand()))
        .toList();
  }

  /** Every page against every region, with the rule that wins there and those that lose. */
  @GetMapping("/sites/{id}/coverage")
  CoverageView coverage(@PathVariable String id) {
    return coverages.view(id);
  }

  /** What other rules would come to. */
  @PostMapping("/sites/{id}/coverage/tried")
  CoverageView tried(@PathVariable String id, @Valid @RequestBody RulesRequest request) {
    return coverages.tried(id, request.rules());
  }

  @PutMapping("/sites/{id}/coverage")
  CoverageView put(@PathVariable String id, @Valid @RequestBody RulesRequest request) {
    coverages.put(id, request.version(), request.rules());
    return coverages.view(id);
  }
}
