/**
 * What hands do with a page: add, carry to another place, put side by side, wrap, mirror. Each is
 * worked out into the few edits that a document knows, so that one step undoes it.
 */
@NullMarked
package goodbones.structure;

import org.jspecify.annotations.NullMarked;
