/** What all that draw have in common: frames, and how things are called in words. */
@NullMarked
package goodbones.server.drawing;

import org.jspecify.annotations.NullMarked;
