package goodbones.server.sites;

import java.time.Instant;

/** How many pages a site has, and when one was written last. */
record PageCount(String siteId, long pages, Instant changed) {}
