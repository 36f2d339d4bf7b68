package goodbones.exchange;

import goodbones.document.StyleValue;
import goodbones.style.Finishes;
import goodbones.style.FinishesEdit;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenGroup;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
   * The edit that takes a file into the house's finishes. A token of a name that is there keeps its
   * id, so that everything goes on referring to it; tokens that the file does not name stay.
   *
   * @param ids makes an id for each new token
   */
  public static FinishesEdit intoHouse(Finishes house, TokensFile.Read file, Supplier<String> ids) {
    Map<String, String> idOf = new HashMap<>();
    house.tokens().forEach(token -> idOf.put(token.name(), token.id()));
    file.tokens().forEach(token -> idOf.computeIfAbsent(token.name(), name -> ids.get()));
    List<FinishesEdit> edits = new ArrayList<>();
    for (Token token : file.tokens()) {
      String id = idOf.get(token.name());
      Token taken =
          new Token(
              java.util.Objects.requireNonNull(id),
              token.name(),
              token.type(),
              pointed(token.value(), idOf),
              token.description(),
              token.retired(),
              token.extras());
      edits.add(new FinishesEdit.PutToken(id, Optional.of(taken), -1));
    }
    edits.add(
        new FinishesEdit.PutFile(
            groups(house.groups(), file.groups()), merged(house.unread(), file.unread())));
    return new FinishesEdit.Group(edits);
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
        notes.add(
            token.name()
                + " is a "
                + token.type().word()
                + " in the file and a "
                + house.get().type().word()
                + " in the house; left as it is");
      } else {
        StyleValue value = pointed(token.value(), idOf);
        boolean same = value.equals(house.get().value());
        if (!same || site.ownValue(house.get().id()).isPresent()) {
          values.put(house.get().id(), same ? Optional.empty() : Optional.of(value));
        }
      }
    }
    return new ForSite(values, notes);
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
