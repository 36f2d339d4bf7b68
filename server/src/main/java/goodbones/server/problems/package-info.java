/** Errors as problem details: what, where, and how to mend it. */
@NullMarked
package goodbones.server.problems;

import org.jspecify.annotations.NullMarked;
