/** Who may come in. */
@NullMarked
package goodbones.server.accounts;

import org.jspecify.annotations.NullMarked;
