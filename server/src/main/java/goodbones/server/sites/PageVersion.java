package goodbones.server.sites;

/** How often a page was written. */
record PageVersion(String id, long version) {}
