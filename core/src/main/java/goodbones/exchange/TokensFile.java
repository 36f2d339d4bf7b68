package goodbones.exchange;

import goodbones.document.StyleValue;
import goodbones.style.Finishes;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenGroup;
import goodbones.style.TokenType;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads and writes files in the W3C Design Tokens Format (Community Group Report 2025.10) without
 * loss: what we make no use of is kept and goes out again, and a value that was not changed is
 * written as it was read.
 */
public final class TokensFile {
  /** Where a group's own token stands. */
  private static final String ROOT = "$root";

  /** Our member of {@code $extensions}: the CSS text of a value that the format has no form for. */
  private static final String OURS = "goodbones";

  /** Beside a kept token: the text that was read where its references have no text form. */
  private static final String READ = "$read";

  /** Beside a kept token: it stands at its group's own place, {@code $root}. */
  private static final String AT_ROOT = "$at-root";

  /** Beside a kept token: the file does not write it, its group extends another that does. */
  private static final String EXTENDED = "$extended";

  private static final Set<String> NOTES = Set.of(READ, AT_ROOT, EXTENDED);

  private static final JsonMapper MAPPER =
      JsonMapper.builder()
          .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .enable(SerializationFeature.INDENT_OUTPUT)
          .build();

  /**
   * What a file says.
   *
   * @param tokens with names where documents have ids, in the order of the file
   * @param unread what is no token to us: a JSON object from name to what stands there, or empty
   * @param notes what was left aside, and why, one sentence each
   */
  public record Read(
      List<Token> tokens, List<TokenGroup> groups, String unread, List<String> notes) {}

  /** More than any value that says something; longer ones take long to be looked at. */
  private static final int LONGEST = 8_000;

  private TokensFile() {}

  /**
   * Reads a file.
   *
   * @return tokens whose ids are their names
   * @throws Unreadable if it is not JSON, or not an object
   */
  public static Read read(String json) {
    return new Reader(object(json)).read();
  }

  /**
   * Several files as one, each laid over those before it: what refers to another file finds it.
   *
   * @throws Unreadable if one of them is not JSON, or not an object
   */
  public static String together(List<String> files) {
    ObjectNode all = MAPPER.createObjectNode();
    files.forEach(json -> lay(object(json), all));
    return MAPPER.writeValueAsString(all);
  }

  private static void lay(ObjectNode over, ObjectNode under) {
    over.properties()
        .forEach(
            member -> {
              boolean groups =
                  member.getValue() instanceof ObjectNode group
                      && !isToken(group)
                      && under.get(member.getKey()) instanceof ObjectNode there
                      && !isToken(there);
              if (groups) {
                lay((ObjectNode) member.getValue(), (ObjectNode) under.get(member.getKey()));
              } else {
                under.set(member.getKey(), member.getValue());
              }
            });
  }

  private static boolean isToken(ObjectNode node) {
    return node.has("$value") || node.has("$ref");
  }

  /** The names that a file says something of, whether that can be read or not. */
  static Set<String> names(String json) {
    Set<String> names = new TreeSet<>();
    read(json).tokens().forEach(token -> names.add(token.name()));
    collect("", object(json), names);
    return names;
  }

  private static void collect(String name, ObjectNode node, Set<String> names) {
    if (isToken(node)) {
      names.add(ValueReader.plain(name));
      return;
    }
    node.properties()
        .forEach(
            member -> {
              if (member.getValue() instanceof ObjectNode inner
                  && (!member.getKey().startsWith("$") || member.getKey().equals(ROOT))) {
                collect(
                    name.isEmpty() ? member.getKey() : name + "." + member.getKey(), inner, names);
              }
            });
  }

  private static ObjectNode object(String json) {
    JsonNode root;
    try {
      root = MAPPER.readTree(json);
    } catch (JacksonException e) {
      throw new Unreadable(
          "The file is not JSON: "
              + e.getOriginalMessage()
              + (e.getLocation() == null
                  ? ""
                  : " (line "
                      + e.getLocation().getLineNr()
                      + ", column "
                      + e.getLocation().getColumnNr()
                      + ")"));
    }
    if (!(root instanceof ObjectNode object)) {
      throw new Unreadable("A tokens file is a JSON object of groups and tokens; this is not one");
    }
    return object;
  }

  private static final class Reader {
    private final ObjectNode root;
    private final List<Token> tokens = new ArrayList<>();
    private final List<TokenGroup> groups = new ArrayList<>();
    private final ObjectNode unread = MAPPER.createObjectNode();
    private final List<String> notes = new ArrayList<>();
    private final GroupExtensions extensions;

    Reader(ObjectNode root) {
      this.root = root;
      this.extensions = new GroupExtensions(root);
    }

    Read read() {
      group("", "", root, Optional.empty());
      return new Read(tokens, groups, unread.isEmpty() ? "" : unread.toString(), notes);
    }

    /**
     * @param at where it stands, as a JSON Pointer (RFC 6901): a key may have a dot in it
     */
    private void group(String name, String at, ObjectNode group, Optional<String> inherited) {
      Optional<String> type = typeSaid(group, inherited);
      ObjectNode own = MAPPER.createObjectNode();
      group.properties().stream()
          .filter(e -> e.getKey().startsWith("$") && !e.getKey().equals(ROOT))
          .forEach(e -> own.set(e.getKey(), e.getValue()));
      if (!own.isEmpty() || group.isEmpty()) {
        groups.add(new TokenGroup(name, own.toString()));
      }
      group
          .properties()
          .forEach(
              e -> {
                if (e.getKey().equals(ROOT)) {
                  member(
                      name.isEmpty() ? ROOT : name + "." + ROOT,
                      step(at, ROOT),
                      e.getValue(),
                      type);
                } else if (!e.getKey().startsWith("$")) {
                  member(
                      name.isEmpty() ? e.getKey() : name + "." + e.getKey(),
                      step(at, e.getKey()),
                      e.getValue(),
                      type);
                }
              });
      extension(name, group);
    }

    private static String step(String at, String key) {
      return at + "/" + key.replace("~", "~0").replace("/", "~1");
    }

    private Optional<String> typeSaid(ObjectNode group, Optional<String> inherited) {
      if (group.path("$type").isString()) {
        return Optional.of(group.path("$type").asString());
      }
      return extensions
          .baseOf(group)
          .map(base -> base.path("$type"))
          .filter(JsonNode::isString)
          .map(JsonNode::asString)
          .or(() -> inherited);
    }

    /**
     * What a group takes over from the one that it extends: each token of it that the group does
     * not say itself is an alias of the one there, so that it goes on following it.
     */
    private void extension(String name, ObjectNode group) {
      try {
        extensions
            .taken(name, group)
            .forEach(
                (taken, from) -> {
                  ObjectNode kept = MAPPER.createObjectNode().put(EXTENDED, true);
                  kept.put("$value", "{" + from + "}");
                  Optional<TokenType> type = typeOf(kept.get("$value"), new TreeSet<>());
                  type.ifPresent(
                      t ->
                          tokens.add(
                              new Token(
                                  taken,
                                  taken,
                                  t,
                                  StyleValue.token(from),
                                  "",
                                  false,
                                  kept.toString())));
                });
      } catch (Unreadable circle) {
        notes.add(circle.getMessage());
      }
    }

    private void member(String name, String at, JsonNode value, Optional<String> type) {
      if (value instanceof ObjectNode object
          && (object.has("$value") || object.has("$ref") && !extensions.isGroupReference(object))) {
        token(name, at, object, type);
      } else if (value instanceof ObjectNode object) {
        group(name, at, object, type);
      } else {
        leave(at, value, name + " is neither a group nor a token");
      }
    }

    private void token(String place, String at, ObjectNode token, Optional<String> inherited) {
      String name = ValueReader.plain(place);
      JsonNode value = token.has("$value") ? token.get("$value") : token;
      Optional<String> word =
          token.path("$type").isString() ? Optional.of(token.path("$type").asString()) : inherited;
      Optional<TokenType> type =
          word.isPresent()
              ? word.flatMap(TokenType::ofWord)
              : typeOf(value, new TreeSet<>(Set.of(name)));
      if (type.isEmpty()) {
        leave(
            at,
            token,
            name
                + (word.isPresent()
                    ? " has the type " + word.get() + ", which we make no use of"
                    : " has no type"));
        return;
      }
      try {
        ObjectNode kept = token.deepCopy();
        if (!place.equals(name)) {
          kept.put(AT_ROOT, true);
        }
        String css = ours(token, value).orElseGet(() -> readable(name, type.get(), value, kept));
        if (type.get() == TokenType.FONT_FAMILY && value.isString() && css.contains(",")) {
          // The format has a list for that; files of everyday use have one text.
          notes.add(name + " has several families in one text; it was read as a list of them");
        }
        if (css.length() > LONGEST) {
          throw new Unreadable(
              name + " has " + css.length() + " characters; a value may have at most " + LONGEST);
        }
        StyleValue read = StyleValue.parse(css);
        if (read instanceof StyleValue.Literal && !type.get().accepts(css)) {
          throw new Unreadable(
              name + " cannot be “" + css + "”: give " + type.get().literal().form());
        }
        tokens.add(
            new Token(
                name,
                name,
                type.get(),
                read,
                token.path("$description").asString(""),
                token.path("$deprecated").isBoolean() && token.path("$deprecated").asBoolean(),
                kept.toString()));
      } catch (Unreadable | IllegalArgumentException e) {
        leave(at, token, String.valueOf(e.getMessage()));
      }
    }

    /** The value as text; where its references have no text form, what they lead to. */
    private String readable(String name, TokenType type, JsonNode value, ObjectNode kept) {
      try {
        String css = new ValueReader(name).read(type, value);
        boolean fits =
            StyleValue.parse(css).refs().stream()
                .allMatch(ref -> ref.part().isEmpty() || type(ref).isPresent());
        if (fits) {
          return css;
        }
      } catch (Unreadable e) {
        boolean refers = value.toString().contains("$ref") || value.toString().contains("\"{");
        if (!refers) {
          throw e;
        }
      }
      JsonNode found = resolved(value, new TreeSet<>(Set.of(name)), name);
      String css = new ValueReader(name).read(type, found);
      kept.put(READ, css);
      return css;
    }

    private Optional<TokenType> type(StyleValue.TokenRef ref) {
      return typeOf(MAPPER.getNodeFactory().stringNode("{" + ref.tokenId() + "}"), new TreeSet<>())
          .flatMap(type -> type.part(ref.part()));
    }

    private Optional<TokenType> typeOf(JsonNode value, Set<String> seen) {
      String reference = ValueReader.reference(value);
      if (reference.isEmpty()
          || !(StyleValue.parse(reference) instanceof StyleValue.TokenRef ref)) {
        return Optional.empty();
      }
      if (!seen.add(ref.tokenId())) {
        return Optional.empty();
      }
      Optional<String> word = extensions.typeAt(ref.tokenId());
      JsonNode at = extensions.at(ref.tokenId());
      Optional<TokenType> type =
          word.isPresent() ? word.flatMap(TokenType::ofWord) : typeOf(at.path("$value"), seen);
      return ref.part().isEmpty() ? type : type.flatMap(t -> t.part(ref.part()));
    }

    private JsonNode resolved(JsonNode value, Set<String> seen, String name) {
      if (value.isString() && !ValueReader.reference(value).isEmpty()) {
        String alias = value.asString();
        JsonNode there = extensions.at(alias.substring(1, alias.length() - 1));
        if (there.isMissingNode() || !seen.add(alias)) {
          throw new Unreadable(name + ": " + alias + " leads nowhere in this file");
        }
        JsonNode found = resolved(there.has("$value") ? there.get("$value") : there, seen, name);
        seen.remove(alias);
        return found;
      }
      if (value.isObject() && value.path("$ref").isString()) {
        String ref = value.path("$ref").asString();
        if (!ref.startsWith("#/") || !seen.add(ref)) {
          throw new Unreadable(name + ": " + ref + " leads nowhere in this file");
        }
        JsonNode there = root.at(ref.substring(1));
        if (there.isMissingNode()) {
          throw new Unreadable(name + ": " + ref + " leads nowhere in this file");
        }
        JsonNode found = resolved(there.has("$value") ? there.get("$value") : there, seen, name);
        seen.remove(ref);
        return found;
      }
      if (value instanceof ObjectNode object) {
        ObjectNode copy = MAPPER.createObjectNode();
        object.properties().forEach(e -> copy.set(e.getKey(), resolved(e.getValue(), seen, name)));
        return copy;
      }
      if (value.isArray()) {
        var copy = MAPPER.createArrayNode();
        value.forEach(v -> copy.add(resolved(v, seen, name)));
        return copy;
      }
      return value;
    }

    private void leave(String at, JsonNode value, String why) {
      unread.set(at, value);
      notes.add(why + "; kept as it is in the file");
    }
  }

  /**
   * What is kept of a file beyond tokens, with some of its tokens that are not taken after all.
   *
   * @param unread as {@link Read#unread}
   */
  static String withAside(String unread, List<Token> aside) {
    if (aside.isEmpty()) {
      return unread;
    }
    ObjectNode all =
        unread.isEmpty() ? MAPPER.createObjectNode() : (ObjectNode) MAPPER.readTree(unread);
    for (Token token : aside) {
      ObjectNode said = (ObjectNode) MAPPER.readTree(token.extras());
      boolean extended = said.has(EXTENDED);
      String place = said.has(AT_ROOT) ? token.name() + "." + ROOT : token.name();
      NOTES.forEach(said::remove);
      if (!extended) {
        all.set(place, said);
      }
    }
    return all.isEmpty() ? "" : all.toString();
  }

  /** Our own text for a value, if the value was not changed by others since we wrote it. */
  private static Optional<String> ours(JsonNode token, JsonNode value) {
    JsonNode ours = token.path("$extensions").path(OURS);
    return ours.path("css").isString() && ours.path("of").asString("").equals(mark(value))
        ? Optional.of(ours.path("css").asString())
        : Optional.empty();
  }

  private static String mark(JsonNode value) {
    return Integer.toHexString(value.toString().hashCode());
  }

  /** Writes the house's finishes. */
  public static String write(Finishes finishes) {
    return write(new SiteFinishes(finishes, Map.of()));
  }

  /** Writes the finishes as a site sees them: its own values in place of the house's. */
  public static String write(SiteFinishes finishes) {
    return new Writer(finishes).write();
  }

  private static final class Writer {
    private final SiteFinishes finishes;
    private final Set<String> groupNames = new TreeSet<>();
    private final Map<String, ObjectNode> groups = new LinkedHashMap<>();
    private final Map<String, String> types = new HashMap<>();
    private final Set<String> extending = new TreeSet<>();
    private final ValueWriter values = new ValueWriter(this::address);

    Writer(SiteFinishes finishes) {
      this.finishes = finishes;
      finishes.tokens().forEach(token -> above(token.name()));
      finishes.tokens().stream()
          .filter(token -> said(token).has(AT_ROOT))
          .forEach(token -> above(token.name() + ".x"));
      finishes.house().groups().forEach(group -> above(group.name() + ".x"));
    }

    private void above(String name) {
      for (int dot = name.lastIndexOf('.'); dot > 0; dot = name.lastIndexOf('.', dot - 1)) {
        groupNames.add(name.substring(0, dot));
      }
    }

    String write() {
      ObjectNode root = MAPPER.createObjectNode();
      groups.put("", root);
      finishes.house().groups().forEach(this::group);
      finishes.tokens().forEach(this::token);
      if (!finishes.house().unread().isEmpty()) {
        MAPPER
            .readTree(finishes.house().unread())
            .properties()
            .forEach(e -> placeAt(e.getKey(), e.getValue()));
      }
      return MAPPER.writeValueAsString(root) + "\n";
    }

    private void group(TokenGroup group) {
      ObjectNode node = node(group.name());
      MAPPER.readTree(group.extras()).properties().forEach(e -> node.set(e.getKey(), e.getValue()));
      if (node.path("$type").isString()) {
        types.put(group.name(), node.path("$type").asString());
      }
      if (node.has("$extends") || node.has("$ref")) {
        extending.add(group.name());
      }
    }

    /** Whether a group around it extends another, which may say its type. */
    private boolean isExtended(String name) {
      return extending.stream().anyMatch(group -> name.startsWith(group + "."));
    }

    private ObjectNode node(String name) {
      ObjectNode known = groups.get(name);
      if (known == null) {
        int dot = name.lastIndexOf('.');
        known = node(dot < 0 ? "" : name.substring(0, dot)).putObject(name.substring(dot + 1));
        groups.put(name, known);
      }
      return known;
    }

    private void place(String name, JsonNode value) {
      if (groupNames.contains(name)) {
        node(name).set(ROOT, value);
      } else if (name.equals(ROOT)) {
        node("").set(ROOT, value);
      } else {
        int dot = name.lastIndexOf('.');
        node(dot < 0 ? "" : name.substring(0, dot)).set(name.substring(dot + 1), value);
      }
    }

    /** What was not read stands where it stood; what was kept before has a name with dots. */
    private void placeAt(String at, JsonNode value) {
      if (!at.startsWith("/")) {
        place(at, value);
        return;
      }
      List<String> steps =
          Arrays.stream(at.substring(1).split("/", -1))
              .map(step -> step.replace("~1", "/").replace("~0", "~"))
              .toList();
      if (steps.stream().noneMatch(step -> step.contains("."))) {
        place(String.join(".", steps), value);
        return;
      }
      ObjectNode node = node("");
      for (String step : steps.subList(0, steps.size() - 1)) {
        node = node.get(step) instanceof ObjectNode there ? there : node.putObject(step);
      }
      node.set(steps.get(steps.size() - 1), value);
    }

    private String address(String name) {
      return groupNames.contains(name) ? name + ".$root" : name;
    }

    private Optional<String> inherited(String name) {
      String at = groupNames.contains(name) ? name + ".x" : name;
      while (true) {
        int dot = at.lastIndexOf('.');
        at = dot < 0 ? "" : at.substring(0, dot);
        if (types.containsKey(at) || at.isEmpty()) {
          return Optional.ofNullable(types.get(at));
        }
      }
    }

    /** What a file said of a token, with our notes on it. */
    private static ObjectNode said(Token token) {
      return token.extras().isEmpty()
          ? MAPPER.createObjectNode()
          : (ObjectNode) MAPPER.readTree(token.extras());
    }

    private void token(Token token) {
      StyleValue stored = finishes.ownValue(token.id()).orElse(token.value());
      StyleValue named = StyleValue.parse(finishes.written(stored));
      ObjectNode before = said(token);
      JsonNode raw = before.has("$value") ? before.get("$value") : before;
      boolean typed = before.has("$type");
      boolean same = !before.isEmpty() && same(token, named, before, raw);
      if (same && before.has(EXTENDED) && token.description().isEmpty() && !token.retired()) {
        return;
      }
      ObjectNode out = MAPPER.createObjectNode();
      before.properties().stream()
          .filter(e -> !NOTES.contains(e.getKey()) && (same || !e.getKey().equals("$ref")))
          .forEach(e -> out.set(e.getKey(), e.getValue()));
      if (typed || !inherited(token.name()).equals(Optional.of(token.type().word()))) {
        boolean known = !(named instanceof StyleValue.Literal) || isExtended(token.name());
        boolean needed = typed || !(same && known);
        if (needed) {
          out.put("$type", token.type().word());
        }
      }
      if (!same) {
        value(token, stored, named, out);
      }
      if (!token.description().isEmpty()) {
        out.put("$description", token.description());
      } else {
        out.remove("$description");
      }
      if (token.retired()) {
        out.put("$deprecated", true);
      } else if (out.path("$deprecated").isBoolean()) {
        out.remove("$deprecated");
      }
      place(token.name(), out);
    }

    /** Whether the file said just what the token says now. */
    private boolean same(Token token, StyleValue named, ObjectNode before, JsonNode raw) {
      try {
        String css =
            ours(before, raw)
                .orElseGet(() -> new ValueReader(token.name()).read(token.type(), raw));
        if (StyleValue.parse(css).equals(named)) {
          return true;
        }
      } catch (Unreadable | IllegalArgumentException e) {
        // Its references had no text form; what they led to was taken when it was read.
      }
      return before.path(READ).asString("").equals(named.toString());
    }

    private void value(Token token, StyleValue stored, StyleValue named, ObjectNode out) {
      JsonNode value = values.write(token.type(), named, finishes.worth(stored).css());
      out.set("$value", value);
      ObjectNode extensions =
          out.path("$extensions") instanceof ObjectNode there
              ? there.deepCopy()
              : MAPPER.createObjectNode();
      extensions.remove(OURS);
      if (!reads(token, value, named)) {
        extensions
            .putObject(OURS)
            .put("css", named.toString())
            .put("of", mark(MAPPER.readTree(value.toString())));
      }
      if (extensions.isEmpty()) {
        out.remove("$extensions");
      } else {
        out.set("$extensions", extensions);
      }
    }

    private boolean reads(Token token, JsonNode value, StyleValue named) {
      try {
        String css =
            new ValueReader(token.name()).read(token.type(), MAPPER.readTree(value.toString()));
        return StyleValue.parse(css).equals(named);
      } catch (Unreadable e) {
        return false;
      }
    }
  }
}
