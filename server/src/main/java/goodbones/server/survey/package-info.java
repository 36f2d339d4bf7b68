/** The computed check of a site. */
@NullMarked
package goodbones.server.survey;

import org.jspecify.annotations.NullMarked;
