/** Sites as plain files, and the simulated host that serves them. */
@NullMarked
package goodbones.server.publishing;

import org.jspecify.annotations.NullMarked;
