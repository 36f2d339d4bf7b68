package goodbones.layout;

import goodbones.document.Catalogue;
import goodbones.document.Composite;
import goodbones.document.Device;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleProperty;
import goodbones.document.ValueType;
import goodbones.style.Cascade;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The styles of nodes as numbers, at one screen. */
final class Styles {
  private final Cascade cascade;
  private final Screen screen;
  private final Map<NodeId, Double> fonts = new HashMap<>();
  private final Map<NodeId, Node> parents = new HashMap<>();

  Styles(Node root, Cascade cascade, Screen screen) {
    this.cascade = cascade;
    this.screen = screen;
    root.walk(node -> node.children().forEach(child -> parents.put(child.id(), node)));
  }

  /** The four sides of something, in px. */
  record Sides(double top, double right, double bottom, double left) {
    double across() {
      return left + right;
    }

    double down() {
      return top + bottom;
    }

    Sides and(Sides other) {
      return new Sides(
          top + other.top, right + other.right, bottom + other.bottom, left + other.left);
    }
  }

  Cascade cascade() {
    return cascade;
  }

  Device device() {
    return screen.device();
  }

  String css(Node node, StyleProperty property) {
    return Catalogue.hasStyle(node.kind(), property)
        ? cascade.won(node, property, screen.device(), State.NORMAL).css()
        : property.initial();
  }

  /** A length; per cents are of the base. */
  double px(Node node, StyleProperty property, double base) {
    return length(node, base).px(css(node, property));
  }

  /** A size that may also be none or auto. */
  Optional<Double> size(Node node, StyleProperty property, double base) {
    String css = css(node, property);
    return css.equals("none") || css.equals("auto")
        ? Optional.empty()
        : Optional.of(length(node, base).px(css));
  }

  boolean isAuto(Node node, StyleProperty property) {
    return css(node, property).equals("auto");
  }

  private Length length(Node node, double base) {
    return new Length(screen, base, font(node));
  }

  private double font(Node node) {
    Double known = fonts.get(node.id());
    if (known == null) {
      Node parent = parents.get(node.id());
      double around = parent == null ? Length.ROOT_FONT : font(parent);
      known = new Length(screen, around, around).exact(fontCss(node, parent));
      fonts.put(node.id(), known);
    }
    return known;
  }

  /** An inherited size is the parent's in px, so that em is not counted twice. */
  private String fontCss(Node node, @Nullable Node parent) {
    return cascade
        .declared(node, StyleProperty.FONT_SIZE, screen.device(), State.NORMAL)
        .map(candidate -> candidate.css())
        .orElse(parent == null ? StyleProperty.FONT_SIZE.initial() : font(parent) + "px");
  }

  Sides padding(Node node, double base) {
    return new Sides(
        px(node, StyleProperty.PADDING_TOP, base),
        px(node, StyleProperty.PADDING_RIGHT, base),
        px(node, StyleProperty.PADDING_BOTTOM, base),
        px(node, StyleProperty.PADDING_LEFT, base));
  }

  /** Auto margins count as none. */
  Sides margin(Node node, double base) {
    return new Sides(
        margin(node, StyleProperty.MARGIN_TOP, base),
        margin(node, StyleProperty.MARGIN_RIGHT, base),
        margin(node, StyleProperty.MARGIN_BOTTOM, base),
        margin(node, StyleProperty.MARGIN_LEFT, base));
  }

  private double margin(Node node, StyleProperty side, double base) {
    return size(node, side, base).orElse(0.0);
  }

  /** Browsers draw borders in whole device pixels, never less than one. */
  Sides border(Node node) {
    Optional<String> border =
        cascade
            .declared(node, StyleProperty.BORDER, screen.device(), State.NORMAL)
            .filter(c -> Catalogue.hasStyle(node.kind(), StyleProperty.BORDER))
            .map(candidate -> candidate.css());
    if (border.isPresent()) {
      double width =
          Composite.parts(ValueType.BORDER, border.get())
              .map(parts -> whole(length(node, 0).exact(parts.getOrDefault("width", "0"))))
              .filter(w -> !border.get().equals("none"))
              .orElse(0.0);
      return new Sides(width, width, width, width);
    }
    double rule = whole(length(node, 0).exact(css(node, StyleProperty.RULE_WIDTH)));
    return new Sides(rule, 0, 0, 0);
  }

  private static double whole(double width) {
    return width <= 0 ? 0 : Math.max(1, Math.floor(width));
  }
}
