package goodbones.server.sites;

import java.time.Instant;

/** How many pages a site has, how many of them are in work, and when one was written last. */
record PageCount(String siteId, long pages, long inWork, Instant changed) {}
