package goodbones.survey;

import static goodbones.document.StyleProperty.COLUMN_GAP;
import static goodbones.document.StyleProperty.CONTENT_WIDTH;
import static goodbones.document.StyleProperty.FONT_SIZE;
import static goodbones.document.StyleProperty.MARGIN_BOTTOM;
import static goodbones.document.StyleProperty.MARGIN_LEFT;
import static goodbones.document.StyleProperty.MARGIN_RIGHT;
import static goodbones.document.StyleProperty.MARGIN_TOP;
import static goodbones.document.StyleProperty.MAX_WIDTH;
import static goodbones.document.StyleProperty.PADDING_BOTTOM;
import static goodbones.document.StyleProperty.PADDING_LEFT;
import static goodbones.document.StyleProperty.PADDING_RIGHT;
import static goodbones.document.StyleProperty.PADDING_TOP;
import static goodbones.document.StyleProperty.RADIUS;
import static goodbones.document.StyleProperty.ROW_GAP;

import goodbones.colour.Colour;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Node;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.document.ValueType;
import goodbones.style.Fluid;
import goodbones.style.NamedStyle;
import goodbones.style.Nearest;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenProblem;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A colour or length that is written out although a token is as good as the same changes with
 * nothing. Colours are compared by CIEDE2000 (CIE 142-2001); a difference of 2 is hardly seen side
 * by side. Lengths are compared in px, with tokens that the finishes put to the same use: a gap as
 * wide as text is high has nothing to do with it.
 */
final class ValuesAreTokens extends SurveyRule {
  private static final double HARDLY_SEEN = 2;
  private static final double SAME_PX = 0.5;

  /** What lengths are for, as far as one can stand for another. */
  private enum Use {
    TYPE(Set.of(FONT_SIZE)),
    SPACE(
        Set.of(
            PADDING_TOP,
            PADDING_RIGHT,
            PADDING_BOTTOM,
            PADDING_LEFT,
            MARGIN_TOP,
            MARGIN_RIGHT,
            MARGIN_BOTTOM,
            MARGIN_LEFT,
            ROW_GAP,
            COLUMN_GAP)),
    WIDTH(Set.of(StyleProperty.WIDTH, MAX_WIDTH, CONTENT_WIDTH)),
    CORNER(Set.of(RADIUS));

    private final Set<StyleProperty> properties;

    Use(Set<StyleProperty> properties) {
      this.properties = properties;
    }

    static Optional<Use> of(StyleProperty property) {
      return Arrays.stream(values()).filter(use -> use.properties.contains(property)).findFirst();
    }
  }

  ValuesAreTokens() {
    super(
        "tokens",
        "Colours and lengths are the client’s tokens where one is as good",
        "common practice");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    List<Finding> findings = new ArrayList<>();
    Map<Use, Set<String>> inUse = inUse(site.look());
    for (Node node : document.shown().all()) {
      for (Map.Entry<StyleKey, StyleValue> style : node.styles().entrySet()) {
        if (style.getValue().refs().isEmpty() && document.isOwn(node, style.getKey())) {
          token(style.getKey(), style.getValue(), site, inUse)
              .ifPresent(
                  token ->
                      findings.add(
                          finding(document, node, style.getKey(), style.getValue(), token)));
        }
      }
    }
    return findings;
  }

  private static Finding finding(
      SurveyedDocument document, Node node, StyleKey key, StyleValue value, Token token) {
    return document
        .at(
            node,
            key.property().label()
                + " "
                + value
                + " is as good as the token "
                + token.name()
                + ": put that on")
        .mendedBy(new Edit.SetStyle(node.id(), key, Optional.of(StyleValue.token(token.id()))));
  }

  /** The tokens that defaults and named styles put to each use. */
  private static Map<Use, Set<String>> inUse(SiteFinishes look) {
    Map<Use, Set<String>> inUse = new EnumMap<>(Use.class);
    Stream.concat(
            look.house().defaults().values().stream(),
            look.namedStyles().stream().map(NamedStyle::styles))
        .flatMap(styles -> styles.entrySet().stream())
        .forEach(
            style ->
                Use.of(style.getKey().property())
                    .ifPresent(
                        use ->
                            style
                                .getValue()
                                .refs()
                                .forEach(
                                    ref ->
                                        inUse
                                            .computeIfAbsent(use, each -> new HashSet<>())
                                            .add(ref.tokenId()))));
    return inUse;
  }

  private static Optional<Token> token(
      StyleKey key, StyleValue value, SurveyedSite site, Map<Use, Set<String>> inUse) {
    return key.property().type() == ValueType.COLOUR
        ? colour(key, value.toString(), site.look())
        : Use.of(key.property())
            .flatMap(
                use ->
                    site.look().tokens().stream()
                        .filter(token -> inUse.getOrDefault(use, Set.of()).contains(token.id()))
                        .filter(token -> !token.retired())
                        .filter(token -> isSame(key, value.toString(), token, site.look()))
                        .findFirst());
  }

  private static Optional<Token> colour(StyleKey key, String css, SiteFinishes look) {
    if (!isOpaque(css)) {
      return Optional.empty();
    }
    Colour here = Colour.parse(css);
    return Nearest.tokens(look, key.property(), css).stream()
        .findFirst()
        .filter(
            token -> {
              Colour there = Colour.parse(look.worth(token.id()).css());
              return there.alpha() == 1 && here.lab().ciede2000(there.lab()) <= HARDLY_SEEN;
            });
  }

  private static boolean isOpaque(String css) {
    try {
      return Colour.parse(css).alpha() == 1;
    } catch (IllegalArgumentException keyword) {
      return false;
    }
  }

  /** Whether a token is as long at every device at which the value holds. */
  private static boolean isSame(StyleKey key, String css, Token token, SiteFinishes look) {
    String worth;
    try {
      worth = look.worth(token.id()).css();
    } catch (TokenProblem broken) {
      // The finishes say why it cannot be looked up.
      return false;
    }
    return Arrays.stream(Device.values())
        .filter(device -> device.compareTo(key.device()) >= 0)
        .allMatch(
            device -> {
              double here = Fluid.px(css, device.width(), device.height());
              double there = Fluid.px(worth, device.width(), device.height());
              return here > 0 && Math.abs(here - there) <= SAME_PX;
            });
  }
}
