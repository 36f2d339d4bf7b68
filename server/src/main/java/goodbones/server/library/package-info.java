/** Pieces with their drafts and revisions, and where they are used. */
@NullMarked
package goodbones.server.library;

import org.jspecify.annotations.NullMarked;
