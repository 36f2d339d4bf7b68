/** Who uses what, and what would change. */
@NullMarked
package goodbones.server.reach;

import org.jspecify.annotations.NullMarked;
