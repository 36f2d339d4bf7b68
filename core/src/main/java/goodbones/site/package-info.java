/** A client's site around its pages: the page tree, coverage, menus, details and links. */
@NullMarked
package goodbones.site;

import org.jspecify.annotations.NullMarked;
