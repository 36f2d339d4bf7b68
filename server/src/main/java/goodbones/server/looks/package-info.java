/** What the finishes make of the pages: the table, trying a value on, contrast, a new brand. */
@NullMarked
package goodbones.server.looks;

import org.jspecify.annotations.NullMarked;
