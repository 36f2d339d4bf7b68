package goodbones.server.clients;

import java.util.List;
import java.util.Map;

/** What making a client asks for, and what it tells. */
final class ClientViews {
  private ClientViews() {}

  /**
   * @param logo the id of a picture, or empty
   * @param colours one to three
   * @param set the id of a ready set to start from, or empty
   */
  record BrandRequest(
      String name,
      String logo,
      List<String> colours,
      String headingFont,
      String bodyFont,
      int width,
      String set) {}

  /** The specimen of a brand that is not kept yet. */
  record BrandTried(String problem, String html) {}

  record BrandMade(String siteId, String pageId) {}

  record ReadySetView(String id, String name, String words, Map<String, String> values) {}
}
