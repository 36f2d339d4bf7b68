/** What pictures the house and each client have, and where they are used. */
@NullMarked
package goodbones.server.gallery;

import org.jspecify.annotations.NullMarked;
