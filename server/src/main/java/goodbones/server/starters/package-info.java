/** The library that a house starts with: templates and blocks, drawn from the finishes’ roles. */
@NullMarked
package goodbones.server.starters;

import org.jspecify.annotations.NullMarked;
