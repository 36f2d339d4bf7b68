/** The house's tokens and each site's own values. */
@NullMarked
package goodbones.server.finishes;

import org.jspecify.annotations.NullMarked;
