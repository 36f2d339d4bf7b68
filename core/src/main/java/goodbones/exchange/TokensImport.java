package goodbones.exchange;

import goodbones.document.StyleValue;
import goodbones.style.Finishes;
import goodbones.style.FinishesEdit;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenGroup;
import goodbones.style.TokenProblem;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Supplier;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Lays what a tokens file says over finishes that are there: tokens meet by name. */
public final class TokensImport {

  /**
   * What a file makes of a site's own values.
   *
   * @param values token id to the site's own value; empty for the house's
   * @param notes what was left aside, and why
   */
  public record ForSite(Map<String, Optional<StyleValue>> values, List<String> notes) {}

  private TokensImport() {}

  /**
   * What a file makes of the house's finishes.
   *
   * @param tokens how many of its tokens are taken
   * @param notes what was left aside, and why
   */
  public record ForHouse(FinishesEdit edit, int tokens, List<String> notes) {}

  /**
   * The edit that takes a file into the house's finishes. A token of a name that is there keeps its
   * id, so that everything goes on referring to it; tokens that the file does not name stay. What
   * could not be looked up afterwards is left aside, and nothing else with it.
   *
   * @param ids makes an id for each new token
   */
  public static ForHouse intoHouse(Finishes house, TokensFile.Read file, Supplier<String> ids) {
    return intoHouse(house, house.unread(), file.tokens(), file, file.notes(), ids);
  }

  /**
   * The same for several files at once, in any order: what refers to another of them, or to a token
   * of the house, finds it; and what was left aside before is taken up where its target comes.
   *
   * @throws Unreadable if one of them is not JSON, or not an object
   */
  public static ForHouse intoHouse(Finishes house, List<String> files, Supplier<String> ids) {
    Set<String> said = new TreeSet<>();
    files.forEach(json -> said.addAll(TokensFile.names(json)));
    String there = TokensFile.write(house);
    List<String> all = new ArrayList<>(List.of(there));
    all.addAll(files);
    TokensFile.Read read = TokensFile.read(TokensFile.together(all));
    List<Token> tokens =
        read.tokens().stream()
            .filter(t -> said.contains(t.name()) || house.tokenNamed(t.name()).isEmpty())
            .toList();
    List<String> notes = new ArrayList<>(read.notes());
    notes.removeAll(TokensFile.read(there).notes());
    // What was not read of the house is among what is read anew.
    return intoHouse(house, "", tokens, read, notes, ids);
  }

  private static ForHouse intoHouse(
      Finishes house,
      String unread,
      List<Token> tokens,
      TokensFile.Read file,
      List<String> noted,
      Supplier<String> ids) {
    List<String> notes = new ArrayList<>(noted);
    List<Token> aside = new ArrayList<>();
    List<Token> wanted = new ArrayList<>();
    for (Token token : tokens) {
      Optional<Token> there = house.tokenNamed(token.name());
      if (there.isPresent() && there.get().type() != token.type()) {
        notes.add(otherType(token, there.get()));
        aside.add(token);
      } else {
        wanted.add(token);
      }
    }
    Map<String, String> idOf = new HashMap<>();
    house.tokens().forEach(token -> idOf.put(token.name(), token.id()));
    wanted.forEach(token -> idOf.computeIfAbsent(token.name(), name -> ids.get()));
    List<Token> taken = new ArrayList<>(wanted);
    List<Token> unsound = unsound(house, taken, idOf, notes);
    while (!unsound.isEmpty()) {
      aside.addAll(unsound);
      taken.removeAll(new java.util.HashSet<>(unsound));
      unsound = unsound(house, taken, idOf, notes);
    }
    List<FinishesEdit> edits = new ArrayList<>();
    for (Token token : taken) {
      Token pointed = pointed(token, idOf);
      edits.add(new FinishesEdit.PutToken(pointed.id(), Optional.of(pointed), -1));
    }
    edits.add(
        new FinishesEdit.PutFile(
            groups(house.groups(), file.groups()),
            merged(unread, TokensFile.withAside(file.unread(), aside))));
    return new ForHouse(new FinishesEdit.Group(edits), taken.size(), notes);
  }

  /** Those that could not be looked up if all of them were taken, with a note for each. */
  private static List<Token> unsound(
      Finishes house, List<Token> taken, Map<String, String> idOf, List<String> notes) {
    Map<String, Token> all = new LinkedHashMap<>();
    house.tokens().forEach(token -> all.put(token.id(), token));
    taken.stream().map(token -> pointed(token, idOf)).forEach(t -> all.put(t.id(), t));
    SiteFinishes probe = new SiteFinishes(house.withTokens(List.copyOf(all.values())), Map.of());
    List<Token> unsound = new ArrayList<>();
    for (Token token : taken) {
      String id = java.util.Objects.requireNonNull(idOf.get(token.name()));
      try {
        probe.worth(id);
        house.schemes().forEach(scheme -> probe.in(scheme.id()).worth(id));
      } catch (TokenProblem problem) {
        notes.add(problem.getMessage() + "; " + token.name() + " is kept as it is in the file");
        unsound.add(token);
      }
    }
    return unsound;
  }

  private static Token pointed(Token token, Map<String, String> idOf) {
    return new Token(
        java.util.Objects.requireNonNull(idOf.get(token.name())),
        token.name(),
        token.type(),
        pointed(token.value(), idOf),
        token.description(),
        token.retired(),
        token.extras());
  }

  /** The site's own values that a file stands for: those that differ from the house's. */
  public static ForSite intoSite(SiteFinishes site, TokensFile.Read file) {
    Map<String, String> idOf = new HashMap<>();
    site.tokens().forEach(token -> idOf.put(token.name(), token.id()));
    Map<String, Optional<StyleValue>> values = new LinkedHashMap<>();
    List<String> notes = new ArrayList<>(file.notes());
    for (Token token : file.tokens()) {
      Optional<Token> house = site.byName(token.name());
      if (house.isEmpty()) {
        notes.add(token.name() + " is no token of the house; bring the file in at the house first");
      } else if (house.get().type() != token.type()) {
        notes.add(otherType(token, house.get()));
      } else {
        StyleValue value = pointed(token.value(), idOf);
        boolean same = value.equals(house.get().value());
        if (!same || site.ownValue(house.get().id()).isPresent()) {
          values.put(house.get().id(), same ? Optional.empty() : Optional.of(value));
        }
      }
    }
    while (removedUnsound(site, values, notes)) {
      // What remains is looked up anew without those that were removed.
    }
    return new ForSite(values, notes);
  }

  private static String otherType(Token read, Token there) {
    return read.name()
        + " is a "
        + read.type().word()
        + " in the file and a "
        + there.type().word()
        + " in the house; left as it is";
  }

  private static boolean removedUnsound(
      SiteFinishes site, Map<String, Optional<StyleValue>> values, List<String> notes) {
    SiteFinishes probe = site.with(values);
    return values
        .keySet()
        .removeIf(
            id -> {
              try {
                probe.worth(id);
                return false;
              } catch (TokenProblem problem) {
                notes.add(problem.getMessage() + "; left as it is");
                return true;
              }
            });
  }

  private static StyleValue pointed(StyleValue value, Map<String, String> idOf) {
    Function<StyleValue.TokenRef, StyleValue.TokenRef> change =
        ref -> new StyleValue.TokenRef(idOf.getOrDefault(ref.tokenId(), ref.tokenId()), ref.part());
    return value.map(change);
  }

  private static List<TokenGroup> groups(List<TokenGroup> there, List<TokenGroup> read) {
    Map<String, TokenGroup> byName = new LinkedHashMap<>();
    there.forEach(group -> byName.put(group.name(), group));
    read.forEach(group -> byName.put(group.name(), group));
    return List.copyOf(byName.values());
  }

  private static String merged(String there, String read) {
    if (there.isEmpty() || read.isEmpty()) {
      return there + read;
    }
    JsonMapper mapper = new JsonMapper();
    ObjectNode both = (ObjectNode) mapper.readTree(there);
    both.setAll((ObjectNode) mapper.readTree(read));
    return both.toString();
  }
}
