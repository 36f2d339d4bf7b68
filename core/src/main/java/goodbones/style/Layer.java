package goodbones.style;

import goodbones.document.StyleValue;
import java.util.Optional;

/**
 * One of a node's own values for a key.
 *
 * @param label which one, where the source alone does not say it (a piece and its revision)
 * @param value what is stored; empty where a local change takes the key away
 */
public record Layer(Source source, String label, Optional<StyleValue> value) {
  public Layer(Source source, String label, StyleValue value) {
    this(source, label, Optional.of(value));
  }

  /** Where a candidate value comes from, nearest first. */
  public enum Source {
    LOCAL,
    OWN,
    /** What a piece says of another piece that stands in it. */
    CONTAINER,
    /** What one item of a list says of what all of them have. */
    ITEM,
    /** What the variant of a piece says of what all of them have. */
    VARIANT,
    PIECE,
    NAMED,
    SCHEME,
    DEFAULT,
    INHERITED,
    INITIAL
  }
}
