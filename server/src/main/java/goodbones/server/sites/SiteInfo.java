package goodbones.server.sites;

/**
 * A client's site.
 *
 * @param language a BCP 47 tag
 */
public record SiteInfo(String id, String name, String language) {}
