/** What is remembered between requests. */
@NullMarked
package goodbones.server.memory;

import org.jspecify.annotations.NullMarked;
