package goodbones.render;

import goodbones.document.FieldValue;
import goodbones.document.Icons;
import java.util.List;
import java.util.Optional;

/**
 * Icons as SVG in the colour of text. What one means is said by the words beside it: it is no part
 * of the accessibility tree.
 */
final class IconSvg {
  private static final String SOLID = " fill=\"currentColor\"";
  private static final String OUTLINE =
      " fill=\"none\" stroke=\"currentColor\" stroke-width=\""
          + Icons.STROKE
          + "\" stroke-linecap=\"round\" stroke-linejoin=\"round\"";

  /** The room of one, where none is chosen yet. */
  static final String NONE = of(List.of(), OUTLINE);

  private IconSvg() {}

  /** Empty if there is none of that name. */
  static Optional<String> of(FieldValue.Icon said) {
    return Icons.named(said.name())
        .map(icon -> of(icon.paths(said.solid()), icon.isSolid(said.solid()) ? SOLID : OUTLINE));
  }

  private static String of(List<String> paths, String form) {
    StringBuilder svg = new StringBuilder("<svg viewBox=\"0 0 ");
    svg.append(Icons.SIDE).append(' ').append(Icons.SIDE).append("\" aria-hidden=\"true\"");
    svg.append(form).append('>');
    paths.forEach(path -> svg.append("<path d=\"").append(path).append("\"/>"));
    return svg.append("</svg>").toString();
  }
}
