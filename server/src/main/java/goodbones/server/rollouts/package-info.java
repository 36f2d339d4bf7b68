/** Carrying releases to sites, and taking them back. */
@NullMarked
package goodbones.server.rollouts;

import org.jspecify.annotations.NullMarked;
