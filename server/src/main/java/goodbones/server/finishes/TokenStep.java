package goodbones.server.finishes;

import com.fasterxml.jackson.annotation.JsonTypeName;
import goodbones.document.StyleValue;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Stale;
import goodbones.style.FinishesEdit;
import goodbones.style.FinishesEditor;
import goodbones.style.FinishesStep;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Tokens: what they are worth, and which there are. */
sealed interface TokenStep extends AskedStep {
  /**
   * What a token is worth.
   *
   * @param value an empty one goes back to the house's
   * @param expected what stands there now; null for whatever it is
   */
  @JsonTypeName("VALUE")
  record SetValue(String site, String token, String value, @Nullable String expected)
      implements TokenStep {
    @Override
    public ReadStep read(StepAim aim) {
      Token set = aim.token(token);
      SiteFinishes here = aim.of(site);
      Optional<StyleValue> own = here.ownValue(token);
      String stands =
          site.isEmpty() ? here.written(set.value()) : own.map(here::written).orElse("");
      if (expected != null && !expected.equals(stands)) {
        throw new Stale(set.name());
      }
      Optional<StyleValue> wanted =
          value.isBlank() ? Optional.empty() : Optional.of(here.read(value.strip()));
      if (!site.isEmpty()) {
        return new ReadStep(
            FinishesStep.value(site, token, wanted),
            (wanted.isEmpty() ? "reset " : "set ") + set.name() + " of " + aim.siteName(site));
      }
      StyleValue given =
          wanted.orElseThrow(
              () ->
                  new BadInput(
                      "value",
                      "The house’s value of " + set.name() + " cannot be empty; give one"));
      return ReadStep.house(FinishesEditor.value(aim.house(), token, given), "set " + set.name());
    }
  }

  /**
   * @param kind the type of the token, in the word of the Design Tokens Format
   */
  @JsonTypeName("ADD_TOKEN")
  record AddToken(String name, String kind, String value) implements TokenStep {
    @Override
    public ReadStep read(StepAim aim) {
      String wanted = name.strip();
      Token.requireName(wanted);
      TokenType type =
          TokenType.ofWord(kind)
              .orElseThrow(() -> new BadInput("kind", "“" + kind + "” is not a type of token"));
      StyleValue worth = aim.of("").read(value.strip());
      Token added = Token.of(StepAim.fresh(), wanted, type, worth, "");
      return ReadStep.house(
          new FinishesEdit.PutToken(added.id(), Optional.of(added), placeFor(aim, added)),
          "add " + wanted);
    }

    /** After the last token of the same group. */
    private static int placeFor(StepAim aim, Token token) {
      List<Token> tokens = aim.house().tokens();
      for (int i = tokens.size() - 1; i >= 0; i--) {
        if (tokens.get(i).group().equals(token.group())) {
          return i + 1;
        }
      }
      return -1;
    }
  }

  @JsonTypeName("RENAME_TOKEN")
  record RenameToken(String token, String name) implements TokenStep {
    @Override
    public ReadStep read(StepAim aim) {
      Token renamed = aim.token(token);
      return ReadStep.house(
          FinishesEditor.rename(aim.house(), token, name.strip()), "rename " + renamed.name());
    }
  }

  @JsonTypeName("DESCRIBE_TOKEN")
  record DescribeToken(String token, String value) implements TokenStep {
    @Override
    public ReadStep read(StepAim aim) {
      Token described = aim.token(token);
      return ReadStep.house(
          new FinishesEdit.PutToken(
              token, Optional.of(described.withDescription(value.strip())), -1),
          "describe " + described.name());
    }
  }

  /** Takes a token away; refused while anything refers to it. */
  @JsonTypeName("REMOVE_TOKEN")
  record RemoveToken(String token) implements TokenStep {
    @Override
    public ReadStep read(StepAim aim) {
      Token removed = aim.token(token);
      return ReadStep.house(FinishesEditor.remove(token), "delete " + removed.name());
    }
  }

  /** Puts another token in the place of one, wherever that is used. */
  @JsonTypeName("REPLACE_TOKEN")
  record ReplaceToken(String token, String by) implements TokenStep {
    @Override
    public ReadStep read(StepAim aim) {
      Token replaced = aim.token(token);
      Token other = aim.token(by);
      return ReadStep.house(
          FinishesEditor.replace(aim.house(), token, by),
          "replace " + replaced.name() + " by " + other.name());
    }
  }
}
