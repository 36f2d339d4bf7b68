/** Semantic HTML and CSS for a shown tree; the same bytes for canvas and published page. */
@NullMarked
package goodbones.render;

import org.jspecify.annotations.NullMarked;
