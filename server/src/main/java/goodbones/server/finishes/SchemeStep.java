package goodbones.server.finishes;

import com.fasterxml.jackson.annotation.JsonTypeName;
import goodbones.document.StyleValue;
import goodbones.server.problems.BadInput;
import goodbones.style.FinishesEdit;
import goodbones.style.Scheme;
import goodbones.style.Token;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** Colour schemes. */
sealed interface SchemeStep extends AskedStep {
  @JsonTypeName("ADD_SCHEME")
  record AddScheme(String name) implements SchemeStep {
    @Override
    public ReadStep read(StepAim aim) {
      Scheme scheme = new Scheme(StepAim.fresh(), free(aim, "", name), Map.of());
      return put(scheme, "add the scheme " + scheme.name());
    }
  }

  /**
   * What a token is worth in a scheme.
   *
   * @param value empty to take it away
   */
  @JsonTypeName("SET_SCHEME")
  record SetInScheme(String scheme, String token, String value) implements SchemeStep {
    @Override
    public ReadStep read(StepAim aim) {
      Scheme in = aim.scheme(scheme);
      Token set = aim.token(token);
      Map<String, StyleValue> values = new HashMap<>(in.values());
      if (value.isBlank()) {
        values.remove(token);
      } else {
        values.put(token, aim.of("").read(value.strip()));
      }
      return put(
          new Scheme(in.id(), in.name(), values),
          "set " + set.name() + " in the scheme " + in.name());
    }
  }

  @JsonTypeName("RENAME_SCHEME")
  record RenameScheme(String scheme, String name) implements SchemeStep {
    @Override
    public ReadStep read(StepAim aim) {
      Scheme renamed = aim.scheme(scheme);
      return put(
          new Scheme(renamed.id(), free(aim, scheme, name), renamed.values()),
          "rename the scheme " + renamed.name());
    }
  }

  @JsonTypeName("REMOVE_SCHEME")
  record RemoveScheme(String scheme) implements SchemeStep {
    @Override
    public ReadStep read(StepAim aim) {
      Scheme removed = aim.scheme(scheme);
      return ReadStep.house(
          new FinishesEdit.PutScheme(scheme, Optional.empty(), -1),
          "delete the scheme " + removed.name());
    }
  }

  private static ReadStep put(Scheme scheme, String label) {
    return ReadStep.house(new FinishesEdit.PutScheme(scheme.id(), Optional.of(scheme), -1), label);
  }

  private static String free(StepAim aim, String id, String typed) {
    String name = StepAim.name(typed);
    boolean taken =
        aim.house().schemes().stream()
            .anyMatch(s -> s.name().equalsIgnoreCase(name) && !s.id().equals(id));
    if (taken) {
      throw new BadInput("name", "There is a scheme “" + name + "” already; give another name");
    }
    return name;
  }
}
