package goodbones.survey;

import goodbones.colour.Colour;
import goodbones.document.Edit;
import goodbones.document.Node;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.document.ValueType;
import goodbones.style.Nearest;
import goodbones.style.Token;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A colour that is written out although a token is as good as the same changes with nothing.
 * Colours are compared by CIEDE2000 (CIE 142-2001); a difference of 2 is hardly seen side by side.
 */
final class ValuesAreTokens extends SurveyRule {
  private static final double HARDLY_SEEN = 2;

  ValuesAreTokens() {
    super("tokens", "Colours are the client’s tokens where one is as good", "common practice");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    List<Finding> findings = new ArrayList<>();
    for (Node node : document.shown().all()) {
      for (Map.Entry<StyleKey, StyleValue> style : node.styles().entrySet()) {
        if (style.getKey().property().type() == ValueType.COLOUR
            && document.isOwn(node, style.getKey())) {
          token(style.getKey(), style.getValue(), site)
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

  private static Optional<Token> token(StyleKey key, StyleValue value, SurveyedSite site) {
    if (!value.refs().isEmpty() || !isOpaque(value.toString())) {
      return Optional.empty();
    }
    Colour here = Colour.parse(value.toString());
    return Nearest.tokens(site.look(), key.property(), value.toString()).stream()
        .findFirst()
        .filter(
            token -> {
              Colour there = Colour.parse(site.look().worth(token.id()).css());
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
}
