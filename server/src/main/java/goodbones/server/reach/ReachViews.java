package goodbones.server.reach;

import java.util.List;
import java.util.Map;

/** What is used where, and how far a change goes, as the interface is told. */
public final class ReachViews {
  private ReachViews() {}

  /**
   * What an edit reaches.
   *
   * @param nodes how many nodes would look different, by device
   * @param sites the sites with such nodes
   */
  public record ReachView(
      int nodes,
      int pages,
      Map<String, Integer> devices,
      List<SiteReach> sites,
      List<FlipView> lost,
      List<FlipView> gained) {}

  public record SiteReach(String id, String name, int nodes, List<PageReach> pages) {}

  public record PageReach(String id, String title, int nodes) {}

  /** A text whose contrast would cross the line that AA draws. */
  public record FlipView(
      String siteId,
      String siteName,
      String pageId,
      String pageTitle,
      String node,
      String nodeTitle,
      List<String> devices,
      List<String> states,
      double before,
      double after,
      double least) {}

  /** Something on a page that is drawn with a token or a named style. */
  public record UseView(
      String siteId,
      String siteName,
      String pageId,
      String pageTitle,
      String node,
      String nodeTitle,
      String property,
      List<String> devices) {}

  /**
   * Everything that is drawn with a token or a named style.
   *
   * @param more how many are not listed
   */
  public record Drawn(List<UseView> nodes, int more) {}
}
