package goodbones.server.compositions;

import goodbones.document.Aspect;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Shown;
import goodbones.render.Framed;
import goodbones.render.Renderer;
import goodbones.render.Surroundings;
import goodbones.server.coverage.Framing;
import goodbones.server.drawing.Frames;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.DescribedPiece;
import goodbones.server.library.Descriptions;
import goodbones.server.library.Pieces;
import goodbones.server.library.Referred;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.NotFound;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.structure.PageStart;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The compositions that there are, and the pages that start from them or from other pages. */
@Service
public class Compositions {
  private static final int NAME_LIMIT = 80;

  private final CompositionRepository repository;
  private final SiteSetRepository sets;
  private final Pieces pieces;
  private final Descriptions descriptions;
  private final Sites sites;
  private final FinishesStore finishes;
  private final Frames frames;
  private final Framing framing;

  Compositions(
      CompositionRepository repository,
      SiteSetRepository sets,
      Pieces pieces,
      Descriptions descriptions,
      Sites sites,
      FinishesStore finishes,
      Frames frames,
      Framing framing) {
    this.repository = repository;
    this.sets = sets;
    this.pieces = pieces;
    this.descriptions = descriptions;
    this.sites = sites;
    this.finishes = finishes;
    this.frames = frames;
    this.framing = framing;
  }

  /**
   * A composition.
   *
   * @param pieces the names of its pieces, in order
   * @param missing the names of those that a page of this client cannot have
   */
  record CompositionView(
      String id, String name, String notes, List<String> pieces, List<String> missing) {}

  /** Those that there are, as a client's pages can start from them. */
  @Transactional(readOnly = true)
  List<CompositionView> all(String siteId) {
    sites.get(siteId);
    Map<String, String> names = pieces.names();
    Set<String> usable = usable(siteId);
    List<CompositionView> views = new ArrayList<>();
    for (CompositionEntity one : repository.findAllByOrderByPosition()) {
      List<String> here = new ArrayList<>();
      List<String> missing = new ArrayList<>();
      for (CompositionEntity.Part part : one.parts()) {
        String name = names.getOrDefault(part.pieceId(), part.pieceId());
        (usable.contains(part.pieceId()) ? here : missing).add(name);
      }
      views.add(new CompositionView(one.id(), one.name(), one.notes(), here, missing));
    }
    return views;
  }

  /** The pieces that can be placed at a client's: in use, and not another client's. */
  private Set<String> usable(String siteId) {
    Set<String> usable = new HashSet<>();
    for (DescribedPiece piece : descriptions.all()) {
      if (piece.mayBePlacedAt(siteId)) {
        usable.add(piece.id());
      }
    }
    return usable;
  }

  /** A composition as a page of a client would begin with it. */
  @Transactional(readOnly = true)
  String frame(String id, String siteId) {
    CompositionEntity composition = entity(id);
    return frame(siteId, composition.name(), composition.parts());
  }

  /** Pieces as a page of a client would begin with them. */
  String frame(String siteId, String title, List<CompositionEntity.Part> parts) {
    Node page = PageStart.of(Frames.PIECE_PAGE, placed(parts, siteId), Compositions::freshId);
    Map<String, Integer> shown = new HashMap<>(pieces.currents());
    shown.putAll(sites.adopted(siteId).revisions());
    return frames.html(
        Shown.of(page, new Adopted(shown), pieces),
        finishes.draftFor(siteId),
        sites.get(siteId),
        title);
  }

  /**
   * A page as it is seen.
   *
   * @param only a placement on it, to draw its section alone; empty for the whole page
   */
  @Transactional(readOnly = true)
  String pageFrame(String pageId, String only) {
    PageState page = sites.page(pageId);
    SiteInfo site = sites.get(page.siteId());
    SiteFinishes look = finishes.forSite(site.id());
    Surroundings surroundings = frames.surroundings(site, pageId);
    Framed drawn =
        only.isEmpty()
            ? framing.page(page, look, surroundings)
            : Framed.bare(Renderer.render(sites.shown(alone(page, only)), look, surroundings));
    return Frames.html(drawn, site, page.title());
  }

  /**
   * Where on a page something is used.
   *
   * @param node of the page itself or a placement; the page's own if it is used by that
   * @param html the section in which it stands, or the whole page
   */
  record Spot(String node, String html) {}

  /**
   * The first place on a page where something is used by the page itself.
   *
   * @throws NotFound if the page uses it nowhere
   */
  @Transactional(readOnly = true)
  Spot spot(String pageId, Referred kind, String id) {
    Node root = sites.page(pageId).root();
    String node = kind.first(root, id).orElseThrow(() -> new NotFound("spot", id)).id().value();
    return new Spot(node, pageFrame(pageId, node.equals(root.id().value()) ? "" : node));
  }

  private static PageState alone(PageState page, String placement) {
    NodeId outermost = NodeId.of(placement).outer();
    List<Node> sections =
        page.root().children().stream()
            .filter(section -> section.find(outermost).isPresent())
            .toList();
    if (sections.isEmpty()) {
      throw new NotFound("placement", placement);
    }
    return page.withRoot(page.root().withChildren(sections));
  }

  private CompositionEntity entity(String id) {
    return repository.findById(id).orElseThrow(() -> new NotFound("composition", id));
  }

  private static NodeId freshId() {
    return NodeId.of(UUID.randomUUID().toString());
  }

  /** Placements of its pieces, on the revisions that the client shows, or else the current ones. */
  private List<Placement> placed(List<CompositionEntity.Part> parts, String siteId) {
    Set<String> usable = usable(siteId);
    Adopted adopted = sites.adopted(siteId);
    List<Placement> placed = new ArrayList<>();
    for (CompositionEntity.Part part : parts) {
      if (usable.contains(part.pieceId())) {
        int revision =
            adopted.revisions().getOrDefault(part.pieceId(), pieces.current(part.pieceId()));
        placed.add(placement(part, revision));
      }
    }
    return placed;
  }

  private Placement placement(CompositionEntity.Part part, int revision) {
    Placement placement = Placement.of(part.pieceId()).withBound(revision);
    Node root = pieces.revision(part.pieceId(), revision).root();
    if (root.options().named(part.variant()).isEmpty()) {
      return placement;
    }
    return placement.with(
        new LocalKey(root.id(), Aspect.VARIANT),
        new LocalValue.VariantIs(Optional.of(part.variant())));
  }

  /**
   * Makes a page that begins with a composition.
   *
   * @return its id
   * @throws BadInput if the title will not do, or the client's finishes are older than its pieces
   */
  @Transactional
  String pageFrom(String siteId, String title, String compositionId) {
    return pageFrom(siteId, title, entity(compositionId).parts());
  }

  String pageFrom(String siteId, String title, List<CompositionEntity.Part> parts) {
    List<Placement> placed = placed(parts, siteId);
    for (Placement each : placed) {
      finishes.requireShown(
          siteId,
          sites.get(siteId).name(),
          pieces.revision(each.pieceId(), each.bound()).finishes(),
          "“" + pieces.names().get(each.pieceId()) + "”");
    }
    return sites.newPage(siteId, title, id -> PageStart.of(id, placed, Compositions::freshId));
  }

  /**
   * Makes a page that begins as another page of the same client is.
   *
   * @param words whether its words, pictures and links come along
   * @return its id
   * @throws BadInput if the title will not do, or the other page is another client's
   */
  @Transactional
  String pageLike(String siteId, String title, String pageId, boolean words) {
    PageState other = sites.page(pageId);
    if (!other.siteId().equals(siteId)) {
      throw new BadInput("page", "“" + other.title() + "” is a page of another client");
    }
    return sites.newPage(
        siteId, title, id -> PageStart.like(other.root(), words, id, Compositions::freshId));
  }

  /**
   * Keeps what stands on a page from the library as a composition, after the others.
   *
   * @throws BadInput if there is no name, or nothing on the page is from the library
   */
  @Transactional
  void keep(String pageId, String name) {
    String plain = plain(name, "composition");
    PageState page = sites.page(pageId);
    List<CompositionEntity.Part> parts = parts(page.root());
    if (parts.isEmpty()) {
      throw new BadInput(
          "page",
          "No section of “" + page.title() + "” is from the library: keep its sections first");
    }
    int last = repository.findAll().stream().mapToInt(CompositionEntity::position).max().orElse(0);
    repository.save(
        new CompositionEntity(UUID.randomUUID().toString(), plain, "", last + 1, parts));
  }

  /**
   * @param what the name is of
   * @throws BadInput if there is no name, or it is too long
   */
  static String plain(String name, String what) {
    String plain = name.strip();
    if (plain.isEmpty() || plain.length() > NAME_LIMIT) {
      throw new BadInput(
          "name", "Give the " + what + " a name of 1 to " + NAME_LIMIT + " characters");
    }
    return plain;
  }

  /** What stands on a page from the library, in order. */
  List<CompositionEntity.Part> parts(Node page) {
    List<CompositionEntity.Part> parts = new ArrayList<>();
    for (Node child : page.children()) {
      child
          .placement()
          .filter(placed -> !placed.pieceId().isEmpty())
          .ifPresent(placed -> parts.add(part(placed)));
    }
    return parts;
  }

  private CompositionEntity.Part part(Placement placed) {
    NodeId root = pieces.revision(placed.pieceId(), placed.bound()).root().id();
    LocalValue variant = placed.layer().changes().get(new LocalKey(root, Aspect.VARIANT));
    return new CompositionEntity.Part(
        placed.pieceId(),
        variant instanceof LocalValue.VariantIs is ? is.variant().orElse("") : "");
  }

  /** Takes a composition away; pages that started from it stay as they are. */
  @Transactional
  void remove(String id) {
    repository.delete(entity(id));
  }

  /** Puts another piece in the place of one that goes, in compositions and sets of pages. */
  @Transactional
  public void replace(String gone, String by) {
    repository.findAll().forEach(one -> one.replace(gone, by));
    sets.findAll().forEach(one -> one.replace(gone, by));
  }

  /** Adds one that ships with the application, unless it is there. */
  void add(String id, String name, String notes, int position, List<CompositionEntity.Part> parts) {
    if (!repository.existsById(id)) {
      repository.save(new CompositionEntity(id, name, notes, position, parts));
    }
  }
}
