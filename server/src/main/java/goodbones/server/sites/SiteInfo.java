package goodbones.server.sites;

/**
 * A client's site.
 *
 * @param language a BCP 47 tag
 * @param logo the id of a picture; empty if it has none
 */
public record SiteInfo(String id, String name, String language, String logo) {}
