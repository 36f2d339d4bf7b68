package goodbones.server.library;

import java.util.ArrayList;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Where a piece is placed itself.
 *
 * @param onPages by page and path
 * @param inPieces the pieces in which it stands, and whether it does so in a draft only
 */
public record PlacedIn(List<Use> onPages, SortedMap<String, Boolean> inPieces) {
  public PlacedIn() {
    this(new ArrayList<>(), new TreeMap<>());
  }
}
