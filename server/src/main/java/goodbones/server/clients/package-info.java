/** Making a client. */
@NullMarked
package goodbones.server.clients;

import org.jspecify.annotations.NullMarked;
