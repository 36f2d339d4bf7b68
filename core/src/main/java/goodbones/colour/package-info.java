/** Colours: their CSS forms, spaces, differences, contrast, and palettes out of pictures. */
@NullMarked
package goodbones.colour;

import org.jspecify.annotations.NullMarked;
