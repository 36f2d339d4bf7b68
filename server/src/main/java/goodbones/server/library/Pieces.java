package goodbones.server.library;

import goodbones.document.Catalogue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.library.Described;
import goodbones.library.Expanded;
import goodbones.library.Library;
import goodbones.library.PieceGraph;
import goodbones.library.Placements;
import goodbones.library.Revision;
import goodbones.library.Showing;
import goodbones.library.UnknownPiece;
import goodbones.propagation.FollowUps;
import goodbones.propagation.Settlement;
import goodbones.server.documents.DocumentJson;
import goodbones.server.memory.Memory;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.NotFound;
import goodbones.server.problems.Stale;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.UnaryOperator;
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
  private final PlacedRepository placed;
  private final Descriptions descriptions;
  private final UsageIndex usage;
  private final Clock clock;

  private final Memory<RevisionEntity.Key, Revision> read =
      new Memory<>(MOST_NODES, revision -> revision.root().size());
  private final Memory<RevisionEntity.Key, Expanded> expanded =
      new Memory<>(MOST_NODES, shown -> shown.root().size());
  private final Memory<Drafted, Node> drafts = new Memory<>(MOST_NODES, Node::size);

  private record Drafted(String pieceId, long version) {}

  Pieces(
      PieceRepository pieces,
      RevisionRepository revisions,
      PlacedRepository placed,
      Descriptions descriptions,
      UsageIndex usage,
      Clock clock) {
    this.pieces = pieces;
    this.revisions = revisions;
    this.placed = placed;
    this.descriptions = descriptions;
    this.usage = usage;
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
        piece.currentRevision(),
        root,
        !root.equals(current),
        piece.version());
  }

  /**
   * @param number 0 for what there is before the first: the outermost node with nothing in it
   */
  @Override
  @Transactional(readOnly = true)
  public Revision revision(String pieceId, int number) {
    if (number == 0) {
      return new Revision(pieceId, 0, nothingIn(entity(pieceId)), "", 0);
    }
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
                .revision(before -> revision(pieceId, before).root()));
  }

  private static Node nothingIn(PieceEntity piece) {
    Node root =
        piece
            .draft()
            .map(json -> DocumentJson.read(json, Node.class))
            .orElseThrow(() -> new NotFound("revision", "0"));
    return Node.of(root.id(), root.kind(), root.name());
  }

  @Override
  @Transactional(readOnly = true)
  public Expanded expanded(String pieceId, int number) {
    return expanded.get(
        new RevisionEntity.Key(pieceId, number), () -> Library.super.expanded(pieceId, number));
  }

  /** The revisions without their trees, the newest first. */
  @Transactional(readOnly = true)
  public List<RevisionInfo> revisions(String pieceId) {
    return revisions.infos(pieceId);
  }

  @Transactional(readOnly = true)
  public boolean exists(String pieceId) {
    return pieces.existsById(pieceId);
  }

  /** The number of the newest revision; 0 for a draft only. */
  @Transactional(readOnly = true)
  public int current(String pieceId) {
    return entity(pieceId).currentRevision();
  }

  /**
   * The number of the newest revision, to place it.
   *
   * @throws BadInput if there is none yet
   */
  @Transactional(readOnly = true)
  public int toPlace(String pieceId) {
    descriptions.requireReleased(List.of(pieceId));
    return current(pieceId);
  }

  /** Grows with every change of the piece or its draft. */
  @Transactional(readOnly = true)
  public long version(String pieceId) {
    return pieces.version(pieceId).orElseThrow(() -> new NotFound("piece", pieceId));
  }

  /** The names of all pieces, by id. */
  @Transactional(readOnly = true)
  public Map<String, String> names() {
    Map<String, String> names = new LinkedHashMap<>();
    pieces.names().forEach(piece -> names.put(piece.id(), piece.name()));
    return names;
  }

  private Node drawn(Node root) {
    return Expanded.of(root, Showing.BOUND, this).drawn();
  }

  /** What a piece shows as it is worked on, with all that stands in it. */
  public Expanded drafted(PieceState piece) {
    return Expanded.of(piece.root(), Showing.BOUND, this);
  }

  /** Keeps a part of a document as a new piece, with its first revision. */
  @Transactional
  public void keep(String id, Described said, Node root, String note, int finishes) {
    Node bound = boundWhereUnknown(root);
    Node drawn = drawn(bound);
    Catalogue.require(drawn);
    pieces.saveAndFlush(new PieceEntity(id, said.name()));
    descriptions.add(id, said, drawn.kind());
    release(entity(id), bound, note, finishes);
  }

  /** Begins a piece that is a draft only: nothing shows it before it has been released. */
  @Transactional
  public void begin(String id, Described said, Node root) {
    PieceEntity piece =
        pieces.saveAndFlush(new PieceEntity(id, said.name(), DocumentJson.write(root)));
    descriptions.add(id, said, root.kind());
    writeDraft(piece, root);
  }

  /** What is placed without saying on which revision is bound to the current one. */
  private Node boundWhereUnknown(Node root) {
    return Placements.mapped(
        root,
        (path, placement) ->
            bound(
                placement.bound() == 0
                    ? placement.withBound(current(placement.pieceId()))
                    : placement));
  }

  private static Placement bound(Placement placement) {
    return placement.made(placement.bound());
  }

  /**
   * Replaces the draft.
   *
   * @throws Stale if the piece was changed since that version
   * @throws Refused if the piece would come to contain itself
   */
  @Transactional
  public void edit(String id, long version, Node root) {
    PieceEntity piece = entity(id);
    requireVersion(piece, version);
    requireNotInItself(piece, root);
    writeDraft(piece, boundAnew(id, root));
  }

  /**
   * What an edit, or an undo, brings back is bound to what is current by the same rule as what a
   * release finds in a draft; what asks stays bound where it is, and is listed.
   */
  private Node boundAnew(String id, Node root) {
    return new FollowUps(this, usage.graph(), this::current)
        .bound(id, root, asked -> Optional.empty())
        .root();
  }

  private void writeDraft(PieceEntity piece, Node root) {
    piece.edit(DocumentJson.write(root));
    pieces.saveAndFlush(piece);
    drafts.put(new Drafted(piece.id(), piece.version()), root);
    usage.draft(piece.id(), root);
    boolean differs = !root.equals(revision(piece.id(), piece.currentRevision()).root());
    descriptions.shows(piece.id(), root, drawn(root), differs);
  }

  /**
   * Releases the draft as the next revision, and all that follows from it. Every site goes on
   * showing the revisions that it has adopted.
   *
   * @return the new revision's number
   * @throws BadInput if nothing has changed, the note is missing or too long, something in the
   *     draft is bound to an older revision, or a page would come to be too deep
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
    requireBound(state.root());
    requireNotInItself(piece, state.root());
    return release(piece, state.root(), trimmed, finishes);
  }

  private int release(PieceEntity piece, Node root, String note, int finishes) {
    int next = piece.currentRevision() + 1;
    int needed =
        Placements.of(root).values().stream()
            .mapToInt(p -> revision(p.pieceId(), p.bound()).finishes())
            .reduce(finishes, Math::max);
    revisions.save(
        new RevisionEntity(new Revision(piece.id(), next, root, note, needed), clock.instant()));
    piece.released(next);
    pieces.saveAndFlush(piece);
    usage.revision(piece.id(), next, root);
    usage.noDraft(piece.id());
    descriptions.shows(piece.id(), root, drawn(root), false);
    follow(piece.id(), asked -> Optional.empty());
    requireShallow(piece);
    return next;
  }

  private void requireBound(Node root) {
    Placements.of(root)
        .values()
        .forEach(
            placement -> {
              int current = current(placement.pieceId());
              if (placement.bound() != current) {
                throw new BadInput(
                    "draft",
                    "“"
                        + entity(placement.pieceId()).name()
                        + "” stands in this draft in revision "
                        + placement.bound()
                        + ", and the current one is "
                        + current
                        + ": answer what it asks under Rollouts first");
              }
            });
  }

  private void requireNotInItself(PieceEntity piece, Node root) {
    PieceGraph graph = usage.graph();
    for (Placement placement : Placements.of(root).values()) {
      List<String> line = graph.line(piece.id(), placement.pieceId());
      if (!line.isEmpty()) {
        List<String> names = line.stream().map(id -> "“" + entity(id).name() + "”").toList();
        throw Refused.at(
            root,
            line.size() == 1
                ? names.get(0) + " cannot stand in itself"
                : names.get(line.size() - 1)
                    + " cannot stand in "
                    + names.get(0)
                    + ", which stands in it: "
                    + String.join(", in ", names));
      }
    }
  }

  /** No page is carried past the limit, whichever revisions its site adopts. */
  private void requireShallow(PieceEntity piece) {
    List<String> concerned = usage.graph().upwards(List.of(piece.id()));
    for (PlacedRow row : placed.onPages(concerned)) {
      int depth = expanded(row.pieceId(), current(row.pieceId())).depthAt(NodeId.of(row.path()));
      if (depth > Expanded.NESTING_LIMIT) {
        throw new BadInput(
            "draft",
            "On the page with the id "
                + row.ownerId()
                + " pieces would stand in each other "
                + depth
                + " deep, through “"
                + entity(row.pieceId()).name()
                + "”; at most "
                + Expanded.NESTING_LIMIT
                + " are possible. Put what is in the middle in directly");
      }
    }
  }

  /**
   * Gives every piece that contains one its follow-up, and binds the drafts anew.
   *
   * @param from the piece that has a newer revision, or in which something was answered
   * @param decided what was decided for a question, if anything was
   */
  @Transactional
  public void follow(String from, Function<FollowUps.Asked, Optional<Settlement>> decided) {
    PieceGraph graph = usage.graph();
    RevisionEntity.Key cause = new RevisionEntity.Key(from, current(from));
    FollowUps followUps = new FollowUps(this, graph, this::current);
    for (FollowUps.FollowUp next : followUps.of(List.of(from), decided).followUps()) {
      Revision revision = next.revision();
      revisions.save(new RevisionEntity(next, cause, clock.instant()));
      PieceEntity piece = entity(revision.pieceId());
      piece.followed(revision.number());
      pieces.saveAndFlush(piece);
      usage.revision(piece.id(), revision.number(), revision.root());
    }
    for (String id : graph.upwards(List.of(from))) {
      PieceEntity piece = entity(id);
      piece
          .draft()
          .map(json -> DocumentJson.read(json, Node.class))
          .map(draft -> new FollowUps(this, graph, this::current).bound(id, draft, decided))
          .filter(bound -> !bound.bound().isEmpty())
          .ifPresent(bound -> writeDraft(piece, bound.root()));
    }
  }

  /** What stands in pieces and in their drafts and stays bound to an older revision. */
  @Transactional(readOnly = true)
  public List<FollowUps.Waiting> waiting() {
    List<FollowUps.Waiting> waiting = new ArrayList<>();
    FollowUps followUps = new FollowUps(this, usage.graph(), this::current);
    for (String id : placed.waiting()) {
      PieceState piece = get(id);
      List<FollowUps.Waiting> here = new ArrayList<>();
      for (Node root : List.of(revision(id, piece.current()).root(), piece.root())) {
        here.addAll(followUps.bound(id, root, asked -> Optional.empty()).waiting());
      }
      Map<NodeId, FollowUps.Waiting> byPath = new LinkedHashMap<>();
      here.forEach(one -> byPath.putIfAbsent(one.path(), one));
      waiting.addAll(byPath.values());
    }
    return waiting;
  }

  /** For each piece, the newest revision that follows from it in each piece that contains it. */
  @Transactional(readOnly = true)
  public Map<String, Map<String, Integer>> followUps() {
    Map<String, Map<String, Integer>> followUps = new HashMap<>();
    for (FollowingRevision r : revisions.newestFollowUps()) {
      followUps.computeIfAbsent(r.followed(), id -> new TreeMap<>()).put(r.pieceId(), r.number());
    }
    return followUps;
  }

  /** The numbers of the newest revisions of all pieces. */
  @Transactional(readOnly = true)
  public Map<String, Integer> currents() {
    Map<String, Integer> currents = new HashMap<>();
    pieces.currents().forEach(piece -> currents.put(piece.pieceId(), piece.number()));
    return currents;
  }

  /**
   * Goes back to an earlier revision by going forward: the piece gets a new one with its document,
   * and those between count for nothing, nor do the follow-ups of theirs.
   *
   * @return the number of the new revision
   * @throws BadInput if it is not an earlier revision
   */
  @Transactional
  public int goBack(String pieceId, long version, int to) {
    PieceEntity piece = entity(pieceId);
    requireVersion(piece, version);
    int current = piece.currentRevision();
    if (to < 1 || to >= current) {
      throw new BadInput(
          "revision", "Revision " + to + " is not an earlier one of “" + piece.name() + "”");
    }
    for (int number = to + 1; number <= current; number++) {
      RevisionEntity.Key key = new RevisionEntity.Key(pieceId, number);
      goBackOn(key);
      revisions
          .findByFollowedPieceAndFollowedRevision(pieceId, number)
          .forEach(followUp -> goBackOn(followUp.key()));
    }
    Node root = earlier(pieceId, to);
    int needed = revision(pieceId, to).finishes();
    return releaseBeside(piece, root, "Back to revision " + to, needed);
  }

  /**
   * The document of a revision, bound to what is current now as far as nothing asks.
   *
   * @throws BadInput if there is no such revision
   */
  @Transactional(readOnly = true)
  public Node earlier(String pieceId, int revision) {
    if (revision < 1 || revision > current(pieceId)) {
      throw new BadInput(
          "revision", "There is no revision " + revision + " of “" + entity(pieceId).name() + "”");
    }
    return new FollowUps(this, usage.graph(), this::current)
        .bound(pieceId, revision(pieceId, revision).root(), asked -> Optional.empty())
        .root();
  }

  /** A new revision of which the draft, if there is one, knows nothing. */
  private int releaseBeside(PieceEntity piece, Node root, String note, int finishes) {
    Optional<String> draft = piece.draft();
    int next = release(piece, root, note, finishes);
    draft.ifPresent(json -> writeDraft(entity(piece.id()), DocumentJson.read(json, Node.class)));
    return next;
  }

  /**
   * Puts another piece where one stands in others: each of them gets a new revision by itself, and
   * its draft, if there is one, has the other piece too.
   *
   * @param within what a document in which the piece stands becomes
   * @return the pieces that got a revision, those that stand in others first
   * @throws Refused if a piece would come to contain itself, or may not stand there
   */
  @Transactional
  public List<String> replace(String pieceId, String note, UnaryOperator<Node> within) {
    Set<String> containing = new TreeSet<>();
    placed.containing(pieceId).forEach(in -> containing.add(in.container()));
    List<String> order = new ArrayList<>(usage.graph().upwards(containing));
    order.retainAll(containing);
    List<String> released = new ArrayList<>();
    for (String id : order) {
      PieceState before = get(id);
      Revision current = revision(id, before.current());
      Node root = within.apply(current.root());
      Node draft = within.apply(before.root());
      for (Node one : List.of(root, draft)) {
        requireNotInItself(entity(id), one);
        Catalogue.requireNoneNew(drawn(current.root()), drawn(one));
      }
      if (!root.equals(current.root())) {
        releaseBeside(entity(id), root, note, current.finishes());
        released.add(id);
      }
      if (before.draft()) {
        writeDraft(entity(id), draft);
      }
    }
    return released;
  }

  private void goBackOn(RevisionEntity.Key key) {
    RevisionEntity entity = revisions.findById(key).orElseThrow();
    entity.goBackOn();
    revisions.save(entity);
    Revision r = revision(key.pieceId(), key.number());
    read.put(key, new Revision(r.pieceId(), r.number(), r.root(), r.note(), r.finishes(), true));
  }

  private static void requireVersion(PieceEntity piece, long version) {
    if (piece.version() != version) {
      throw new Stale("“" + piece.name() + "”");
    }
  }

  /** Writes down what is not known yet of what drafts and revisions refer to. */
  @Transactional
  public void indexReferences() {
    for (PieceEntity piece : pieces.findAll()) {
      revisions(piece.id())
          .forEach(
              info ->
                  usage.references(
                      piece.id(), info.number(), revision(piece.id(), info.number()).root()));
      piece.draft().ifPresent(json -> usage.draft(piece.id(), DocumentJson.read(json, Node.class)));
    }
  }

  /** The one client that a piece belongs to; empty if it is for all. */
  @Transactional(readOnly = true)
  public String siteOf(String pieceId) {
    return descriptions.siteOf(pieceId);
  }
}
