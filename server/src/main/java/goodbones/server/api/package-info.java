/** How the API is described. */
@NullMarked
package goodbones.server.api;

import org.jspecify.annotations.NullMarked;
