package goodbones.style;

import java.util.List;

/**
 * What a style is worth and why.
 *
 * @param trail every candidate in order; a local change that takes a key away stands on it too
 * @param winner the index of the candidate that is shown
 */
public record Computed(List<Candidate> trail, int winner) {
  public Computed {
    trail = List.copyOf(trail);
  }

  public Candidate won() {
    return trail.get(winner);
  }

  public String css() {
    return won().css();
  }
}
