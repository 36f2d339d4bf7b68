/**
 * What a site's pages look like when all is resolved: contrast in use, and what an edit would
 * change.
 */
@NullMarked
package goodbones.survey;

import org.jspecify.annotations.NullMarked;
