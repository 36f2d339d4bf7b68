package goodbones.server.rollouts;

import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Placements;
import goodbones.library.Shown;
import goodbones.propagation.Difference;
import goodbones.propagation.Load;
import goodbones.propagation.OutOfSight;
import goodbones.propagation.PlacementPlan;
import goodbones.propagation.Question;
import goodbones.propagation.Release;
import goodbones.propagation.RolloutPlan;
import goodbones.propagation.RolloutPlanner;
import goodbones.propagation.Settlement;
import goodbones.propagation.SiteQuestion;
import goodbones.server.drawing.ChangeView;
import goodbones.server.drawing.Frames;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.library.RevisionInfo;
import goodbones.server.library.UsageIndex;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Stale;
import goodbones.server.rollouts.RolloutViews.AnswerRequest;
import goodbones.server.rollouts.RolloutViews.Inside;
import goodbones.server.rollouts.RolloutViews.OutOfSightView;
import goodbones.server.rollouts.RolloutViews.Overview;
import goodbones.server.rollouts.RolloutViews.Plan;
import goodbones.server.rollouts.RolloutViews.Preview;
import goodbones.server.rollouts.RolloutViews.PreviewRequest;
import goodbones.server.rollouts.RolloutViews.RolloutPlacement;
import goodbones.server.rollouts.RolloutViews.SiteChoiceView;
import goodbones.server.rollouts.RolloutViews.SitePiece;
import goodbones.server.rollouts.RolloutViews.SitePlan;
import goodbones.server.rollouts.RolloutViews.SiteQuestionView;
import goodbones.server.rollouts.RolloutViews.Waiting;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What carrying releases to sites would do. */
@Service
class Planning {
  private final Pieces pieces;
  private final UsageIndex usage;
  private final Sites sites;
  private final FinishesStore finishes;
  private final Frames frames;
  private final Records records;
  private final Carrying carrying;
  private final SitesNow now;
  private final Asking asking;

  Planning(
      Pieces pieces,
      UsageIndex usage,
      Sites sites,
      FinishesStore finishes,
      Frames frames,
      Records records,
      Carrying carrying,
      SitesNow now,
      Asking asking) {
    this.pieces = pieces;
    this.usage = usage;
    this.sites = sites;
    this.finishes = finishes;
    this.frames = frames;
    this.records = records;
    this.carrying = carrying;
    this.now = now;
    this.asking = asking;
  }

  @Transactional(readOnly = true)
  Overview overview() {
    List<Waiting> waiting = new ArrayList<>();
    Map<String, String> names = pieces.names();
    Carrying.Now brings = carrying.now();
    names.forEach(
        (id, name) -> {
          List<Carrying.ToSite> loads =
              brings.of(id).stream()
                  .filter(
                      load ->
                          load.load().release().isEmpty() || !brings.onlyFollows(load.siteId(), id))
                  .toList();
          if (!loads.isEmpty()) {
            int current = pieces.current(id);
            waiting.add(
                new Waiting(
                    id,
                    name,
                    current,
                    note(id, current),
                    loads.stream().map(load -> sites.get(load.siteId()).name()).toList(),
                    loads.stream().mapToInt(brings::placements).sum(),
                    loads.stream().mapToInt(asking::placements).sum()));
          }
        });
    return new Overview(inside(), waiting, records.all());
  }

  private String note(String pieceId, int revision) {
    return pieces.revisions(pieceId).stream()
        .filter(r -> r.number() == revision)
        .map(RevisionInfo::note)
        .findFirst()
        .orElse("");
  }

  /** What is asked inside pieces. */
  private List<Inside> inside() {
    SiteFinishes house = finishes.draftFor("");
    return pieces.waiting().stream()
        .map(
            one -> {
              String placed = one.placement().pieceId();
              Describing describing =
                  new Describing(pieces, placed, one.placement().bound(), one.wanted(), house);
              return new Inside(
                  one.pieceId(),
                  pieces.get(one.pieceId()).name(),
                  one.path().value(),
                  placed,
                  pieces.get(placed).name(),
                  one.placement().bound(),
                  one.wanted(),
                  one.rebased().allQuestions().stream()
                      .map(
                          q ->
                              describing.question(
                                  insideKey(one.pieceId(), one.path(), q), one.path(), q))
                      .toList());
            })
        .toList();
  }

  private static String insideKey(String pieceId, NodeId path, Question question) {
    return Describing.key("piece:" + pieceId, path.value(), question);
  }

  /**
   * Answers what is asked inside a piece: it follows, and all that contains it.
   *
   * @throws BadInput if that answers nothing
   */
  @Transactional
  Overview answer(AnswerRequest request) {
    boolean seen =
        overview().inside().stream()
            .anyMatch(
                one ->
                    one.pieceId().equals(request.pieceId()) && one.etag().equals(request.etag()));
    if (!seen) {
      throw new Stale("What is asked in this piece");
    }
    Map<String, Settlement> decided = Decisions.read(request.decisions());
    int before = pieces.waiting().size();
    pieces.follow(
        request.pieceId(),
        asked ->
            Optional.ofNullable(
                decided.get(insideKey(asked.pieceId(), asked.path(), asked.question()))));
    if (pieces.waiting().size() == before) {
      throw new BadInput(
          "decisions", "Answer every question of a placement; nothing could follow yet");
    }
    return overview();
  }

  static Set<String> accepted(Carrying.ToSite load, List<SitePiece> accepted) {
    return accepted.stream()
        .filter(one -> one.siteId().equals(load.siteId()))
        .map(SitePiece::pieceId)
        .collect(Collectors.toSet());
  }

  /**
   * @param decided answers to what is asked once for the site
   */
  RolloutPlan plans(Carrying.ToSite load, Set<String> accepted, Map<String, Integer> decided) {
    Map<String, Integer> revisions = load.load().revisions(accepted);
    List<String> pageIds = usage.pagesUsing(load.siteId(), revisions.keySet());
    return plans(load.siteId(), revisions, pageIds, decided);
  }

  private RolloutPlan plans(
      String siteId,
      Map<String, Integer> revisions,
      List<String> pageIds,
      Map<String, Integer> decided) {
    return new RolloutPlanner(pieces)
        .plan(new Release(revisions), now.showing(siteId, revisions, pageIds), decided);
  }

  /** What is to be written, without a look at the pages. */
  RolloutPlan toWrite(Carrying.ToSite load, Set<String> accepted, Map<String, Integer> decided) {
    Map<String, Integer> revisions = load.load().revisions(accepted);
    return new RolloutPlanner(pieces)
        .withoutLooking()
        .plan(new Release(revisions), now.using(load.siteId(), revisions.keySet()), decided);
  }

  @Transactional(readOnly = true)
  Plan plan(String pieceId, List<SitePiece> along) {
    long begun = System.nanoTime();
    PieceState piece = pieces.get(pieceId);
    List<SitePlan> views = new ArrayList<>();
    for (Carrying.ToSite load : carrying.of(piece.id())) {
      Set<String> accepted = accepted(load, along);
      RolloutPlan planned = plans(load, accepted, Map.of());
      List<PlacementPlan> plans = planned.placements();
      if (!plans.isEmpty() || load.load().along().stream().anyMatch(Load.Along::isOffered)) {
        views.add(
            new SitePlan(
                load.siteId(),
                sites.get(load.siteId()).name(),
                sites.stamp(load.siteId()),
                load.load().along().stream().map(one -> view(one, accepted)).toList(),
                planned.questions().stream().map(q -> view(load, accepted, q)).toList(),
                planned.outOfSight().stream().map(one -> view(load, one)).toList(),
                plans.stream().map(one -> view(one, planned.questions())).toList()));
      }
    }
    return new Plan(
        piece.id(),
        piece.name(),
        piece.current(),
        note(piece.id(), piece.current()),
        (System.nanoTime() - begun) / 1_000_000,
        views);
  }

  private SiteQuestionView view(Carrying.ToSite load, Set<String> accepted, SiteQuestion question) {
    int to = load.load().revisions(accepted).getOrDefault(question.pieceId(), 1);
    SiteFinishes look = now.look(load.siteId(), Map.of(question.pieceId(), to));
    Describing describing = new Describing(pieces, question.pieceId(), to, to, look);
    List<SiteChoiceView> choices = new ArrayList<>();
    for (SiteQuestion.Choice choice : question.choices()) {
      List<String> pages =
          choice.places().stream()
              .map(place -> sites.pageTitle(place.pageId()))
              .distinct()
              .toList();
      choices.add(
          new SiteChoiceView(
              Decisions.answer(choices.size()),
              describing.value(question, choice),
              pages,
              choice.value().isEmpty()));
    }
    choices.add(new SiteChoiceView(Decisions.answer(SiteQuestion.EACH), "", List.of(), false));
    return new SiteQuestionView(
        Decisions.key(load.siteId(), question),
        describing.title(question),
        describing.label(question),
        choices);
  }

  private OutOfSightView view(Carrying.ToSite load, OutOfSight one) {
    int from = sites.adopted(load.siteId()).revisions().getOrDefault(one.pieceId(), 1);
    SiteFinishes look = now.look(load.siteId(), Map.of());
    Describing describing = new Describing(pieces, one.pieceId(), from, from, look);
    return new OutOfSightView(
        describing.title(one),
        describing.label(one),
        describing.value(one),
        one.places().stream().map(place -> sites.pageTitle(place.pageId())).distinct().toList());
  }

  private RolloutViews.Along view(Load.Along along, Set<String> accepted) {
    return new RolloutViews.Along(
        along.pieceId(),
        pieces.get(along.pieceId()).name(),
        along.from(),
        along.to(),
        along.isOffered(),
        !along.isOffered() || accepted.contains(along.pieceId()),
        carrying.told(along.pieceId(), along.brings()));
  }

  private RolloutPlacement view(PlacementPlan plan, List<SiteQuestion> ofSite) {
    PageState page = sites.page(plan.pageId());
    String placed = plan.placement().pieceId();
    SiteFinishes look = now.look(plan.siteId(), Map.of(placed, plan.to()));
    Describing describing = new Describing(pieces, placed, plan.from(), plan.to(), look);
    return new RolloutPlacement(
        page.id(),
        page.title(),
        page.version(),
        plan.placementId().value(),
        placed,
        pieces.get(placed).name(),
        plan.status().name().toLowerCase(),
        plan.from(),
        plan.to(),
        describing.fillings(plan),
        describing.verdicts(plan),
        plan.questions().stream()
            .map(
                q ->
                    describing.question(
                        Describing.key(plan.pageId(), plan.placementId().value(), q),
                        plan.placementId(),
                        q))
            .toList(),
        ofSite.stream()
            .filter(question -> plan.isAskedBy(question))
            .map(question -> Decisions.key(plan.siteId(), question))
            .toList(),
        ChangeView.of(plan.changes()));
  }

  /** The page now, and as it would be; what is not decided is shown as the page has it. */
  @Transactional(readOnly = true)
  Preview preview(PreviewRequest request) {
    PageState page = sites.page(request.pageId());
    SiteInfo site = sites.get(page.siteId());
    Map<String, Settlement> decided = Decisions.read(request.decisions());
    Map<NodeId, Placement> after = new HashMap<>();
    Map<String, Integer> revisions = new HashMap<>();
    Map<LocalKey, Optional<FieldValue>> filled = new HashMap<>();
    for (Carrying.ToSite load : carrying.of(request.pieceId())) {
      if (load.siteId().equals(page.siteId())) {
        Set<String> accepted = accepted(load, request.accepted());
        revisions.putAll(load.load().revisions(accepted));
        RolloutPlan planned =
            plans(
                load.siteId(),
                revisions,
                now.fillSlotsOfSite(revisions)
                    ? usage.pagesUsing(load.siteId(), revisions.keySet())
                    : List.of(page.id()),
                Decisions.ofSite(load.siteId(), request.decisions()));
        filled.putAll(planned.filled());
        for (PlacementPlan plan : planned.placements()) {
          if (!plan.pageId().equals(page.id())) {
            continue;
          }
          Map<String, Settlement> decisions = Decisions.of(plan, decided);
          for (Question question : plan.questions()) {
            decisions.putIfAbsent(
                question.id(),
                question.choices().contains(Settlement.STAY) ? Settlement.STAY : Settlement.TAKE);
          }
          after.put(plan.placementId(), plan.after(decisions));
        }
      }
    }
    SiteFinishes look = now.look(page.siteId(), revisions);
    Adopted adopted = sites.adopted(page.siteId());
    Shown before = Shown.of(page.root(), adopted, pieces);
    Shown shown =
        Shown.of(
            Placements.replaced(page.root(), after),
            adopted.with(revisions).filled(filled),
            pieces);
    return new Preview(
        frames.html(before, look, site, page.title()),
        frames.html(shown, look, site, page.title()),
        ChangeView.of(Difference.between(before, shown, look)));
  }
}
