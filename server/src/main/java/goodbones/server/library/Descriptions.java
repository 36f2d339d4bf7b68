package goodbones.server.library;

import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.library.Described;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Etag;
import goodbones.server.problems.NotFound;
import goodbones.server.problems.Stale;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is said of pieces: their names, kinds and purposes, whose they are, which are retired. */
@Service
public class Descriptions {
  private static final int PLACES_NAMED = 3;

  private final DescribedRepository described;
  private final PieceRepository pieces;
  private final PlacedRepository placed;
  private final Clock clock;

  Descriptions(
      DescribedRepository described, PieceRepository pieces, PlacedRepository placed, Clock clock) {
    this.described = described;
    this.pieces = pieces;
    this.placed = placed;
    this.clock = clock;
  }

  /** All pieces without their documents, by name. */
  @Transactional(readOnly = true)
  public List<DescribedPiece> all() {
    Map<String, DescribedEntity> said =
        described.findAll().stream()
            .collect(Collectors.toMap(DescribedEntity::pieceId, Function.identity()));
    List<DescribedPiece> all = new ArrayList<>();
    for (PieceName piece : pieces.names()) {
      DescribedEntity about = said.get(piece.id());
      if (about != null) {
        all.add(piece(piece.name(), piece.current(), about));
      }
    }
    return all;
  }

  private static DescribedPiece piece(String name, int current, DescribedEntity about) {
    return new DescribedPiece(
        about.pieceId(),
        about.said(name),
        current,
        about.rootKind(),
        about.drafted(),
        about.retired(),
        about.variants(),
        about.words(),
        about.changed());
  }

  /**
   * @throws NotFound if there is no such piece
   */
  @Transactional(readOnly = true)
  public Described of(String pieceId) {
    return entity(pieceId).said(name(pieceId));
  }

  /** The one client that a piece belongs to; empty if it is for all. */
  @Transactional(readOnly = true)
  public String siteOf(String pieceId) {
    return entity(pieceId).siteId();
  }

  private DescribedEntity entity(String pieceId) {
    return described.findById(pieceId).orElseThrow(() -> new NotFound("piece", pieceId));
  }

  private DescribedEntity locked(String pieceId) {
    return described.locked(List.of(pieceId)).stream()
        .findFirst()
        .orElseThrow(() -> new NotFound("piece", pieceId));
  }

  private String name(String pieceId) {
    return pieces.findById(pieceId).map(PieceEntity::name).orElse(pieceId);
  }

  void add(String pieceId, Described said, Kind root) {
    requireSound(said, root);
    DescribedEntity about = new DescribedEntity(pieceId);
    about.describe(said);
    described.save(about);
  }

  /** Writes down what lists ask of a document. */
  void shows(String pieceId, Node root, Node shown, boolean draft) {
    DescribedEntity about = entity(pieceId);
    about.shows(root, shown, draft, clock.instant());
    described.save(about);
  }

  /** The tag of what is said of a piece. */
  public static String etag(Described said) {
    return Etag.of(
        said.name(),
        said.kind().word(),
        said.purpose().word(),
        said.tags(),
        said.notes(),
        said.siteId());
  }

  /**
   * Says something else of a piece.
   *
   * @param etag of what was said of it where this was decided
   * @throws Stale if something else is said of it by now
   * @throws BadInput if it is for one client only and others use it, or it stands in a piece that
   *     is for others too, or it is no section and called a template, header or footer
   */
  @Transactional
  public void describe(String pieceId, String etag, Described said) {
    DescribedEntity about = locked(pieceId);
    Etag.require(etag, etag(about.said(name(pieceId))), "The description of this piece");
    requireSound(said, Kind.ofWord(about.rootKind()));
    if (!said.siteId().isEmpty()) {
      requireUsedOnlyAt(pieceId, said.siteId());
    }
    requireMayHold(said.siteId(), placed.in("piece", pieceId));
    requireMayHold(said.siteId(), placed.in("draft", pieceId));
    about.describe(said);
    described.save(about);
    described.rename(pieceId, said.name());
  }

  private static void requireSound(Described said, Kind root) {
    said.faults(root).stream()
        .findFirst()
        .ifPresent(
            fault -> {
              throw new BadInput(fault.part(), fault.message());
            });
  }

  private void requireUsedOnlyAt(String pieceId, String siteId) {
    List<String> elsewhere = placed.sitesOtherThan(pieceId, siteId);
    if (!elsewhere.isEmpty()) {
      throw new BadInput(
          "siteId",
          "“"
              + name(pieceId)
              + "” is placed at "
              + elsewhere.size()
              + (elsewhere.size() == 1 ? " other client" : " other clients")
              + " too, so it cannot belong to one: exchange it or unlink it there first");
    }
    for (Contained in : placed.containing(pieceId)) {
      if (!siteOf(in.container()).equals(siteId)) {
        throw new BadInput(
            "siteId",
            "“"
                + name(pieceId)
                + "” stands in “"
                + name(in.container())
                + "”, which is for other clients too: take it out of there first");
      }
    }
  }

  /**
   * Requires that pieces may be placed in something that belongs to a client, or to all.
   *
   * @param siteId whose it is; empty for all
   * @throws BadInput if one is a draft only or retired, or belongs to another client
   */
  void requireMayHold(String siteId, Collection<String> pieceIds) {
    if (pieceIds.isEmpty()) {
      return;
    }
    requireReleased(pieceIds);
    for (DescribedEntity about : described.locked(pieceIds)) {
      if (about.retired()) {
        throw new BadInput(
            "piece",
            "“"
                + name(about.pieceId())
                + "” is retired: bring it back in the library first, or choose another piece");
      }
      if (!about.said("").mayStandIn(siteId)) {
        throw new BadInput(
            "piece",
            "“"
                + name(about.pieceId())
                + "” belongs to one client only and cannot stand "
                + (siteId.isEmpty() ? "in a piece for all clients" : "at another client"));
      }
    }
  }

  /**
   * @throws BadInput if one of some pieces is a draft only
   */
  void requireReleased(Collection<String> pieceIds) {
    for (String id : pieces.unreleased(pieceIds)) {
      throw new BadInput(
          "piece", "“" + name(id) + "” has not been released yet: release it in the library first");
    }
  }

  /**
   * Takes a piece out of use: it is listed as retired and can be placed no more.
   *
   * @param pageTitle from a page's id to what it is called
   * @throws BadInput if it is used, naming where
   */
  @Transactional
  public void retire(String pieceId, UnaryOperator<String> pageTitle) {
    DescribedEntity about = locked(pieceId);
    List<Use> uses = placed.uses(pieceId);
    if (!uses.isEmpty()) {
      throw new BadInput(
          "piece",
          "“"
              + name(pieceId)
              + "” is still used, "
              + where(uses, pageTitle)
              + ": put another piece in its place there, or unlink it");
    }
    about.retire(true);
    described.save(about);
  }

  private String where(List<Use> uses, UnaryOperator<String> pageTitle) {
    List<String> named =
        uses.stream()
            .map(
                use ->
                    use.isOnPage()
                        ? "on “" + pageTitle.apply(use.ownerId()) + "”"
                        : "in “" + name(use.ownerId()) + "”")
            .distinct()
            .toList();
    String first = String.join(", ", named.subList(0, Math.min(PLACES_NAMED, named.size())));
    int others = named.size() - PLACES_NAMED;
    return others > 0 ? first + " and " + others + " more" : first;
  }

  /** Takes a retired piece into use again. */
  @Transactional
  public void bringBack(String pieceId) {
    DescribedEntity about = entity(pieceId);
    about.retire(false);
    described.save(about);
  }
}
