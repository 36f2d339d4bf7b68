package goodbones.server.rollouts;

import java.util.List;

/**
 * What the interface is told about putting one piece in the place of another, and what it sends.
 */
final class ReplacementViews {
  private ReplacementViews() {}

  /**
   * What replacing a piece everywhere does.
   *
   * @param basis stands for all that it was worked out from; a replacement holds for that only
   * @param pieces the pieces in which it stands, which get a revision with the other one
   */
  record ReplacementPlan(
      String pieceId,
      String name,
      String by,
      String byName,
      String basis,
      int placements,
      List<InPiece> pieces,
      List<AtSite> sites) {}

  /** A piece in which the other one stands then, with the revision that says so. */
  record InPiece(String pieceId, String name, int revision) {}

  /**
   * @param follows the pieces of which the site shows the new revisions then
   * @param later the pieces of which it shows older ones than before the replacement, so that a
   *     rollout of its own carries them
   */
  record AtSite(
      String siteId,
      String name,
      List<String> follows,
      List<String> later,
      List<ReplacedPlacement> placements,
      List<String> waiting) {}

  /**
   * @param carried how many of its fillings show in the other piece
   * @param kept the words, pictures and links that have no place in it, as they read
   * @param others how many other local changes are kept with them
   */
  record ReplacedPlacement(
      String pageId, String pageTitle, String path, int carried, List<String> kept, int others) {}

  /**
   * @param by the piece that is put in its place
   * @param basis from the plan
   */
  record ReplaceRequest(String pieceId, String by, String basis) {}
}
