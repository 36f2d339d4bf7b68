/**
 * The immutable tree of a page or piece, the catalogue that says what fits where, and the edits.
 */
@NullMarked
package goodbones.document;

import org.jspecify.annotations.NullMarked;
