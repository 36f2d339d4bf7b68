package goodbones.document;

import java.util.Comparator;

/** What about a node a local change changes. The text form is its key in stored documents. */
public sealed interface Aspect extends Comparable<Aspect> {
  Aspect VISIBILITY = new Visibility();
  Aspect NAMED_STYLES = new NamedStyles();
  Aspect SCHEME = new Scheme();
  Aspect REMOVED = new Removed();
  Aspect PLACED = new Placed();

  /** One content field. */
  record Content(String field) implements Aspect {
    @Override
    public String toString() {
      return "content " + field;
    }
  }

  /** One style key. */
  record Style(StyleKey key) implements Aspect {
    @Override
    public String toString() {
      return "style " + key;
    }
  }

  /** The devices on which the node is hidden, together. */
  record Visibility() implements Aspect {
    @Override
    public String toString() {
      return "visibility";
    }
  }

  /** The list of named styles, together. */
  record NamedStyles() implements Aspect {
    @Override
    public String toString() {
      return "named-styles";
    }
  }

  /** The colour scheme that a section takes. */
  record Scheme() implements Aspect {
    @Override
    public String toString() {
      return "scheme";
    }
  }

  /** The node is not shown here, nor anything below it. */
  record Removed() implements Aspect {
    @Override
    public String toString() {
      return "removed";
    }
  }

  /** The node stands under a parent of the placement's choosing: a move, or an insert. */
  record Placed() implements Aspect {
    @Override
    public String toString() {
      return "placed";
    }
  }

  static Aspect style(StyleKey key) {
    return new Style(key);
  }

  static Aspect content(String field) {
    return new Content(field);
  }

  /**
   * @throws IllegalArgumentException if the text is no aspect
   */
  static Aspect parse(String text) {
    if (text.startsWith("content ")) {
      return new Content(text.substring(8));
    }
    if (text.startsWith("style ")) {
      return new Style(StyleKey.parse(text.substring(6)));
    }
    return switch (text) {
      case "visibility" -> VISIBILITY;
      case "named-styles" -> NAMED_STYLES;
      case "scheme" -> SCHEME;
      case "removed" -> REMOVED;
      case "placed" -> PLACED;
      default -> throw new IllegalArgumentException("“" + text + "” is not an aspect of a node");
    };
  }

  @Override
  default int compareTo(Aspect other) {
    return Comparator.<Aspect, String>comparing(Aspect::toString).compare(this, other);
  }
}
