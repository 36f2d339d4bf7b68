/** Pieces, their revisions, and what a document shows once its placements are filled in. */
@NullMarked
package goodbones.library;

import org.jspecify.annotations.NullMarked;
