package goodbones.server.rollouts;

import java.security.Principal;
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
  private final TakingBack takingBack;

  /** One at a time for the whole library. */
  private final ReentrantLock oneAtATime = new ReentrantLock();

  RolloutController(Planning planning, Applying applying, TakingBack takingBack) {
    this.planning = planning;
    this.applying = applying;
    this.takingBack = takingBack;
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

  @GetMapping("/plan")
  RolloutViews.Plan plan(@RequestParam String piece) {
    return planning.plan(piece);
  }

  @PostMapping("/preview")
  RolloutViews.Preview preview(@RequestBody RolloutViews.PreviewRequest request) {
    return planning.preview(request);
  }

  @PostMapping
  RolloutViews.Done apply(@RequestBody RolloutViews.ApplyRequest request, Principal user) {
    return alone(() -> applying.apply(request, user.getName()));
  }

  /** What taking a rollout back would do, under the decisions made so far. */
  @PostMapping("/{id}/take-back/plan")
  RolloutViews.TakeBackPlan takeBackPlan(
      @PathVariable long id, @RequestBody RolloutViews.TakeBackRequest request) {
    return takingBack.plan(id, request.decisions());
  }

  @PostMapping("/{id}/take-back")
  RolloutViews.Done takeBack(
      @PathVariable long id, @RequestBody RolloutViews.TakeBackRequest request) {
    return alone(() -> takingBack.takeBack(id, request.decisions()));
  }
}
