package goodbones.server.coverage;

import goodbones.server.coverage.CoverageViews.CoverageView;
import goodbones.server.coverage.CoverageViews.RulesRequest;
import jakarta.validation.Valid;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/sites/{id}/coverage")
class CoverageController {
  private final Coverages coverages;

  CoverageController(Coverages coverages) {
    this.coverages = coverages;
  }

  /** Every page against every region, with the rule that wins there and those that lose. */
  @GetMapping
  CoverageView coverage(@PathVariable String id) {
    return coverages.view(id);
  }

  /** What other rules would come to. */
  @PostMapping("/tried")
  CoverageView tried(@PathVariable String id, @Valid @RequestBody RulesRequest request) {
    return coverages.tried(id, request.rules());
  }

  @PutMapping
  CoverageView put(@PathVariable String id, @Valid @RequestBody RulesRequest request) {
    coverages.put(id, request.version(), request.rules());
    return coverages.view(id);
  }
}
