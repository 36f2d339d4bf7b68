package goodbones.exchange;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Groups of a tokens file that extend others, by {@code $extends} or a {@code $ref} to a group
 * (Design Tokens Format 2025.10, group inheritance): they have the tokens of the other group too,
 * deeply, but for those that they say themselves.
 */
final class GroupExtensions {
  private static final String ROOT = "$root";
  private final ObjectNode root;

  /** More than any system that is read by people. */
  private static final int MOST = 20_000;

  private int looked;

  GroupExtensions(ObjectNode root) {
    this.root = root;
  }

  /** Whether an object refers to a group, and not to a token or a value. */
  boolean isGroupReference(ObjectNode object) {
    return baseOf(object).isPresent();
  }

  /** The group that a group extends. */
  Optional<ObjectNode> baseOf(ObjectNode group) {
    String name = baseName(group);
    return !name.isEmpty() && at(name) instanceof ObjectNode base && !isToken(base)
        ? Optional.of(base)
        : Optional.empty();
  }

  private static String baseName(ObjectNode group) {
    JsonNode said = group.has("$extends") ? group.get("$extends") : group;
    String reference =
        group.has("$extends") || group.has("$ref") ? ValueReader.reference(said) : "";
    return reference.isEmpty() || reference.contains("#")
        ? ""
        : reference.substring(1, reference.length() - 1);
  }

  private static boolean isToken(JsonNode node) {
    return node.has("$value");
  }

  /**
   * The names of the tokens that a group takes over, and the name of the token that each follows.
   *
   * @throws Unreadable if the group comes to extend itself
   */
  Map<String, String> taken(String name, ObjectNode group) {
    Map<String, String> taken = new LinkedHashMap<>();
    Optional<ObjectNode> base = baseOf(group);
    if (base.isPresent()) {
      extend(name, group, baseName(group), base.get(), taken, new LinkedHashSet<>(Set.of(name)));
    }
    return taken;
  }

  private void extend(
      String name,
      JsonNode own,
      String baseName,
      ObjectNode base,
      Map<String, String> taken,
      Set<String> path) {
    boolean inside =
        path.stream().anyMatch(p -> p.equals(baseName) || baseName.startsWith(p + "."));
    if (inside || !path.add(baseName)) {
      throw new Unreadable(
          name
              + " extends "
              + baseName
              + ", which leads back to itself; nothing is taken over from there");
    }
    take(name, own, baseName, base, taken, path);
  }

  /** Groups that extend groups that extend multiply at every level. */
  private void requireFew() {
    if (++looked > MOST) {
      throw new Unreadable(
          "Groups in this file extend each other to more than "
              + MOST
              + " tokens; extend fewer, or say the tokens themselves");
    }
  }

  private void take(
      String name,
      JsonNode own,
      String baseName,
      ObjectNode base,
      Map<String, String> taken,
      Set<String> path) {
    base.properties()
        .forEach(
            member -> {
              requireFew();
              String key = member.getKey();
              if (key.startsWith("$") && !key.equals(ROOT)) {
                return;
              }
              JsonNode here = own.path(key);
              String from = key.equals(ROOT) ? baseName : baseName + "." + key;
              String to = key.equals(ROOT) ? name : name + "." + key;
              if (isToken(member.getValue())
                  || member.getValue().has("$ref")
                      && member.getValue() instanceof ObjectNode refers
                      && baseOf(refers).isEmpty()) {
                if (here.isMissingNode()) {
                  taken.put(to, from);
                }
              } else if (member.getValue() instanceof ObjectNode group && !isToken(here)) {
                take(to, here, from, group, taken, new LinkedHashSet<>(path));
              }
            });
    baseOf(base)
        .ifPresent(
            further -> {
              Map<String, String> more = new LinkedHashMap<>();
              extend(name, own, baseName(base), further, more, path);
              more.forEach(
                  (to, from) -> {
                    String middle = baseName + to.substring(name.length());
                    taken.putIfAbsent(to, middle);
                  });
            });
  }

  /** What stands at a name, in a group or in one that it extends; missing if nothing does. */
  JsonNode at(String name) {
    JsonNode there = said(place(name, new LinkedHashSet<>()));
    return there.has(ROOT) && !isToken(there) ? there.path(ROOT) : there;
  }

  private JsonNode said(String name) {
    JsonNode at = root;
    for (String step : name.split("\\.")) {
      at = at.path(step);
    }
    return at;
  }

  /** Where what a name stands for is really said; the name itself if it is nowhere. */
  private String place(String name, Set<String> seen) {
    if (!said(name).isMissingNode() || !seen.add(name)) {
      return name;
    }
    for (int dot = name.lastIndexOf('.'); dot > 0; dot = name.lastIndexOf('.', dot - 1)) {
      if (said(name.substring(0, dot)) instanceof ObjectNode group && !baseName(group).isEmpty()) {
        String there = place(baseName(group) + name.substring(dot), seen);
        if (!said(there).isMissingNode()) {
          return there;
        }
      }
    }
    return name;
  }

  /** The type that is said for a name, at the token or at the nearest group around it. */
  Optional<String> typeAt(String name) {
    Optional<String> word = type(root, Optional.empty());
    JsonNode at = root;
    for (String step : place(name, new LinkedHashSet<>()).split("\\.")) {
      at = at.path(step);
      word = at instanceof ObjectNode group ? type(group, word) : word;
    }
    JsonNode token = at.has(ROOT) ? at.path(ROOT) : at;
    return token.path("$type").isString() ? Optional.of(token.path("$type").asString()) : word;
  }

  private Optional<String> type(ObjectNode group, Optional<String> around) {
    if (group.path("$type").isString()) {
      return Optional.of(group.path("$type").asString());
    }
    return baseOf(group)
        .map(base -> base.path("$type"))
        .filter(JsonNode::isString)
        .map(JsonNode::asString)
        .or(() -> around);
  }
}
