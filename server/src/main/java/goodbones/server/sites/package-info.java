/** Clients' sites, their pages, and the revisions they have adopted. */
@NullMarked
package goodbones.server.sites;

import org.jspecify.annotations.NullMarked;
