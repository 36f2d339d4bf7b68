/** Open formats: design tokens as files, CSS custom properties, and words out of HTML. */
@NullMarked
package goodbones.exchange;

import org.jspecify.annotations.NullMarked;
