package goodbones.propagation;

import java.util.Map;
import java.util.TreeMap;

/**
 * What is carried to a site: a revision of each of some pieces.
 *
 * @param revisions piece id to the revision that is to be shown
 */
public record Release(Map<String, Integer> revisions) {
  public Release {
    revisions = java.util.Collections.unmodifiableMap(new TreeMap<>(revisions));
  }

  public static Release of(String pieceId, int revision) {
    return new Release(Map.of(pieceId, revision));
  }
}
