package goodbones.server.reach;

import goodbones.server.library.Referred;
import goodbones.server.problems.BadInput;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class ReachController {
  private final PieceUses uses;

  ReachController(PieceUses uses) {
    this.uses = uses;
  }

  /** Where a piece is used, through every level. */
  @GetMapping("/pieces/{id}/uses")
  PieceUses.UsedIn uses(@PathVariable String id) {
    return uses.of(id);
  }

  /**
   * Where something is used that documents refer to, through every level.
   *
   * @param kind {@code token}, {@code style}, {@code scheme}, {@code picture} or {@code file}
   */
  @GetMapping("/uses/{kind}/{id}")
  PieceUses.ReferredIn uses(@PathVariable String kind, @PathVariable String id) {
    return uses.of(BadInput.known("kind", kind, Referred::ofWord), id);
  }
}
