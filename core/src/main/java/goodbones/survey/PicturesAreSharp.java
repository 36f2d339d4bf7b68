package goodbones.survey;

import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.StyleProperty;
import goodbones.layout.Box;
import goodbones.render.Pictured;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Pictures have the pixels that their place needs. They cannot be stretched: one of another shape
 * is cropped, or stands in its place whole.
 */
final class PicturesAreSharp extends SurveyRule {
  private static final double ALIKE = 1.03;

  PicturesAreSharp() {
    super("pictures", "No picture is drawn larger than it is", "common practice");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    List<Finding> findings = new ArrayList<>();
    for (Node node : document.shown().all()) {
      if (node.content().get("picture") instanceof FieldValue.Picture picture) {
        site.picture(picture)
            .flatMap(known -> tooSmall(node, known, document.drawn(site)))
            .ifPresent(words -> findings.add(document.at(node, words)));
      }
    }
    return findings;
  }

  /** A picture that is sharp at any size has no sizes. */
  private static Optional<String> tooSmall(Node node, Pictured known, Drawn drawn) {
    if (known.sizes().isEmpty()) {
      return Optional.empty();
    }
    double widest =
        Arrays.stream(Device.values())
            .mapToDouble(
                device ->
                    drawn
                        .box(node, device)
                        .map(box -> width(node, known, box, device, drawn))
                        .orElse(0.0))
            .max()
            .orElse(0);
    return widest <= known.width() * ALIKE
        ? Optional.empty()
        : Optional.of(
            "It is "
                + known.width()
                + " px wide and drawn as if it were "
                + Math.round(widest)
                + ": bring in a larger file");
  }

  /** How wide the whole picture is drawn, with what is cropped of it. */
  private static double width(Node node, Pictured known, Box box, Device device, Drawn drawn) {
    String[] ratio = drawn.css(node, StyleProperty.PICTURE_RATIO, device).split("/");
    if (node.kind() != Kind.PICTURE
        || ratio.length != 2
        || !drawn.css(node, StyleProperty.PICTURE_FIT, device).equals("cover")) {
      return box.width();
    }
    double height =
        box.width() * Double.parseDouble(ratio[1].strip()) / Double.parseDouble(ratio[0].strip());
    return Math.max(box.width(), height * known.width() / known.height());
  }
}
