/**
 * The library as it is listed and shown: every piece with its reach, and which sites are behind.
 */
@NullMarked
package goodbones.server.shelf;

import org.jspecify.annotations.NullMarked;
