package goodbones.server.sites;

/** A page, or a shared part, by its name. */
public record PageName(String id, String siteId, String title, String address) {}
