package goodbones.server.rollouts;

import goodbones.document.Catalogue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Placements;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.propagation.PlacementPlan;
import goodbones.propagation.Replacement;
import goodbones.propagation.Rollout;
import goodbones.propagation.RolloutPlan;
import goodbones.server.compositions.Compositions;
import goodbones.server.drawing.Wording;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.Descriptions;
import goodbones.server.library.Pieces;
import goodbones.server.library.UsageIndex;
import goodbones.server.library.Use;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Stale;
import goodbones.server.rollouts.ReplacementViews.AtSite;
import goodbones.server.rollouts.ReplacementViews.InPiece;
import goodbones.server.rollouts.ReplacementViews.ReplaceRequest;
import goodbones.server.rollouts.ReplacementViews.ReplacedPlacement;
import goodbones.server.rollouts.ReplacementViews.ReplacementPlan;
import goodbones.server.rollouts.RolloutViews.Done;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Puts another piece where one stands, everywhere, and retires that: one rollout, which can be
 * taken back. The plan is the same act, undone before it is kept.
 */
@Service
class Replacing {
  private final Planning planning;
  private final Carrying carrying;
  private final Records records;
  private final Pieces pieces;
  private final UsageIndex usage;
  private final Descriptions descriptions;
  private final Compositions compositions;
  private final Sites sites;
  private final FinishesStore finishes;
  private final Clock clock;
  private final TransactionTemplate tried;

  Replacing(
      Planning planning,
      Carrying carrying,
      Records records,
      Pieces pieces,
      UsageIndex usage,
      Descriptions descriptions,
      Compositions compositions,
      Sites sites,
      FinishesStore finishes,
      Clock clock,
      PlatformTransactionManager transactions) {
    this.planning = planning;
    this.carrying = carrying;
    this.records = records;
    this.pieces = pieces;
    this.usage = usage;
    this.descriptions = descriptions;
    this.compositions = compositions;
    this.sites = sites;
    this.finishes = finishes;
    this.clock = clock;
    this.tried = new TransactionTemplate(transactions);
    this.tried.setIsolationLevel(TransactionDefinition.ISOLATION_SERIALIZABLE);
    this.tried.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
  }

  /** What was done at one site. */
  private static final class Site {
    final String id;
    final Map<String, Node> before = new LinkedHashMap<>();
    final List<ReplacedPlacement> placements = new ArrayList<>();
    final Set<String> follows = new LinkedHashSet<>();
    final Set<String> later = new LinkedHashSet<>();

    Site(String id) {
      this.id = id;
    }
  }

  private record Act(ReplacementPlan plan, Rollout rollout) {}

  /**
   * What replacing does; nothing is changed by asking.
   *
   * @throws BadInput if the other piece cannot stand where the first one does
   */
  ReplacementPlan plan(String pieceId, String by) {
    return java.util.Objects.requireNonNull(
        tried.execute(
            status -> {
              status.setRollbackOnly();
              return act(pieceId, by).plan();
            }));
  }

  /**
   * Replaces a piece everywhere and retires it.
   *
   * @throws Stale if anything that it was planned with was changed since
   */
  @Transactional(isolation = Isolation.SERIALIZABLE)
  Done replace(ReplaceRequest request, String user) {
    sites.all().forEach(site -> sites.hold(site.id()));
    Act act = act(request.pieceId(), request.by());
    if (!act.plan().basis().equals(request.basis())) {
      throw new Stale("What is to be replaced");
    }
    descriptions.retire(request.pieceId(), sites::pageTitle);
    compositions.replace(request.pieceId(), request.by());
    return records.keep(new RolloutEntity(act.rollout(), clock.instant(), user));
  }

  private Act act(String pieceId, String by) {
    pieces.get(pieceId);
    pieces.get(by);
    if (pieceId.equals(by)) {
      throw new BadInput("by", "Choose another piece to put in its place");
    }
    Replacement replacement = new Replacement(pieces, pieceId);
    SortedMap<String, Site> reached = reached(pieceId);
    String basis = basis(pieceId, by, reached.keySet());
    Map<String, Integer> currents = pieces.currents();
    Map<String, Adopted> adopted = sites.adopted();
    reached.values().forEach(site -> exchange(replacement, site, by));
    String note = "“" + name(by) + "” in the place of “" + name(pieceId) + "”";
    Placement bound = Placement.of(by).withBound(pieces.toPlace(by));
    List<String> containers =
        pieces.replace(pieceId, note, root -> replacement.in(root, Showing.BOUND, bound).root());
    List<Rollout.FilledStep> filled = new ArrayList<>();
    for (String container : containers) {
      for (Carrying.ToSite load : carrying.of(container)) {
        Site site = reached.computeIfAbsent(load.siteId(), Site::new);
        carry(site, load, container, currents, filled);
      }
    }
    Rollout rollout =
        new Rollout(
            pieceId,
            pieces.current(pieceId),
            adopted(reached.keySet(), adopted),
            written(reached.values()),
            filled,
            by,
            containers.stream()
                .map(
                    id ->
                        new Rollout.ReleasedStep(
                            id, currents.getOrDefault(id, 0), pieces.current(id)))
                .toList());
    return new Act(view(pieceId, by, basis, containers, reached), rollout);
  }

  private String name(String pieceId) {
    return pieces.names().getOrDefault(pieceId, pieceId);
  }

  private SortedMap<String, Site> reached(String pieceId) {
    SortedMap<String, Site> reached = new TreeMap<>();
    for (Use use : usage.uses(pieceId)) {
      if (use.isOnPage()) {
        reached.computeIfAbsent(use.siteId(), Site::new);
      }
    }
    return reached;
  }

  /** All that is read to replace the piece, by versions. */
  private String basis(String pieceId, String by, Set<String> siteIds) {
    Set<String> versions = new TreeSet<>();
    Set<String> concerned = new TreeSet<>(usage.graph().upwards(List.of(pieceId)));
    concerned.add(by);
    concerned.forEach(id -> versions.add(id + " " + pieces.version(id)));
    for (Use use : usage.uses(pieceId)) {
      if (use.isOnPage()) {
        versions.add(use.ownerId() + " " + sites.page(use.ownerId()).version());
      }
    }
    siteIds.forEach(site -> versions.add(site + " " + sites.stamp(site)));
    return Integer.toHexString(versions.hashCode()) + "-" + versions.size();
  }

  private void exchange(Replacement replacement, Site site, String by) {
    Adopted here = sites.adopted(site.id);
    int revision = here.revisions().getOrDefault(by, pieces.toPlace(by));
    String siteName = sites.get(site.id).name();
    finishes.requireShown(
        site.id,
        siteName,
        pieces.revision(by, revision).finishes(),
        "Revision " + revision + " of “" + name(by) + "”");
    Placement placing = Placement.of(by).withBound(revision);
    for (String pageId : usage.pagesUsing(site.id, List.of(replacement.pieceId()))) {
      PageState page = sites.page(pageId);
      Replacement.Outcome outcome = replacement.in(page.root(), here, placing);
      site.before.putIfAbsent(pageId, page.root());
      Catalogue.requireNoneNew(
          Shown.of(page.root(), here, pieces).root(),
          Shown.of(outcome.root(), here, pieces).root());
      sites.write(pageId, page.version(), outcome.root());
      Wording wording = new Wording(finishes.forSite(site.id));
      outcome.replaced().forEach(one -> site.placements.add(view(page, one, wording)));
    }
  }

  private static ReplacedPlacement view(PageState page, Replacement.Replaced one, Wording wording) {
    return new ReplacedPlacement(
        page.id(),
        page.title(),
        one.path().value(),
        one.carried(),
        one.kept().values().stream().map(value -> wording.value(Optional.of(value))).toList(),
        one.others());
  }

  /**
   * A site that shows a container's last revision takes the new one along; one that is further
   * behind, or where something is offered, does so by a rollout of its own.
   */
  private void carry(
      Site site,
      Carrying.ToSite load,
      String container,
      Map<String, Integer> before,
      List<Rollout.FilledStep> filled) {
    Adopted here = sites.adopted(site.id);
    Map<String, Integer> revisions = load.load().revisions(Set.of());
    boolean upToDate =
        load.load().isNextAt(here, before)
            && revisions.entrySet().stream()
                .allMatch(
                    e ->
                        pieces.revision(e.getKey(), e.getValue()).finishes()
                            <= finishes.adopted(site.id));
    if (!upToDate) {
      site.later.add(name(container));
      return;
    }
    RolloutPlan plan = planning.toWrite(load, Set.of(), Map.of());
    Map<String, Map<NodeId, Placement>> others = new LinkedHashMap<>();
    for (PlacementPlan one : plan.placements()) {
      others
          .computeIfAbsent(one.pageId(), id -> new HashMap<>())
          .put(one.placementId(), one.after(Map.of()));
    }
    others.forEach(
        (pageId, placements) -> {
          PageState page = sites.page(pageId);
          site.before.putIfAbsent(pageId, page.root());
          Node after = Placements.replaced(page.root(), placements);
          if (!after.equals(page.root())) {
            sites.write(pageId, page.version(), after);
          }
        });
    if (!plan.filled().isEmpty()) {
      sites.fill(site.id, plan.filled());
      filled.addAll(plan.filledSteps(site.id, here.fillings()));
    }
    revisions.forEach(
        (id, revision) -> {
          sites.adopt(site.id, id, revision);
          site.follows.add(name(id));
        });
  }

  private List<Rollout.AdoptedStep> adopted(Set<String> siteIds, Map<String, Adopted> before) {
    List<Rollout.AdoptedStep> steps = new ArrayList<>();
    for (String siteId : siteIds) {
      Map<String, Integer> then = before.getOrDefault(siteId, new Adopted(Map.of())).revisions();
      new TreeMap<>(sites.adopted(siteId).revisions())
          .forEach(
              (id, revision) -> {
                // What is adopted for the first time stays so: nothing shows it once it is back.
                int was = then.getOrDefault(id, revision);
                if (was != revision) {
                  steps.add(new Rollout.AdoptedStep(siteId, id, was, revision));
                }
              });
    }
    return steps;
  }

  private List<Rollout.WrittenStep> written(Iterable<Site> reached) {
    List<Rollout.WrittenStep> steps = new ArrayList<>();
    for (Site site : reached) {
      site.before.forEach(
          (pageId, root) ->
              steps.addAll(Rollout.written(site.id, pageId, root, sites.page(pageId).root())));
    }
    return steps;
  }

  private ReplacementPlan view(
      String pieceId,
      String by,
      String basis,
      List<String> containers,
      SortedMap<String, Site> reached) {
    List<AtSite> views = new ArrayList<>();
    int placements = 0;
    for (Site site : reached.values()) {
      placements += site.placements.size();
      views.add(
          new AtSite(
              site.id,
              sites.get(site.id).name(),
              List.copyOf(site.follows),
              List.copyOf(site.later),
              List.copyOf(site.placements),
              waiting(site)));
    }
    return new ReplacementPlan(
        pieceId,
        name(pieceId),
        by,
        name(by),
        basis,
        placements,
        containers.stream().map(id -> new InPiece(id, name(id), pieces.current(id))).toList(),
        views);
  }

  /** The pages on which something of a container waits for an answer now. */
  private List<String> waiting(Site site) {
    List<String> waiting = new ArrayList<>();
    site.before.forEach(
        (pageId, root) -> {
          PageState page = sites.page(pageId);
          Map<NodeId, Placement> were = Placements.of(root);
          boolean waits =
              Placements.of(page.root()).entrySet().stream()
                  .anyMatch(
                      e -> isWaiting(e.getValue()) && !e.getValue().equals(were.get(e.getKey())));
          if (waits) {
            waiting.add(page.title());
          }
        });
    return waiting;
  }

  private static boolean isWaiting(Placement placement) {
    return placement.pin().filter(pin -> pin.reason() == Pin.Reason.WAITING).isPresent();
  }
}
