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
  private final Rollouts rollouts;

  /** One at a time for the whole library. */
  private final ReentrantLock oneAtATime = new ReentrantLock();

  RolloutController(Rollouts rollouts) {
    this.rollouts = rollouts;
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
    return rollouts.overview();
  }

  @GetMapping("/plan")
  RolloutViews.Plan plan(@RequestParam String piece) {
    return rollouts.plan(piece);
  }

  @PostMapping("/preview")
  RolloutViews.Preview preview(@RequestBody RolloutViews.PreviewRequest request) {
    return rollouts.preview(request);
  }

  @PostMapping
  RolloutViews.Done apply(@RequestBody RolloutViews.ApplyRequest request, Principal user) {
    return alone(() -> rollouts.apply(request, user.getName()));
  }

  @GetMapping("/{id}/take-back")
  RolloutViews.TakeBackPlan takeBackPlan(@PathVariable long id) {
    return rollouts.takeBackPlan(id);
  }

  @PostMapping("/{id}/take-back")
  RolloutViews.Done takeBack(
      @PathVariable long id, @RequestBody RolloutViews.TakeBackRequest request) {
    return alone(() -> rollouts.takeBack(id, request.decisions()));
  }
}
