/** What stands around the content of pages: which shared part each page gets, and why. */
@NullMarked
package goodbones.server.coverage;

import org.jspecify.annotations.NullMarked;
