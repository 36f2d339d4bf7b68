package goodbones.propagation;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * What comes of a placement under an answer that changes what is seen of it. It is worked out when
 * it is asked for: most answers are never given.
 */
public final class Alternative {
  private @Nullable Supplier<Rebased> working;
  private @Nullable Rebased made;

  Alternative(Supplier<Rebased> working) {
    this.working = working;
  }

  /** The outcome, the same at every call. */
  synchronized Rebased outcome() {
    Rebased known = made;
    Supplier<Rebased> how = working;
    if (known == null && how != null) {
      known = how.get();
      made = known;
      working = null;
    }
    if (known == null) {
      throw new IllegalStateException("an alternative comes to something");
    }
    return known;
  }
}
