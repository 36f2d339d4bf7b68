package goodbones.style;

import goodbones.document.StyleValue;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/** Which tokens a change of the finishes of a site reaches. */
final class Differences {
  private final SiteFinishes before;
  private final SiteFinishes after;

  private Differences(SiteFinishes before, SiteFinishes after) {
    this.before = before;
    this.after = after;
  }

  /**
   * The ids of the tokens that came, went, changed in themselves, or lead to such a one, outside or
   * inside a scheme. All others are worth what they were, by the same way.
   */
  static Set<String> between(SiteFinishes before, SiteFinishes after) {
    Differences differences = new Differences(before, after);
    return differences.dependents(differences.changed());
  }

  /** The tokens that came, went, or are worth something else by themselves. */
  private Set<String> changed() {
    Set<String> changed = new HashSet<>();
    Finishes old = before.house();
    Finishes now = after.house();
    if (old.tokens() != now.tokens()) {
      for (Token token : now.tokens()) {
        if (old.token(token.id()).filter(token::equals).isEmpty()) {
          changed.add(token.id());
        }
      }
      for (Token token : old.tokens()) {
        if (now.token(token.id()).isEmpty()) {
          changed.add(token.id());
        }
      }
    }
    addChanged(before.ownValues(), after.ownValues(), changed);
    for (Scheme scheme : now.schemes()) {
      addChanged(
          old.scheme(scheme.id()).map(Scheme::values).orElse(Map.of()), scheme.values(), changed);
    }
    for (Scheme scheme : old.schemes()) {
      if (now.scheme(scheme.id()).isEmpty()) {
        changed.addAll(scheme.values().keySet());
      }
    }
    return changed;
  }

  private static void addChanged(
      Map<String, StyleValue> old, Map<String, StyleValue> now, Set<String> changed) {
    now.forEach(
        (id, value) -> {
          if (!Objects.equals(value, old.get(id))) {
            changed.add(id);
          }
        });
    old.keySet().stream().filter(id -> !now.containsKey(id)).forEach(changed::add);
  }

  /** Those tokens, and all that lead to one of them: at the house, at the site or in a scheme. */
  private Set<String> dependents(Set<String> changed) {
    Set<String> found = new HashSet<>(changed);
    Deque<String> open = new ArrayDeque<>(changed);
    while (!open.isEmpty()) {
      String id = open.pop();
      List<Collection<String>> leading =
          List.of(
              after.house().tokensReferringTo(id),
              referring(after.ownValues(), id),
              after.house().schemes().stream()
                  .flatMap(scheme -> referring(scheme.values(), id).stream())
                  .toList());
      for (Collection<String> ids : leading) {
        ids.stream().filter(found::add).forEach(open::push);
      }
    }
    return found;
  }

  private static List<String> referring(Map<String, StyleValue> values, String id) {
    return values.entrySet().stream()
        .filter(entry -> Finishes.refers(entry.getValue(), id))
        .map(Map.Entry::getKey)
        .toList();
  }
}
