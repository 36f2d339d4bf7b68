package goodbones.style;

import goodbones.colour.Colour;
import goodbones.document.Device;
import goodbones.document.StyleProperty;
import goodbones.document.ValueType;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Puts the tokens that can stand for a value in order, the nearest first: colours by CIEDE2000,
 * lengths and numbers by their difference, all others by whether they are the same.
 */
public final class Nearest {
  private static final double FAR = 1e9;
  private static final double ALPHA_WEIGHT = 100;

  private record Measured(Token token, double distance) {}

  private Nearest() {}

  /**
   * @param css what the property is worth now
   * @return tokens that fit the property and can be looked up, without retired ones
   */
  public static List<Token> tokens(SiteFinishes finishes, StyleProperty property, String css) {
    List<Measured> measured = new ArrayList<>();
    for (Token token : finishes.tokens()) {
      if (!token.retired() && token.type().fits(property.type())) {
        try {
          String worth = finishes.worth(token.id()).css();
          measured.add(new Measured(token, distance(property.type(), css, worth)));
        } catch (TokenProblem broken) {
          // What cannot be looked up is not offered; the finishes say why.
        }
      }
    }
    return measured.stream()
        .sorted(Comparator.comparingDouble(Measured::distance))
        .map(Measured::token)
        .toList();
  }

  private static double distance(ValueType type, String here, String there) {
    if (here.equals(there)) {
      return 0;
    }
    if (type == ValueType.COLOUR) {
      Colour a = Colour.parse(here);
      Colour b = Colour.parse(there);
      return a.lab().ciede2000(b.lab()) + ALPHA_WEIGHT * Math.abs(a.alpha() - b.alpha());
    }
    double a = px(here);
    double b = px(there);
    return Double.isNaN(a) || Double.isNaN(b) ? FAR : Math.abs(a - b);
  }

  private static double px(String css) {
    return Fluid.px(css, Device.DESKTOP.width(), Device.DESKTOP.height());
  }
}
