/**
 * Layout arithmetic: where every box of a shown page stands at a viewport's width, computed from
 * its styles.
 */
@NullMarked
package goodbones.layout;

import org.jspecify.annotations.NullMarked;
