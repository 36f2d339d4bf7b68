package goodbones.server.library;

import goodbones.document.Catalogue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.library.Library;
import goodbones.library.Revision;
import goodbones.library.UnknownPiece;
import goodbones.server.documents.DocumentJson;
import goodbones.server.memory.Memory;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.NotFound;
import goodbones.server.problems.Stale;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The library: pieces, their drafts and revisions, and the index of who uses what. */
@Service
public class Pieces implements Library {
  private static final int NOTE_LIMIT = 500;

  /** Of the documents that are remembered. */
  private static final int MOST_NODES = 500_000;

  private final PieceRepository pieces;
  private final RevisionRepository revisions;
  private final PlacementRepository placements;
  private final Clock clock;

  private final Memory<RevisionEntity.Key, Revision> read =
      new Memory<>(MOST_NODES, revision -> revision.root().size());
  private final Memory<Drafted, Node> drafts = new Memory<>(MOST_NODES, Node::size);

  private record Drafted(String pieceId, long version) {}

  Pieces(
      PieceRepository pieces,
      RevisionRepository revisions,
      PlacementRepository placements,
      Clock clock) {
    this.pieces = pieces;
    this.revisions = revisions;
    this.placements = placements;
    this.clock = clock;
  }

  @Transactional(readOnly = true)
  public List<PieceState> all() {
    return pieces.findAllByOrderByName().stream().map(this::state).toList();
  }

  /**
   * @throws NotFound if there is no such piece
   */
  @Transactional(readOnly = true)
  public PieceState get(String id) {
    return state(entity(id));
  }

  private PieceEntity entity(String id) {
    return pieces.findById(id).orElseThrow(() -> new NotFound("piece", id));
  }

  private PieceState state(PieceEntity piece) {
    Node current = revision(piece.id(), piece.currentRevision()).root();
    Node root =
        piece
            .draft()
            .map(
                json ->
                    drafts.get(
                        new Drafted(piece.id(), piece.version()),
                        () -> DocumentJson.read(json, Node.class)))
            .orElse(current);
    return new PieceState(
        piece.id(),
        piece.name(),
        piece.purpose(),
        piece.currentRevision(),
        root,
        !root.equals(current),
        piece.version());
  }

  @Override
  @Transactional(readOnly = true)
  public Revision revision(String pieceId, int number) {
    RevisionEntity.Key key = new RevisionEntity.Key(pieceId, number);
    return read.get(
        key,
        () ->
            revisions
                .findById(key)
                .orElseThrow(
                    () ->
                        new UnknownPiece(
                            "There is no revision " + number + " of a piece “" + pieceId + "”"))
                .revision());
  }

  @Transactional(readOnly = true)
  public List<RevisionInfo> revisions(String pieceId) {
    return revisions.findByIdPieceIdOrderByIdNumberDesc(pieceId).stream()
        .map(r -> new RevisionInfo(r.number(), r.note(), r.released(), r.withdrawn()))
        .toList();
  }

  /** Keeps a section as a new piece, with its first revision. */
  @Transactional
  public void keep(String id, String name, String purpose, Node root, String note, int finishes) {
    Catalogue.require(root);
    pieces.saveAndFlush(new PieceEntity(id, name, purpose));
    release(entity(id), root, note, finishes);
  }

  /**
   * Replaces the draft.
   *
   * @throws Stale if the piece was changed since that version
   */
  @Transactional
  public void edit(String id, long version, Node root) {
    PieceEntity piece = entity(id);
    requireVersion(piece, version);
    piece.edit(DocumentJson.write(root));
    pieces.saveAndFlush(piece);
    drafts.put(new Drafted(id, piece.version()), root);
  }

  /**
   * Releases the draft as the next revision. Every site goes on showing the revision that it has
   * adopted.
   *
   * @return the new revision's number
   * @throws BadInput if nothing has changed, or the note is missing or too long
   */
  @Transactional
  public int release(String id, long version, String note, int finishes) {
    PieceEntity piece = entity(id);
    requireVersion(piece, version);
    PieceState state = state(piece);
    if (!state.draft()) {
      throw new BadInput(
          "draft",
          "Nothing has changed since revision "
              + state.current()
              + "; there is nothing to release");
    }
    String trimmed = note.strip();
    if (trimmed.isEmpty()) {
      throw new BadInput("note", "Say in a few words what is new, for those who will review it");
    }
    if (trimmed.length() > NOTE_LIMIT) {
      throw new BadInput(
          "note",
          "The note has " + trimmed.length() + " characters; at most " + NOTE_LIMIT + " fit");
    }
    return release(piece, state.root(), trimmed, finishes);
  }

  private int release(PieceEntity piece, Node root, String note, int finishes) {
    int next = piece.currentRevision() + 1;
    revisions.save(
        new RevisionEntity(new Revision(piece.id(), next, root, note, finishes), clock.instant()));
    piece.released(next);
    pieces.saveAndFlush(piece);
    return next;
  }

  /** Marks a revision as withdrawn, or as in use again. It is never erased. */
  @Transactional
  public void withdraw(String pieceId, int number, boolean yes) {
    revisions.findById(new RevisionEntity.Key(pieceId, number)).ifPresent(r -> r.withdraw(yes));
  }

  private static void requireVersion(PieceEntity piece, long version) {
    if (piece.version() != version) {
      throw new Stale("“" + piece.name() + "”");
    }
  }

  /**
   * Writes the index of a page's placements anew; called in the transaction that keeps the page.
   */
  @Transactional
  public void index(String siteId, String pageId, Node root) {
    List<PlacementRow> rows = new ArrayList<>();
    root.walk(
        node -> {
          if (node.kind() == Kind.PLACEMENT) {
            Placement placement = node.placement().orElseThrow();
            rows.add(
                new PlacementRow(
                    new PlacementRow.Key(pageId, node.id().value()),
                    siteId,
                    placement.pieceId(),
                    placement.pin().map(Pin::revision).orElse(null),
                    placement.pin().map(p -> p.reason() == Pin.Reason.HELD).orElse(false),
                    placement.changes().size()));
          }
        });
    placements.deleteByIdPageId(pageId);
    placements.saveAll(rows);
  }

  @Transactional(readOnly = true)
  public Reach reach(String pieceId) {
    List<PlacementRow> rows = placements.findByPieceId(pieceId);
    return new Reach(
        rows.size(),
        (int) rows.stream().map(PlacementRow::pageId).distinct().count(),
        (int) rows.stream().map(PlacementRow::siteId).distinct().count(),
        (int) rows.stream().filter(PlacementRow::held).count());
  }

  /** The sites on which a piece is placed. */
  @Transactional(readOnly = true)
  public List<String> sitesUsing(String pieceId) {
    return placements.findByPieceId(pieceId).stream()
        .map(PlacementRow::siteId)
        .distinct()
        .sorted()
        .toList();
  }
}
