/** Requests that meet others at the same rows are tried again. */
@NullMarked
package goodbones.server.patience;

import org.jspecify.annotations.NullMarked;
