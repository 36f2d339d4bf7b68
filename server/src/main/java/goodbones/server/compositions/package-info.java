/** What pages start from: ordered sets of pieces for a purpose, and other pages. */
@NullMarked
package goodbones.server.compositions;

import org.jspecify.annotations.NullMarked;
