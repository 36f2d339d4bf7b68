package goodbones.server.shelf;

import goodbones.server.library.Pieces;
import goodbones.server.library.RevisionInfo;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/pieces")
class ShelfController {
  private final Shelf shelf;
  private final Pieces pieces;

  ShelfController(Shelf shelf, Pieces pieces) {
    this.shelf = shelf;
    this.pieces = pieces;
  }

  @GetMapping
  List<PieceCard> pieces() {
    return shelf.cards();
  }

  @GetMapping("/{id}/revisions")
  List<RevisionInfo> revisions(@PathVariable String id) {
    return pieces.revisions(id);
  }

  @GetMapping(path = "/{id}/frame", produces = MediaType.TEXT_HTML_VALUE)
  String pieceFrame(@PathVariable String id, @RequestParam String site) {
    return shelf.frame(id, site);
  }
}
