/** How core values are kept as JSON. */
@NullMarked
package goodbones.server.documents;

import org.jspecify.annotations.NullMarked;
