/** Tokens, finishes, colour, and the cascade that says what a style is worth and why. */
@NullMarked
package goodbones.style;

import org.jspecify.annotations.NullMarked;
