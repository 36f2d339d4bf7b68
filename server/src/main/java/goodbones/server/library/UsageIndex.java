package goodbones.server.library;

import goodbones.document.Node;
import goodbones.document.Uses;
import goodbones.library.PieceGraph;
import goodbones.library.Placements;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Who uses what: written with every document, in the same transaction, so that nobody has to read
 * documents to know. Only what differs is written.
 */
@Service
public class UsageIndex {
  private final PlacedRepository placed;
  private final ReferredRepository referred;
  private final PlacedPages pages;
  private final Descriptions descriptions;

  UsageIndex(
      PlacedRepository placed,
      ReferredRepository referred,
      PlacedPages pages,
      Descriptions descriptions) {
    this.placed = placed;
    this.pages = pages;
    this.referred = referred;
    this.descriptions = descriptions;
  }

  /** A page as it is kept. */
  @Transactional
  public void page(String siteId, String pageId, Node root) {
    place("page", pageId, siteId, root);
    pages.writes(pageId);
    refer("page", pageId, 0, siteId, root);
  }

  void draft(String pieceId, Node root) {
    place("draft", pieceId, "", root);
    refer("draft", pieceId, 0, "", root);
  }

  void noDraft(String pieceId) {
    write("draft", pieceId, List.of());
    refer("draft", pieceId, 0, List.of());
  }

  /** The revision that is the current one of its piece from now on. */
  void revision(String pieceId, int number, Node root) {
    place("piece", pieceId, "", root);
    refer("piece", pieceId, number, "", root);
  }

  /** What a revision refers to, without saying that it is the current one. */
  void references(String pieceId, int number, Node root) {
    refer("piece", pieceId, number, "", root);
  }

  private void place(String ownerKind, String ownerId, String siteId, Node root) {
    Set<String> newlyPlaced = new TreeSet<>(Uses.of(root).pieces());
    placed.in(ownerKind, ownerId).forEach(newlyPlaced::remove);
    if (ownerKind.equals("draft")) {
      placed.in("piece", ownerId).forEach(newlyPlaced::remove);
    }
    descriptions.requireMayHold(
        ownerKind.equals("page") ? siteId : descriptions.siteOf(ownerId), newlyPlaced);
    List<PlacedRow> rows = new ArrayList<>();
    Placements.of(root)
        .forEach(
            (path, placement) ->
                rows.add(
                    new PlacedRow(
                        new PlacedRow.Key(ownerKind, ownerId, path.value()), siteId, placement)));
    write(ownerKind, ownerId, rows);
  }

  private void write(String ownerKind, String ownerId, List<PlacedRow> rows) {
    Set<PlacedRow.Key> now = new HashSet<>();
    rows.forEach(row -> now.add(row.id()));
    placed.deleteAll(
        placed.of(ownerKind, ownerId).stream().filter(row -> !now.contains(row.id())).toList());
    placed.saveAll(rows);
  }

  private void refer(String ownerKind, String ownerId, int revision, String siteId, Node root) {
    List<ReferredRow> rows = new ArrayList<>();
    boolean isRevision = ownerKind.equals("piece");
    for (Referred kind : Referred.values()) {
      if (isRevision || kind != Referred.BOUND) {
        for (String id : kind.in(root)) {
          rows.add(
              new ReferredRow(
                  new ReferredRow.Key(ownerKind, ownerId, revision, kind.word(), id), siteId));
        }
      }
    }
    refer(ownerKind, ownerId, revision, rows);
  }

  private void refer(String ownerKind, String ownerId, int revision, List<ReferredRow> rows) {
    Map<ReferredRow.Key, ReferredRow> gone = new HashMap<>();
    referred.of(ownerKind, ownerId, revision).forEach(row -> gone.put(row.id(), row));
    List<ReferredRow> fresh = new ArrayList<>();
    for (ReferredRow row : rows) {
      if (gone.remove(row.id()) == null) {
        fresh.add(row);
      }
    }
    referred.deleteAll(gone.values());
    referred.saveAll(fresh);
  }

  /** The documents that refer to something themselves: pages, drafts and revisions of pieces. */
  @Transactional(readOnly = true)
  public List<Referrer> referring(Referred kind, String id) {
    return referred.to(kind.word(), id);
  }

  /**
   * In how many places each of a kind is referred to, by its id; what is used nowhere is left out.
   */
  @Transactional(readOnly = true)
  public Map<String, Integer> users(Referred kind) {
    Map<String, Integer> users = new HashMap<>();
    referred.users(kind.word()).forEach(one -> users.put(one.id(), (int) one.count()));
    return users;
  }

  /** Whether nothing is known yet of what documents refer to, as in a database of before. */
  @Transactional(readOnly = true)
  public boolean isEmpty() {
    return referred.count() == 0;
  }

  /**
   * The revisions that are seen somewhere, each with the revisions through which it is.
   *
   * @param shown where revisions are shown, by piece and number; what stands in them is shown there
   * @return by {@code piece@number}: where it is shown
   */
  @Transactional(readOnly = true)
  public Map<String, Set<String>> seen(Map<String, Map<Integer, Set<String>>> shown) {
    Map<String, List<String>> inside = new HashMap<>();
    referred
        .bound()
        .forEach(
            one -> inside.computeIfAbsent(one.holder(), id -> new ArrayList<>()).add(one.bound()));
    Map<String, Set<String>> seen = new HashMap<>();
    Deque<String> open = new ArrayDeque<>();
    shown.forEach(
        (piece, numbers) ->
            numbers.forEach(
                (number, where) -> {
                  String name = BoundIn.name(piece, number);
                  seen.computeIfAbsent(name, id -> new TreeSet<>()).addAll(where);
                  open.add(name);
                }));
    while (!open.isEmpty()) {
      String name = open.remove();
      for (String inner : inside.getOrDefault(name, List.of())) {
        if (seen.computeIfAbsent(inner, id -> new TreeSet<>())
            .addAll(seen.getOrDefault(name, Set.of()))) {
          open.add(inner);
        }
      }
    }
    return seen;
  }

  /** What a revision goes by in {@link #seen}. */
  public static String name(String pieceId, int revision) {
    return BoundIn.name(pieceId, revision);
  }

  /** Which pieces stand in which: their current revisions and their drafts. */
  @Transactional(readOnly = true)
  public PieceGraph graph() {
    return graph(List.of(placed.contained("piece"), placed.contained("draft")));
  }

  private static PieceGraph graph(List<List<Contained>> edges) {
    Map<String, Set<String>> contained = new HashMap<>();
    edges.forEach(
        some ->
            some.forEach(
                one ->
                    contained
                        .computeIfAbsent(one.container(), id -> new TreeSet<>())
                        .add(one.piece())));
    return new PieceGraph(contained);
  }

  /** Whether nothing is known yet of what stands where, as in a database of before. */
  @Transactional(readOnly = true)
  public boolean isPlacedEmpty() {
    return placed.count() == 0;
  }

  /** How far a change of a piece goes, through the pieces that contain it too. */
  @Transactional(readOnly = true)
  public Reach reach(String pieceId) {
    return placed.reach(graph().upwards(List.of(pieceId)));
  }

  /** Wherever a piece is placed itself. */
  @Transactional(readOnly = true)
  public List<Use> uses(String pieceId) {
    return placed.uses(pieceId);
  }

  /** Where some pieces, and those in which they stand, are placed themselves; by the piece. */
  @Transactional(readOnly = true)
  public Map<String, PlacedIn> upwards(Collection<String> pieceIds) {
    List<Contained> released = placed.contained("piece");
    List<Contained> drafts = placed.contained("draft");
    Map<String, PlacedIn> reached = new HashMap<>();
    graph(List.of(released, drafts))
        .upwards(pieceIds)
        .forEach(piece -> reached.put(piece, new PlacedIn()));
    PlacedIn other = new PlacedIn();
    pages.all().forEach(use -> reached.getOrDefault(use.pieceId(), other).onPages().add(use));
    released.forEach(
        one -> reached.getOrDefault(one.piece(), other).inPieces().put(one.container(), false));
    drafts.forEach(
        one ->
            reached.getOrDefault(one.piece(), other).inPieces().putIfAbsent(one.container(), true));
    return reached;
  }

  /** The revisions on which placements stay on pages. */
  @Transactional(readOnly = true)
  public List<StaysOn> stays() {
    return placed.stays();
  }

  /** How far changes of all pieces go. */
  @Transactional(readOnly = true)
  public Reaches reaches() {
    return new Reaches(graph(), pages.all());
  }

  /**
   * How often each piece is placed at each site, and how often it waits for an answer there.
   *
   * @param currents the current revision of each piece
   */
  @Transactional(readOnly = true)
  public List<PlacedAt> placedAt(Map<String, Integer> currents) {
    return PlacedAt.of(pages.all(), currents);
  }

  /** The pages of a site on which one of some pieces is placed with local changes. */
  @Transactional(readOnly = true)
  public List<String> changedPages(String siteId, Collection<String> pieceIds) {
    return placed.changedPages(siteId, pieceIds);
  }

  /** The pages of a site on which one of some pieces is placed itself. */
  @Transactional(readOnly = true)
  public List<String> pagesUsing(String siteId, Collection<String> pieceIds) {
    return pieceIds.isEmpty() ? List.of() : placed.pages(siteId, pieceIds);
  }
}
