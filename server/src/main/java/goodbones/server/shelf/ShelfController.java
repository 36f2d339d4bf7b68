package goodbones.server.shelf;

import goodbones.library.PieceKind;
import goodbones.library.Purpose;
import goodbones.server.library.Pieces;
import goodbones.server.library.RevisionInfo;
import goodbones.server.shelf.ShelfViews.Choice;
import goodbones.server.shelf.ShelfViews.Choices;
import goodbones.server.shelf.ShelfViews.Compared;
import goodbones.server.shelf.ShelfViews.DescribeRequest;
import goodbones.server.shelf.ShelfViews.ReleaseSeveral;
import goodbones.server.shelf.ShelfViews.SomePieces;
import goodbones.server.shelf.ShelfViews.TagRequest;
import jakarta.validation.Valid;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/pieces")
class ShelfController {
  private static final Choices CHOICES =
      new Choices(
          Arrays.stream(PieceKind.values()).map(k -> new Choice(k.word(), k.title())).toList(),
          Arrays.stream(Purpose.values()).map(p -> new Choice(p.word(), p.title())).toList());

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

  record BegunPiece(String id) {}

  /** Begins a piece with nothing in it, as a draft. */
  @PostMapping
  BegunPiece begin(@Valid @RequestBody DescribeRequest request) {
    return new BegunPiece(shelf.begin(request));
  }

  /** What kinds and purposes there are. */
  @GetMapping("/choices")
  Choices choices() {
    return CHOICES;
  }

  @PutMapping("/{id}/description")
  List<PieceCard> describe(
      @PathVariable String id,
      @RequestParam String etag,
      @Valid @RequestBody DescribeRequest request) {
    shelf.describe(id, etag, request);
    return shelf.cards();
  }

  @PostMapping("/tags")
  List<PieceCard> tag(@Valid @RequestBody TagRequest request) {
    shelf.tag(request);
    return shelf.cards();
  }

  @PostMapping("/retired")
  List<PieceCard> retire(@Valid @RequestBody SomePieces request) {
    shelf.retire(request.pieces());
    return shelf.cards();
  }

  @PostMapping("/brought-back")
  List<PieceCard> bringBack(@Valid @RequestBody SomePieces request) {
    shelf.bringBack(request.pieces());
    return shelf.cards();
  }

  @PostMapping("/released")
  List<PieceCard> release(@Valid @RequestBody ReleaseSeveral request) {
    shelf.release(request.pieces(), request.note());
    return shelf.cards();
  }

  @GetMapping("/{id}/revisions")
  List<RevisionInfo> revisions(@PathVariable String id) {
    return pieces.revisions(id);
  }

  /** Two revisions side by side, with what differs. */
  @GetMapping("/{id}/compared")
  Compared compare(
      @PathVariable String id,
      @RequestParam int from,
      @RequestParam int to,
      @RequestParam String site) {
    return shelf.compare(id, from, to, site);
  }

  @GetMapping(path = "/{id}/frame", produces = MediaType.TEXT_HTML_VALUE)
  String pieceFrame(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam(defaultValue = "false") boolean draft,
      @RequestParam Optional<Integer> revision) {
    return shelf.frame(id, site, draft, revision);
  }
}
