package goodbones.server.looks;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Kind;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.server.looks.FinishesViews.FinishesEditRequest;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Stale;
import goodbones.server.sites.Sites;
import goodbones.style.AllFinishes;
import goodbones.style.Finishes;
import goodbones.style.FinishesEdit;
import goodbones.style.FinishesEditor;
import goodbones.style.FinishesStep;
import goodbones.style.NamedStyle;
import goodbones.style.Scheme;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads what the finishes area sends into a step. */
@Component
class StepReader {
  /** A step and what to call it. */
  record Read(FinishesStep step, String label) {}

  /** How every element of a kind looks is edited like a named style of this id. */
  static final String KIND = "kind:";

  private final Sites sites;

  StepReader(Sites sites) {
    this.sites = sites;
  }

  /**
   * Reads an edit that is made on some finishes.
   *
   * @throws BadInput if a part is missing or there is no such token, style or scheme
   * @throws Stale if the value is not the one that was expected
   * @throws goodbones.style.TokenProblem if a value names an unknown or unfitting token
   */
  Read read(AllFinishes finishes, FinishesEditRequest request) {
    return new On(finishes).read(request);
  }

  private final class On {
    private final AllFinishes finishes;

    On(AllFinishes finishes) {
      this.finishes = finishes;
    }

    Read read(FinishesEditRequest request) {
      Finishes house = finishes.house();
      return switch (request.type()) {
        case VALUE -> value(request);
        case ADD_TOKEN -> addToken(request);
        case RENAME_TOKEN -> {
          Token token = token(request.token());
          String name = need(request.name(), "name").strip();
          yield house(FinishesEditor.rename(house, token.id(), name), "rename " + token.name());
        }
        case DESCRIBE_TOKEN -> {
          Token token = token(request.token());
          Token described = token.withDescription(need(request.value(), "value").strip());
          yield house(
              new FinishesEdit.PutToken(token.id(), Optional.of(described), -1),
              "describe " + token.name());
        }
        case REMOVE_TOKEN -> {
          Token token = token(request.token());
          yield house(FinishesEditor.remove(token.id()), "delete " + token.name());
        }
        case REPLACE_TOKEN -> {
          Token token = token(request.token());
          Token by = token(request.by());
          yield house(
              FinishesEditor.replace(house, token.id(), by.id()),
              "replace " + token.name() + " by " + by.name());
        }
        case ADD_STYLE -> addStyle(request);
        case SET_STYLE -> setStyle(request);
        case RENAME_STYLE -> {
          NamedStyle style = style(request);
          yield put(
              request,
              style.withName(need(request.name(), "name").strip()),
              "rename the style " + style.name());
        }
        case BASE_STYLE -> {
          NamedStyle style = style(request);
          Optional<String> by = Optional.ofNullable(request.by()).filter(id -> !id.isEmpty());
          yield put(
              request,
              new NamedStyle(style.id(), style.name(), by, style.styles()),
              "base the style " + style.name());
        }
        case REMOVE_STYLE -> {
          NamedStyle style = style(request);
          String label = "delete the style " + style.name();
          yield site(request).isEmpty()
              ? house(new FinishesEdit.PutNamedStyle(style.id(), Optional.empty(), -1), label)
              : new Read(FinishesStep.style(site(request), style.id(), Optional.empty()), label);
        }
        case ADD_SCHEME -> {
          String name = need(request.name(), "name").strip();
          Scheme scheme = new Scheme(fresh(), requireFree(name), Map.of());
          yield house(
              new FinishesEdit.PutScheme(scheme.id(), Optional.of(scheme), -1),
              "add the scheme " + name);
        }
        case SET_SCHEME -> setScheme(request);
        case RENAME_SCHEME -> {
          Scheme scheme = scheme(request.scheme());
          String name = need(request.name(), "name").strip();
          yield house(
              new FinishesEdit.PutScheme(
                  scheme.id(),
                  Optional.of(new Scheme(scheme.id(), requireFree(name), scheme.values())),
                  -1),
              "rename the scheme " + scheme.name());
        }
        case REMOVE_SCHEME -> {
          Scheme scheme = scheme(request.scheme());
          yield house(
              new FinishesEdit.PutScheme(scheme.id(), Optional.empty(), -1),
              "delete the scheme " + scheme.name());
        }
      };
    }

    private String requireFree(String name) {
      if (name.isBlank() || name.length() > Catalogue.NAME_LIMIT) {
        throw new BadInput(
            "name", "Give it a name of 1 to " + Catalogue.NAME_LIMIT + " characters");
      }
      if (finishes.house().schemes().stream().anyMatch(s -> s.name().equalsIgnoreCase(name))) {
        throw new BadInput(
            "name", "There is a scheme “" + name + "” already; give it another name");
      }
      return name;
    }

    private Token token(@Nullable String id) {
      return finishes
          .house()
          .token(need(id, "token"))
          .orElseThrow(() -> new BadInput("token", "There is no token “" + id + "” any more"));
    }

    private Scheme scheme(@Nullable String id) {
      return finishes
          .house()
          .scheme(need(id, "scheme"))
          .orElseThrow(() -> new BadInput("scheme", "There is no scheme “" + id + "” any more"));
    }

    private NamedStyle style(FinishesEditRequest request) {
      String id = need(request.style(), "style");
      return finishes
          .of(site(request))
          .namedStyle(id)
          .orElseThrow(
              () -> new BadInput("style", "There is no named style “" + id + "” any more"));
    }

    private Read value(FinishesEditRequest request) {
      Token token = token(request.token());
      String site = site(request);
      SiteFinishes here = finishes.of(site);
      Optional<StyleValue> own = here.ownValue(token.id());
      String stands =
          site.isEmpty() ? here.written(token.value()) : own.map(here::written).orElse("");
      if (request.expected() != null && !request.expected().equals(stands)) {
        throw new Stale(token.name());
      }
      String typed = need(request.value(), "value").strip();
      if (site.isEmpty()) {
        if (typed.isEmpty()) {
          throw new BadInput(
              "value", "The house’s value of " + token.name() + " cannot be empty; give one");
        }
        return house(
            FinishesEditor.value(finishes.house(), token.id(), here.read(typed)),
            "set " + token.name());
      }
      Optional<StyleValue> value =
          typed.isEmpty() ? Optional.empty() : Optional.of(here.read(typed));
      return new Read(
          FinishesStep.value(site, token.id(), value),
          (value.isEmpty() ? "reset " : "set ") + token.name() + " of " + sites.get(site).name());
    }

    private Read addToken(FinishesEditRequest request) {
      String name = need(request.name(), "name").strip();
      Token.requireName(name);
      String word = need(request.kind(), "kind");
      TokenType type =
          TokenType.ofWord(word)
              .orElseThrow(() -> new BadInput("kind", "“" + word + "” is not a type of token"));
      StyleValue value = finishes.of("").read(need(request.value(), "value").strip());
      Token token = Token.of(fresh(), name, type, value, "");
      return house(
          new FinishesEdit.PutToken(token.id(), Optional.of(token), placeFor(token)),
          "add " + name);
    }

    /** After the last token of the same group. */
    private int placeFor(Token token) {
      List<Token> tokens = finishes.house().tokens();
      for (int i = tokens.size() - 1; i >= 0; i--) {
        if (tokens.get(i).group().equals(token.group())) {
          return i + 1;
        }
      }
      return -1;
    }

    private Read addStyle(FinishesEditRequest request) {
      String name = need(request.name(), "name").strip();
      if (name.isBlank() || name.length() > Catalogue.NAME_LIMIT) {
        throw new BadInput(
            "name", "Give it a name of 1 to " + Catalogue.NAME_LIMIT + " characters");
      }
      Optional<String> by = Optional.ofNullable(request.by()).filter(id -> !id.isEmpty());
      return put(request, new NamedStyle(fresh(), name, by, Map.of()), "add the style " + name);
    }

    private Read put(FinishesEditRequest request, NamedStyle style, String label) {
      boolean taken =
          finishes.of(site(request)).namedStyles().stream()
              .anyMatch(s -> s.name().equals(style.name()) && !s.id().equals(style.id()));
      if (taken) {
        throw new BadInput(
            "name", "There is a named style “" + style.name() + "” already; give it another name");
      }
      return site(request).isEmpty()
          ? house(new FinishesEdit.PutNamedStyle(style.id(), Optional.of(style), -1), label)
          : new Read(FinishesStep.style(site(request), style.id(), Optional.of(style)), label);
    }

    private Read setStyle(FinishesEditRequest request) {
      StyleProperty property = StyleProperty.ofKey(need(request.property(), "property"));
      StyleKey key =
          new StyleKey(
              property,
              Device.ofWord(need(request.device(), "device")),
              State.ofWord(need(request.state(), "state")));
      SiteFinishes here = finishes.of(site(request));
      String typed = need(request.value(), "value").strip();
      Optional<StyleValue> value =
          typed.isEmpty() ? Optional.empty() : Optional.of(checked(here, property, typed));
      String id = need(request.style(), "style");
      if (id.startsWith(KIND)) {
        Kind kind = Kind.ofWord(id.substring(KIND.length()));
        return house(
            new FinishesEdit.PutDefault(kind, key, value),
            "set " + property.label().toLowerCase() + " of every " + kind.word());
      }
      NamedStyle style = style(request);
      Map<StyleKey, StyleValue> styles = new HashMap<>(style.styles());
      value.ifPresentOrElse(v -> styles.put(key, v), () -> styles.remove(key));
      return put(
          request,
          style.withStyles(styles),
          "set " + property.label().toLowerCase() + " of " + style.name());
    }

    private Read setScheme(FinishesEditRequest request) {
      Scheme scheme = scheme(request.scheme());
      Token token = token(request.token());
      String typed = need(request.value(), "value").strip();
      Map<String, StyleValue> values = new HashMap<>(scheme.values());
      if (typed.isEmpty()) {
        values.remove(token.id());
      } else {
        values.put(token.id(), finishes.of("").read(typed));
      }
      return house(
          new FinishesEdit.PutScheme(
              scheme.id(), Optional.of(new Scheme(scheme.id(), scheme.name(), values)), -1),
          "set " + token.name() + " in the scheme " + scheme.name());
    }
  }

  private static Read house(FinishesEdit edit, String label) {
    return new Read(new FinishesStep.House(edit), label);
  }

  private static String site(FinishesEditRequest request) {
    return request.site() == null ? "" : request.site();
  }

  private static String fresh() {
    return UUID.randomUUID().toString();
  }

  private static StyleValue checked(SiteFinishes here, StyleProperty property, String typed) {
    StyleValue value = here.read(typed);
    if (value instanceof StyleValue.Literal literal && !property.type().accepts(literal.css())) {
      throw new BadInput(
          "value",
          property.label()
              + " cannot be “"
              + literal.css()
              + "”: give "
              + property.type().form()
              + ", or a token such as {color.accent}");
    }
    here.require(property, value);
    return value;
  }

  private static <T> T need(@Nullable T value, String name) {
    if (value == null) {
      throw new BadInput(name, "The edit says no “" + name + "”");
    }
    return value;
  }
}
