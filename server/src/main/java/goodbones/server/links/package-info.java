/** What links of a site can lead to, and where they lead. */
@NullMarked
package goodbones.server.links;

import org.jspecify.annotations.NullMarked;
