/** The files that a client's pages link to, such as a price list to print. */
@NullMarked
package goodbones.server.files;

import org.jspecify.annotations.NullMarked;
