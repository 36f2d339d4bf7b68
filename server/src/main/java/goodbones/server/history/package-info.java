/** Undo and redo, kept with the documents. */
@NullMarked
package goodbones.server.history;

import org.jspecify.annotations.NullMarked;
