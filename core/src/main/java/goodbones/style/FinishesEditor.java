package goodbones.style;

import goodbones.document.Kind;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** Carries edits of the house's finishes out, and makes the edits that take several steps. */
public final class FinishesEditor {

  /** Finishes after an edit, and the edit that undoes it. */
  public record Edited(Finishes finishes, FinishesEdit inverse) {}

  private FinishesEditor() {}

  /**
   * Carries an edit out. The finishes given are not modified.
   *
   * @throws TokenProblem if a name is taken, or something could not be looked up afterwards
   */
  public static Edited apply(Finishes finishes, FinishesEdit edit) {
    Edited edited = carryOut(finishes, edit);
    requireNames(edited.finishes());
    Soundness.require(
        new SiteFinishes(finishes, Map.of()), new SiteFinishes(edited.finishes(), Map.of()));
    return edited;
  }

  private static Edited carryOut(Finishes finishes, FinishesEdit edit) {
    if (edit instanceof FinishesEdit.PutToken e) {
      int at = indexOf(finishes.tokens(), Token::id, e.id());
      return new Edited(
          finishes.withTokens(put(finishes.tokens(), at, e.token(), e.index())),
          new FinishesEdit.PutToken(e.id(), finishes.token(e.id()), at));
    } else if (edit instanceof FinishesEdit.PutNamedStyle e) {
      int at = indexOf(finishes.namedStyles(), NamedStyle::id, e.id());
      return new Edited(
          finishes.withNamedStyles(put(finishes.namedStyles(), at, e.style(), e.index())),
          new FinishesEdit.PutNamedStyle(e.id(), finishes.namedStyle(e.id()), at));
    } else if (edit instanceof FinishesEdit.PutScheme e) {
      int at = indexOf(finishes.schemes(), Scheme::id, e.id());
      return new Edited(
          finishes.withSchemes(put(finishes.schemes(), at, e.scheme(), e.index())),
          new FinishesEdit.PutScheme(e.id(), finishes.scheme(e.id()), at));
    } else if (edit instanceof FinishesEdit.PutDefault e) {
      return putDefault(finishes, e);
    } else if (edit instanceof FinishesEdit.PutFile e) {
      return new Edited(
          finishes.withFile(e.groups(), e.unread()),
          new FinishesEdit.PutFile(finishes.groups(), finishes.unread()));
    }
    List<FinishesEdit> inverses = new ArrayList<>();
    Finishes now = finishes;
    List<FinishesEdit> edits = ((FinishesEdit.Group) edit).edits();
    for (int i = 0; i < edits.size(); ) {
      List<FinishesEdit.PutToken> tokens = tokensFrom(edits, i);
      if (tokens.size() > 1) {
        now = now.withTokens(put(now.tokens(), tokens, inverses));
        i += tokens.size();
        continue;
      }
      Edited edited = carryOut(now, edits.get(i));
      now = edited.finishes();
      inverses.add(edited.inverse());
      i++;
    }
    Collections.reverse(inverses);
    return new Edited(now, new FinishesEdit.Group(inverses));
  }

  /** The edits of tokens that follow each other in a group. */
  private static List<FinishesEdit.PutToken> tokensFrom(List<FinishesEdit> edits, int from) {
    List<FinishesEdit.PutToken> tokens = new ArrayList<>();
    for (int i = from; i < edits.size() && edits.get(i) instanceof FinishesEdit.PutToken put; i++) {
      tokens.add(put);
    }
    return tokens;
  }

  /** Many tokens at once, such as a file's: as if one after the other, but in one go. */
  private static List<Token> put(
      List<Token> before, List<FinishesEdit.PutToken> edits, List<FinishesEdit> inverses) {
    List<Token> tokens = new ArrayList<>(before);
    Map<String, Integer> places = places(tokens);
    for (FinishesEdit.PutToken e : edits) {
      int at = places.getOrDefault(e.id(), -1);
      Optional<Token> old = at < 0 ? Optional.empty() : Optional.of(tokens.get(at));
      inverses.add(new FinishesEdit.PutToken(e.id(), old, at));
      boolean inPlace = e.token().isPresent() && at >= 0;
      boolean atTheEnd =
          e.token().isPresent() && at < 0 && (e.index() < 0 || e.index() >= tokens.size());
      if (inPlace) {
        tokens.set(at, e.token().get());
      } else if (atTheEnd) {
        places.put(e.id(), tokens.size());
        tokens.add(e.token().get());
      } else if (e.token().isEmpty() && at >= 0 && at == tokens.size() - 1) {
        tokens.remove(at);
        places.remove(e.id());
      } else {
        tokens = put(tokens, at, e.token(), e.index());
        places = places(tokens);
      }
    }
    return tokens;
  }

  private static Map<String, Integer> places(List<Token> tokens) {
    Map<String, Integer> places = new HashMap<>();
    for (int i = 0; i < tokens.size(); i++) {
      places.put(tokens.get(i).id(), i);
    }
    return places;
  }

  private static Edited putDefault(Finishes finishes, FinishesEdit.PutDefault e) {
    Map<Kind, Map<StyleKey, StyleValue>> defaults = new HashMap<>(finishes.defaults());
    Map<StyleKey, StyleValue> kind = new HashMap<>(defaults.getOrDefault(e.kind(), Map.of()));
    Optional<StyleValue> before = Optional.ofNullable(kind.get(e.key()));
    e.value().ifPresentOrElse(v -> kind.put(e.key(), v), () -> kind.remove(e.key()));
    defaults.put(e.kind(), kind);
    defaults.values().removeIf(Map::isEmpty);
    Finishes changed =
        new Finishes(
            finishes.revision(),
            finishes.tokens(),
            finishes.namedStyles(),
            finishes.schemes(),
            defaults,
            finishes.groups(),
            finishes.unread(),
            finishes.tabletLimit(),
            finishes.phoneLimit());
    return new Edited(changed, new FinishesEdit.PutDefault(e.kind(), e.key(), before));
  }

  private static <T> int indexOf(List<T> list, Function<T, String> id, String wanted) {
    for (int i = 0; i < list.size(); i++) {
      if (id.apply(list.get(i)).equals(wanted)) {
        return i;
      }
    }
    return -1;
  }

  private static <T> List<T> put(List<T> list, int at, Optional<T> value, int index) {
    List<T> copy = new ArrayList<>(list);
    if (value.isEmpty()) {
      if (at >= 0) {
        copy.remove(at);
      }
    } else if (at >= 0) {
      copy.set(at, value.get());
    } else {
      copy.add(index < 0 || index > copy.size() ? copy.size() : index, value.get());
    }
    return copy;
  }

  private static void requireNames(Finishes finishes) {
    Map<String, Token> byName = new HashMap<>();
    for (Token token : finishes.tokens()) {
      if (byName.put(token.name(), token) != null) {
        throw new TokenProblem(
            "There is a token " + token.name() + " already; give it another name",
            List.of(token.name()));
      }
    }
    Map<String, NamedStyle> styles = new HashMap<>();
    for (NamedStyle style : finishes.namedStyles()) {
      if (style.name().isBlank() || styles.put(style.name(), style) != null) {
        throw new TokenProblem(
            style.name().isBlank()
                ? "A named style needs a name"
                : "There is a named style “" + style.name() + "” already; give it another name",
            List.of());
      }
    }
  }

  /** Renames a token; everything that refers to it goes on doing so. */
  public static FinishesEdit rename(Finishes finishes, String id, String name) {
    return new FinishesEdit.PutToken(id, Optional.of(token(finishes, id).withName(name)), -1);
  }

  /** Gives a token another value. */
  public static FinishesEdit value(Finishes finishes, String id, StyleValue value) {
    return new FinishesEdit.PutToken(id, Optional.of(token(finishes, id).withValue(value)), -1);
  }

  /** Takes a token away. */
  public static FinishesEdit remove(String id) {
    return new FinishesEdit.PutToken(id, Optional.empty(), -1);
  }

  /**
   * Puts one token in place of another: the finishes refer to the new one directly; the old one is
   * retired and leads to the new one, for documents that still refer to it.
   *
   * @throws TokenProblem if they are of different types, or are the same
   */
  public static FinishesEdit replace(Finishes finishes, String id, String by) {
    Token old = token(finishes, id);
    Token substitute = token(finishes, by);
    if (old.type() != substitute.type() || id.equals(by)) {
      throw new TokenProblem(
          "Put another "
              + old.type().word()
              + " in place of "
              + old.name()
              + "; "
              + substitute.name()
              + (id.equals(by) ? " is the same token" : " is a " + substitute.type().word()),
          List.of(old.name(), substitute.name()));
    }
    Function<StyleValue, StyleValue> pointed =
        value ->
            value.map(
                ref -> ref.tokenId().equals(id) ? new StyleValue.TokenRef(by, ref.part()) : ref);
    List<FinishesEdit> edits = new ArrayList<>();
    for (Token token : finishes.tokens()) {
      if (token.id().equals(id)) {
        StyleValue own = by(substitute, id) ? old.value() : StyleValue.token(by);
        edits.add(
            new FinishesEdit.PutToken(
                id, Optional.of(token.withValue(StyleValue.token(by)).withRetired(true)), -1));
        if (by(substitute, id)) {
          edits.add(new FinishesEdit.PutToken(by, Optional.of(substitute.withValue(own)), -1));
        }
      } else if (Finishes.refers(token.value(), id) && !token.id().equals(by)) {
        edits.add(
            new FinishesEdit.PutToken(
                token.id(), Optional.of(token.withValue(pointed.apply(token.value()))), -1));
      }
    }
    for (NamedStyle style : finishes.namedStyles()) {
      edits.add(
          new FinishesEdit.PutNamedStyle(
              style.id(), Optional.of(style.withStyles(mapped(style.styles(), pointed))), -1));
    }
    for (Scheme scheme : finishes.schemes()) {
      edits.add(
          new FinishesEdit.PutScheme(
              scheme.id(),
              Optional.of(
                  new Scheme(
                      scheme.id(), scheme.name(), moved(mapped(scheme.values(), pointed), id, by))),
              -1));
    }
    finishes
        .defaults()
        .forEach(
            (kind, styles) ->
                mapped(styles, pointed)
                    .forEach(
                        (key, value) ->
                            edits.add(new FinishesEdit.PutDefault(kind, key, Optional.of(value)))));
    return new FinishesEdit.Group(edits);
  }

  /** Whether the substitute is itself an alias of what it stands in for. */
  private static boolean by(Token substitute, String id) {
    return Finishes.refers(substitute.value(), id);
  }

  private static <K> Map<K, StyleValue> mapped(
      Map<K, StyleValue> map, Function<StyleValue, StyleValue> change) {
    Map<K, StyleValue> mapped = new HashMap<>();
    map.forEach((key, value) -> mapped.put(key, change.apply(value)));
    return mapped;
  }

  /**
   * What a scheme makes of the old token, it makes of the new one, unless it says something else.
   */
  private static Map<String, StyleValue> moved(
      Map<String, StyleValue> values, String from, String to) {
    StyleValue value = values.remove(from);
    if (value != null && !Finishes.refers(value, to)) {
      values.putIfAbsent(to, value);
    }
    return values;
  }

  private static Token token(Finishes finishes, String id) {
    return finishes
        .token(id)
        .orElseThrow(() -> new TokenProblem("There is no token “" + id + "”", List.of(id)));
  }
}
