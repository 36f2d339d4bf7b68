/** Pictures that sites use, checked when they come in. */
@NullMarked
package goodbones.server.pictures;

import org.jspecify.annotations.NullMarked;
