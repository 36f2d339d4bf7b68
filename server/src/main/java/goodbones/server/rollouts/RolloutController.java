package goodbones.server.rollouts;

import java.security.Principal;
import java.util.List;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/rollouts")
class RolloutController {
  private final Planning planning;
  private final Applying applying;
  private final Replacing replacing;
  private final TakingBack takingBack;
  private final GoingBack goingBack;

  /** One at a time for the whole library. */
  private final ReentrantLock oneAtATime = new ReentrantLock();

  RolloutController(
      Planning planning,
      Applying applying,
      Replacing replacing,
      TakingBack takingBack,
      GoingBack goingBack) {
    this.planning = planning;
    this.applying = applying;
    this.replacing = replacing;
    this.takingBack = takingBack;
    this.goingBack = goingBack;
  }

  private <T> T alone(Supplier<T> work) {
    oneAtATime.lock();
    try {
      return work.get();
    } finally {
      oneAtATime.unlock();
    }
  }

  @GetMapping
  RolloutViews.Overview rollouts() {
    return planning.overview();
  }

  /**
   * What carrying the current revision of a piece would do.
   *
   * @param along what is offered to come along and was chosen, each {@code site/piece}
   */
  @GetMapping("/plan")
  RolloutViews.Plan plan(
      @RequestParam String piece, @RequestParam(defaultValue = "") List<String> along) {
    return planning.plan(piece, along.stream().map(RolloutViews.SitePiece::parse).toList());
  }

  /** Answers what is asked inside a piece. */
  @PostMapping("/answers")
  RolloutViews.Overview answer(@RequestBody RolloutViews.AnswerRequest request) {
    return alone(() -> planning.answer(request));
  }

  /** Takes the library back to an earlier revision of a piece, by going forward. */
  @PostMapping("/go-back")
  RolloutViews.Overview goBack(@RequestBody RolloutViews.GoBackRequest request, Principal user) {
    alone(() -> goingBack.goBack(request, user.getName()));
    return planning.overview();
  }

  @PostMapping("/preview")
  RolloutViews.Preview preview(@RequestBody RolloutViews.PreviewRequest request) {
    return planning.preview(request);
  }

  @PostMapping
  RolloutViews.Done apply(@RequestBody RolloutViews.ApplyRequest request, Principal user) {
    return alone(() -> applying.apply(request, user.getName()));
  }

  /** What putting another piece in the place of one everywhere would do. */
  @GetMapping("/replacement")
  ReplacementViews.ReplacementPlan replacement(
      @RequestParam String piece, @RequestParam String by) {
    return alone(() -> replacing.plan(piece, by));
  }

  /** Puts another piece in the place of one everywhere, and retires that. */
  @PostMapping("/replacement")
  RolloutViews.Done replace(@RequestBody ReplacementViews.ReplaceRequest request, Principal user) {
    return alone(() -> replacing.replace(request, user.getName()));
  }

  /** What taking a rollout back would do, under the decisions made so far. */
  @PostMapping("/{id}/take-back/plan")
  RolloutViews.TakeBackPlan takeBackPlan(
      @PathVariable long id, @RequestBody RolloutViews.TakeBackPlanRequest request) {
    return takingBack.plan(id, request.decisions());
  }

  @PostMapping("/{id}/take-back")
  RolloutViews.Done takeBack(
      @PathVariable long id, @RequestBody RolloutViews.TakeBackRequest request, Principal user) {
    return alone(() -> takingBack.takeBack(id, request, user.getName()));
  }
}
