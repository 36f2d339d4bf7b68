package goodbones.server.shelf;

import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.References;
import goodbones.library.Described;
import goodbones.library.PieceKind;
import goodbones.library.Purpose;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.propagation.Difference;
import goodbones.server.drawing.ChangeView;
import goodbones.server.drawing.Frames;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.DescribedPiece;
import goodbones.server.library.Descriptions;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.library.Reaches;
import goodbones.server.library.UsageIndex;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.NotFound;
import goodbones.server.problems.Stale;
import goodbones.server.shelf.ShelfViews.Compared;
import goodbones.server.shelf.ShelfViews.DescribeRequest;
import goodbones.server.shelf.ShelfViews.DraftSeen;
import goodbones.server.shelf.ShelfViews.TagRequest;
import goodbones.server.sites.Sites;
import goodbones.style.SiteFinishes;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The pieces as the library lists and shows them, what is said of them, and their release. */
@Service
public class Shelf {
  private final Pieces pieces;
  private final UsageIndex usage;
  private final Descriptions descriptions;
  private final Sites sites;
  private final FinishesStore finishes;
  private final Frames frames;

  Shelf(
      Pieces pieces,
      UsageIndex usage,
      Descriptions descriptions,
      Sites sites,
      FinishesStore finishes,
      Frames frames) {
    this.pieces = pieces;
    this.usage = usage;
    this.descriptions = descriptions;
    this.sites = sites;
    this.finishes = finishes;
    this.frames = frames;
  }

  /** All pieces, by name; no document is read. */
  @Transactional(readOnly = true)
  List<PieceCard> cards() {
    Reaches reaches = usage.reaches();
    Behind behind = new Behind(pieces, reaches, sites);
    return descriptions.all().stream().map(piece -> card(piece, reaches, behind)).toList();
  }

  private static PieceCard card(DescribedPiece piece, Reaches reaches, Behind behind) {
    Described said = piece.said();
    return new PieceCard(
        piece.id(),
        said.name(),
        said.kind().word(),
        said.purpose().word(),
        said.tags(),
        said.notes(),
        said.siteId(),
        piece.root(),
        piece.current(),
        piece.draft(),
        piece.retired(),
        piece.variants(),
        piece.words(),
        piece.changed(),
        reaches.of(piece.id()),
        behind.of(piece.id()),
        Descriptions.etag(said));
  }

  /**
   * How a piece looks at a client's, in the finishes that are worked on.
   *
   * @param draft whether as it is worked on, as is one that was never released
   * @param revision the revision otherwise; empty for the current one
   * @throws NotFound if there is no such revision
   */
  @Transactional(readOnly = true)
  String frame(String pieceId, String siteId, boolean draft, Optional<Integer> revision) {
    int number = revision.orElseGet(() -> pieces.current(pieceId));
    return frames.html(
        draft || number == 0
            ? Shown.of(Frames.around(pieces.get(pieceId).root()), Showing.BOUND, pieces)
            : shown(pieceId, number),
        finishes.draftFor(siteId),
        sites.get(siteId),
        descriptions.of(pieceId).name());
  }

  /**
   * Two revisions of a piece in a client's look, and what differs.
   *
   * @throws NotFound if there is no such revision
   */
  @Transactional(readOnly = true)
  Compared compare(String pieceId, int from, int to, String siteId) {
    Shown before = shown(pieceId, from);
    Shown after = shown(pieceId, to);
    SiteFinishes look = finishes.draftFor(siteId);
    String name = descriptions.of(pieceId).name();
    return new Compared(
        from,
        to,
        frames.html(before, look, sites.get(siteId), name),
        frames.html(after, look, sites.get(siteId), name),
        ChangeView.of(Difference.between(before, after, look)));
  }

  private Shown shown(String pieceId, int number) {
    boolean known = pieces.revisions(pieceId).stream().anyMatch(r -> r.number() == number);
    if (!known) {
      throw new NotFound("revision", String.valueOf(number));
    }
    return Shown.of(Frames.around(pieces.revision(pieceId, number).root()), Showing.BOUND, pieces);
  }

  /**
   * Begins a piece with nothing in it, as a draft.
   *
   * @return its id
   * @throws BadInput if a word is not known, or it cannot be said of a piece
   */
  @Transactional
  String begin(DescribeRequest request) {
    Described said = said(request);
    Kind root = said.kind() == PieceKind.SAVED_BLOCK ? Kind.BOX : Kind.SECTION;
    String id = UUID.randomUUID().toString();
    pieces.begin(id, said, Node.of(NodeId.of(UUID.randomUUID().toString()), root, said.name()));
    return id;
  }

  /** Turns the draft into the next revision. */
  @Transactional
  public void release(String pieceId, long version, String note) {
    References wanted = References.of(pieces.get(pieceId).root());
    pieces.release(pieceId, version, note, finishes.needed(wanted));
  }

  /**
   * Releases the drafts of several pieces, or of none if one of them cannot be released; what
   * stands in others of them comes first, so that no draft is behind.
   */
  @Transactional
  void release(List<DraftSeen> drafts, String note) {
    List<String> pieceIds = drafts.stream().map(DraftSeen::id).toList();
    Map<String, Instant> changed =
        descriptions.all().stream()
            .collect(Collectors.toMap(DescribedPiece::id, DescribedPiece::changed));
    for (DraftSeen draft : drafts) {
      if (!draft.changed().equals(changed.get(draft.id()))) {
        throw new Stale("“" + pieces.get(draft.id()).name() + "”");
      }
    }
    List<String> order = new ArrayList<>(usage.graph().upwards(pieceIds));
    order.retainAll(pieceIds);
    for (String id : order) {
      PieceState piece = pieces.get(id);
      if (!piece.draft()) {
        throw new BadInput(
            "pieces",
            "“" + piece.name() + "” has no draft to release; choose those with a draft only");
      }
      release(id, piece.version(), note);
    }
  }

  /**
   * @throws BadInput if a word is not known, or it cannot be said of this piece
   */
  @Transactional
  void describe(String pieceId, String etag, DescribeRequest request) {
    descriptions.describe(pieceId, etag, said(request));
  }

  private Described said(DescribeRequest request) {
    if (!request.siteId().isEmpty()) {
      sites.get(request.siteId());
    }
    return new Described(
        request.name(),
        BadInput.known("kind", request.kind(), PieceKind::ofWord),
        BadInput.known("purpose", request.purpose(), Purpose::ofWord),
        request.tags(),
        request.notes(),
        request.siteId());
  }

  @Transactional
  void tag(TagRequest request) {
    for (String id : request.pieces()) {
      Described said = descriptions.of(id);
      List<String> tags = new ArrayList<>(said.tags());
      tags.removeAll(said.withTags(request.remove()).tags());
      tags.addAll(request.add());
      descriptions.describe(id, Descriptions.etag(said), said.withTags(tags));
    }
  }

  /**
   * Takes pieces out of use, all or none.
   *
   * @throws BadInput if one is used, naming where
   */
  @Transactional
  void retire(List<String> pieceIds) {
    pieceIds.forEach(id -> descriptions.retire(id, sites::pageTitle));
  }

  @Transactional
  void bringBack(List<String> pieceIds) {
    pieceIds.forEach(descriptions::bringBack);
  }
}
