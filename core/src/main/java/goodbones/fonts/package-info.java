/** Font files and families: what they are, which ship with the application, and what stands in. */
@NullMarked
package goodbones.fonts;

import org.jspecify.annotations.NullMarked;
