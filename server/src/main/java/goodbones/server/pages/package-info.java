/** The interface's own pages. */
@NullMarked
package goodbones.server.pages;

import org.jspecify.annotations.NullMarked;
