package goodbones.server.finishes;

import com.fasterxml.jackson.annotation.JsonTypeName;
import goodbones.document.Device;
import goodbones.document.Kind;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.server.problems.BadInput;
import goodbones.style.FinishesEdit;
import goodbones.style.FinishesStep;
import goodbones.style.NamedStyle;
import goodbones.style.SiteFinishes;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Named styles, the house's and a client's own, and how every element of a kind looks. */
sealed interface StyleStep extends AskedStep {
  /** How every element of a kind looks is edited like a named style of this id. */
  String KIND = "kind:";

  /**
   * @param by the style that it is based on; empty or null for none
   */
  @JsonTypeName("ADD_STYLE")
  record AddStyle(String site, String name, @Nullable String by) implements StyleStep {
    @Override
    public ReadStep read(StepAim aim) {
      NamedStyle style = new NamedStyle(StepAim.fresh(), StepAim.name(name), based(by), Map.of());
      return put(aim, site, style, "add the style " + style.name());
    }
  }

  /**
   * One setting of a style.
   *
   * @param value empty to take it away
   */
  @JsonTypeName("SET_STYLE")
  record ChangeStyle(
      String site, String style, String property, String device, String state, String value)
      implements StyleStep {
    @Override
    public ReadStep read(StepAim aim) {
      StyleProperty of = StyleProperty.ofKey(property);
      StyleKey key = new StyleKey(of, Device.ofWord(device), State.ofWord(state));
      Optional<StyleValue> wanted =
          value.isBlank()
              ? Optional.empty()
              : Optional.of(checked(aim.of(site), of, value.strip()));
      if (style.startsWith(KIND)) {
        Kind kind = Kind.ofWord(style.substring(KIND.length()));
        return ReadStep.house(
            new FinishesEdit.PutDefault(kind, key, wanted),
            "set " + of.label().toLowerCase() + " of every " + kind.word());
      }
      NamedStyle named = aim.style(site, style);
      Map<StyleKey, StyleValue> styles = new HashMap<>(named.styles());
      wanted.ifPresentOrElse(v -> styles.put(key, v), () -> styles.remove(key));
      return put(
          aim,
          site,
          named.withStyles(styles),
          "set " + of.label().toLowerCase() + " of " + named.name());
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
  }

  @JsonTypeName("RENAME_STYLE")
  record RenameStyle(String site, String style, String name) implements StyleStep {
    @Override
    public ReadStep read(StepAim aim) {
      NamedStyle named = aim.style(site, style);
      return put(aim, site, named.withName(StepAim.name(name)), "rename the style " + named.name());
    }
  }

  /**
   * @param by the style that it is based on; empty lets it stand alone
   */
  @JsonTypeName("BASE_STYLE")
  record BaseStyle(String site, String style, String by) implements StyleStep {
    @Override
    public ReadStep read(StepAim aim) {
      NamedStyle named = aim.style(site, style);
      return put(
          aim,
          site,
          new NamedStyle(named.id(), named.name(), based(by), named.styles()),
          "base the style " + named.name());
    }
  }

  @JsonTypeName("REMOVE_STYLE")
  record RemoveStyle(String site, String style) implements StyleStep {
    @Override
    public ReadStep read(StepAim aim) {
      NamedStyle named = aim.style(site, style);
      String label = "delete the style " + named.name();
      return site.isEmpty()
          ? ReadStep.house(new FinishesEdit.PutNamedStyle(style, Optional.empty(), -1), label)
          : new ReadStep(FinishesStep.style(site, style, Optional.empty()), label);
    }
  }

  private static Optional<String> based(@Nullable String by) {
    return Optional.ofNullable(by).filter(id -> !id.isEmpty());
  }

  private static ReadStep put(StepAim aim, String site, NamedStyle style, String label) {
    boolean taken =
        aim.of(site).namedStyles().stream()
            .anyMatch(s -> s.name().equals(style.name()) && !s.id().equals(style.id()));
    if (taken) {
      throw new BadInput(
          "name", "There is a named style “" + style.name() + "” already; give another name");
    }
    return site.isEmpty()
        ? ReadStep.house(new FinishesEdit.PutNamedStyle(style.id(), Optional.of(style), -1), label)
        : new ReadStep(FinishesStep.style(site, style.id(), Optional.of(style)), label);
  }
}
