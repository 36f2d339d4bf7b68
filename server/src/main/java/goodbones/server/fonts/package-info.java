/** The font files of the clients’ own. */
@NullMarked
package goodbones.server.fonts;

import org.jspecify.annotations.NullMarked;
