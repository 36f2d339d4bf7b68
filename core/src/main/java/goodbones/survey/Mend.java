package goodbones.survey;

import goodbones.colour.Colour;
import goodbones.document.StyleValue;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A colour at the nearest lightness with which a pair would reach AA.
 *
 * @param part what of the pair would get it
 * @param token the token whose value it would be at the site; empty where the colour is written at
 *     the node, or a scheme says what the token is worth there
 * @param ratio what the contrast would come to
 */
public record Mend(Part part, Optional<Token> token, Colour colour, double ratio) {
  /** What of a pair a mend changes. */
  public enum Part {
    TEXT,
    GROUND
  }

  /** The mends of a pair that fails; none for one that passes or of which nothing can be said. */
  public static List<Mend> of(Pair pair, Contrast contrast, SiteFinishes finishes) {
    if (contrast.verdict() != Contrast.Verdict.FAILS) {
      return List.of();
    }
    List<Mend> mends = new ArrayList<>();
    contrast
        .mendedText()
        .ifPresent(
            to -> {
              double ratio =
                  contrast.grounds().stream().mapToDouble(to::contrastOn).min().orElse(0);
              mends.add(new Mend(Part.TEXT, token(pair.text(), finishes), to, ratio));
            });
    List<Pair.Layer> visible = pair.visible(finishes);
    if (visible.size() == 1 && visible.get(0) instanceof Pair.Tint tint) {
      contrast
          .mendedGround()
          .ifPresent(
              to ->
                  mends.add(
                      new Mend(
                          Part.GROUND,
                          token(tint.colour(), finishes),
                          to,
                          contrast.text().contrastOn(to))));
    }
    return mends;
  }

  private static Optional<Token> token(Setting setting, SiteFinishes finishes) {
    if (!(setting.value() instanceof StyleValue.TokenRef ref)) {
      return Optional.empty();
    }
    boolean inScheme =
        finishes
            .house()
            .scheme(setting.scheme())
            .map(scheme -> scheme.values().containsKey(ref.tokenId()))
            .orElse(false);
    return inScheme
        ? Optional.empty()
        : finishes.token(ref.tokenId()).filter(token -> token.type() == TokenType.COLOR);
  }
}
