package goodbones.server.reach;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/pieces")
class ReachController {
  private final PieceUses uses;

  ReachController(PieceUses uses) {
    this.uses = uses;
  }

  /** Where a piece is used, through every level. */
  @GetMapping("/{id}/uses")
  PieceUses.UsedIn uses(@PathVariable String id) {
    return uses.of(id);
  }
}
