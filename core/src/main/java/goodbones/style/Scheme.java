package goodbones.style;

import goodbones.document.StyleValue;
import java.util.Map;
import java.util.TreeMap;

/**
 * A colour scheme: role tokens that mean something else inside a section that chooses it.
 *
 * @param values token id to value; what a value refers to is looked up outside the scheme, so that
 *     text and background may change places
 */
public record Scheme(String id, String name, Map<String, StyleValue> values) {
  public Scheme {
    values = java.util.Collections.unmodifiableMap(new TreeMap<>(values));
  }

  /** The CSS class of everything that takes the scheme. */
  public String className() {
    return "scheme-" + id.replaceAll("[^A-Za-z0-9_-]", "-");
  }
}
