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
import java.util.Locale;
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
  private final Pieces pieces;
  private final Descriptions descriptions;
  private final Sites sites;
  private final FinishesStore finishes;
  private final Frames frames;
  private final Framing framing;

  Compositions(
      CompositionRepository repository,
      Pieces pieces,
      Descriptions descriptions,
      Sites sites,
      FinishesStore finishes,
      Frames frames,
      Framing framing) {
    this.repository = repository;
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
      if (!piece.retired() && piece.said().mayStandIn(siteId)) {
        usable.add(piece.id());
      }
    }
    return usable;
  }

  /** A composition as a page of a client would begin with it. */
  @Transactional(readOnly = true)
  String frame(String id, String siteId) {
    Node page = PageStart.of(Frames.PIECE_PAGE, placed(id, siteId), Compositions::freshId);
    Map<String, Integer> shown = new HashMap<>(pieces.currents());
    shown.putAll(sites.adopted(siteId).revisions());
    return frames.html(
        Shown.of(page, new Adopted(shown), pieces),
        finishes.draftFor(siteId),
        sites.get(siteId),
        entity(id).name());
  }

  /** A page as it is seen. */
  @Transactional(readOnly = true)
  String pageFrame(String pageId) {
    PageState page = sites.page(pageId);
    SiteInfo site = sites.get(page.siteId());
    SiteFinishes look = finishes.forSite(site.id());
    Surroundings surroundings = frames.surroundings(site, pageId);
    return Frames.html(
        new Framed(
            Renderer.render(sites.shown(page), look, surroundings),
            framing.around(page, look, surroundings)),
        site,
        page.title());
  }

  private CompositionEntity entity(String id) {
    return repository.findById(id).orElseThrow(() -> new NotFound("composition", id));
  }

  private static NodeId freshId() {
    return NodeId.of(UUID.randomUUID().toString());
  }

  /** Placements of its pieces, on the revisions that the client shows, or else the current ones. */
  private List<Placement> placed(String id, String siteId) {
    Set<String> usable = usable(siteId);
    Adopted adopted = sites.adopted(siteId);
    List<Placement> placed = new ArrayList<>();
    for (CompositionEntity.Part part : entity(id).parts()) {
      if (usable.contains(part.pieceId())) {
        int revision =
            adopted.revisions().getOrDefault(part.pieceId(), pieces.current(part.pieceId()));
        placed.add(placement(part, revision));
      }
    }
    return placed;
  }

  private Placement placement(CompositionEntity.Part part, int revision) {
    Placement placement = Placement.of(part.pieceId()).withSettled(revision);
    Node root = pieces.revision(part.pieceId(), revision).root();
    if (root.options().named(part.variant()).isEmpty()) {
      return placement;
    }
    return placement.withChange(
        new LocalKey(root.id(), Aspect.VARIANT),
        Optional.of(new LocalValue.VariantIs(Optional.of(part.variant()))));
  }

  /**
   * Makes a page that begins with a composition.
   *
   * @return its id
   * @throws BadInput if the title will not do, or the client's finishes are older than its pieces
   */
  @Transactional
  String pageFrom(String siteId, String title, String compositionId) {
    List<Placement> placed = placed(compositionId, siteId);
    for (Placement each : placed) {
      finishes.requireShown(
          siteId,
          sites.get(siteId).name(),
          pieces.revision(each.pieceId(), each.settled()).finishes(),
          "“" + pieces.names().get(each.pieceId()) + "”");
    }
    return sites.newPage(siteId, title, id -> PageStart.of(id, placed, Compositions::freshId));
  }

  /**
   * A set of pages.
   *
   * @param pages the titles of those that the client does not have yet, in order
   */
  record SetView(String id, String name, List<String> pages) {}

  /** The sets of which a client lacks some page. */
  @Transactional(readOnly = true)
  List<SetView> sets(String siteId) {
    return SiteSets.ALL.stream()
        .map(
            set ->
                new SetView(
                    set.id(),
                    set.name(),
                    lacking(siteId, set).stream().map(SiteSets.SetPage::title).toList()))
        .filter(view -> !view.pages().isEmpty())
        .toList();
  }

  /** The pages of a set that a client has none of the same title for. */
  private List<SiteSets.SetPage> lacking(String siteId, SiteSets.SiteSet set) {
    Set<String> titles = new HashSet<>();
    sites.pages(siteId).forEach(page -> titles.add(page.title().toLowerCase(Locale.ROOT)));
    return set.pages().stream()
        .filter(page -> repository.existsById(page.composition()))
        .filter(page -> !titles.contains(page.title().toLowerCase(Locale.ROOT)))
        .toList();
  }

  /**
   * Makes the pages of a set that the client does not have yet.
   *
   * @return their ids, in order
   * @throws BadInput if there is no such set, or as {@link #pageFrom}
   */
  @Transactional
  List<String> pagesFrom(String siteId, String setId) {
    SiteSets.SiteSet set =
        SiteSets.ALL.stream()
            .filter(one -> one.id().equals(setId))
            .findFirst()
            .orElseThrow(() -> new BadInput("set", "There is no set of pages “" + setId + "”"));
    return lacking(siteId, set).stream()
        .map(page -> pageFrom(siteId, page.title(), page.composition()))
        .toList();
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
    String plain = name.strip();
    if (plain.isEmpty() || plain.length() > NAME_LIMIT) {
      throw new BadInput(
          "name", "Give the composition a name of 1 to " + NAME_LIMIT + " characters");
    }
    PageState page = sites.page(pageId);
    List<CompositionEntity.Part> parts = new ArrayList<>();
    for (Node child : page.root().children()) {
      child
          .placement()
          .filter(placed -> !placed.pieceId().isEmpty())
          .ifPresent(placed -> parts.add(part(placed)));
    }
    if (parts.isEmpty()) {
      throw new BadInput(
          "page",
          "No section of “" + page.title() + "” is from the library: keep its sections first");
    }
    int last = repository.findAll().stream().mapToInt(CompositionEntity::position).max().orElse(0);
    repository.save(
        new CompositionEntity(UUID.randomUUID().toString(), plain, "", last + 1, parts));
  }

  private CompositionEntity.Part part(Placement placed) {
    NodeId root = pieces.revision(placed.pieceId(), placed.settled()).root().id();
    LocalValue variant = placed.changes().get(new LocalKey(root, Aspect.VARIANT));
    return new CompositionEntity.Part(
        placed.pieceId(),
        variant instanceof LocalValue.VariantIs is ? is.variant().orElse("") : "");
  }

  /** Takes a composition away; pages that started from it stay as they are. */
  @Transactional
  void remove(String id) {
    repository.delete(entity(id));
  }

  /** Adds one that ships with the application, unless it is there. */
  void add(String id, String name, String notes, int position, List<CompositionEntity.Part> parts) {
    if (!repository.existsById(id)) {
      repository.save(new CompositionEntity(id, name, notes, position, parts));
    }
  }
}
