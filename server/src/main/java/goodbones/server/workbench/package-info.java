/** What the workbench shows of a page or a piece, and the edits made there. */
@NullMarked
package goodbones.server.workbench;

import org.jspecify.annotations.NullMarked;
