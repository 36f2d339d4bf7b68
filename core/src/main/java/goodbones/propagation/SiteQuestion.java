package goodbones.propagation;

import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.NodeId;
import java.util.List;
import java.util.Optional;

/**
 * Something to decide once for a site: a field becomes one of the whole site, and the site's pages
 * show different things in it.
 *
 * @param id names it in a decision
 * @param pieceId a piece in which the field stands
 * @param node the field's node, as seen from inside a placement of that piece
 * @param slot what it goes by at the site
 * @param choices what it may show from now on; besides these, each page may keep its own
 */
public record SiteQuestion(
    String id, String pieceId, NodeId node, LocalKey slot, List<Choice> choices) {
  /** The answer that every page keeps its own; other answers are positions of choices. */
  public static final int EACH = -1;

  public SiteQuestion {
    choices = List.copyOf(choices);
  }

  /**
   * @param value what is shown; empty for what the library says
   * @param places where it is shown now
   */
  public record Choice(Optional<FieldValue> value, List<Place> places) {
    public Choice {
      places = List.copyOf(places);
    }
  }

  /** A placement on a page. */
  public record Place(String pageId, NodeId placementId) {}
}
