/** Backing the data up while the application runs, and restoring it. */
@NullMarked
package goodbones.server.upkeep;

import org.jspecify.annotations.NullMarked;
