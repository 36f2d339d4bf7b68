package goodbones.propagation;

import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.NodeId;
import java.util.List;

/**
 * What fills a slot of the whole site, where the library takes the place away that shows it, puts
 * it out of sight or fixes it. It stays with the site, and is seen again where a revision shows the
 * slot.
 *
 * @param pieceId a piece in which the field stood
 * @param node the field's node, as seen from inside a placement of that piece
 * @param slot what it goes by at the site
 * @param places the placements that show it now and would no more
 */
public record OutOfSight(
    String pieceId, NodeId node, LocalKey slot, FieldValue value, List<SiteQuestion.Place> places) {
  public OutOfSight {
    places = List.copyOf(places);
  }
}
