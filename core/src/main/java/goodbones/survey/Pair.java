package goodbones.survey;

import goodbones.colour.Colour;
import goodbones.document.Device;
import goodbones.document.State;
import goodbones.style.Fluid;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A text colour over a stack of grounds, as they are stored.
 *
 * @param ground what lies behind the text, the upper layer first
 * @param place where the text stands, if a picture lies behind it: what is behind then depends on
 *     the place
 */
public record Pair(
    Setting text,
    Setting size,
    Setting weight,
    List<Layer> ground,
    State state,
    Device device,
    Optional<Place> place) {
  public Pair {
    ground = List.copyOf(ground);
  }

  /** One layer of a ground. */
  public sealed interface Layer {}

  /** A colour, also of an overlay. */
  public record Tint(Setting colour) implements Layer {}

  public record Blend(Setting gradient) implements Layer {}

  public record Photo(String pictureId) implements Layer {}

  /** How large the text is, in px. */
  double textSize(SiteFinishes finishes) {
    return Fluid.px(size.css(finishes), device.width(), device.height());
  }

  /** Whether a picture lies somewhere behind the text. */
  public boolean overPicture() {
    return place.isPresent();
  }

  /** The layers that can be seen on a site: down to the first tint that hides all below it. */
  public List<Layer> visible(SiteFinishes finishes) {
    List<Layer> visible = new ArrayList<>();
    for (Layer layer : ground) {
      visible.add(layer);
      if (layer instanceof Tint tint && Colour.parse(tint.colour().css(finishes)).alpha() == 1) {
        break;
      }
    }
    return visible;
  }
}
