/** Open formats: design tokens as files, and CSS custom properties. */
@NullMarked
package goodbones.exchange;

import org.jspecify.annotations.NullMarked;
