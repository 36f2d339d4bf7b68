package goodbones.server.reach;

import goodbones.document.StyleValue;
import goodbones.library.Adopted;
import goodbones.server.library.Pieces;
import goodbones.server.library.Referred;
import goodbones.server.library.Referrer;
import goodbones.server.library.UsageIndex;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.AllFinishes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Who refers to a token, a named style, a scheme or a picture; no document is read for it. */
@Component
public class Users {
  private final Pieces pieces;
  private final UsageIndex usage;
  private final Sites sites;

  Users(Pieces pieces, UsageIndex usage, Sites sites) {
    this.pieces = pieces;
    this.usage = usage;
    this.sites = sites;
  }

  /** Who refers to what at one moment. */
  public final class Now {
    private final AllFinishes finishes;
    private final Map<String, String> clients = new LinkedHashMap<>();
    private final Map<String, String> names = pieces.names();
    private final Map<String, Integer> currents = pieces.currents();
    private final Map<String, Set<String>> seen;

    private Now(AllFinishes finishes) {
      this.finishes = finishes;
      for (SiteInfo site : sites.all()) {
        clients.put(site.id(), site.name());
      }
      this.seen = usage.seen(shown());
    }

    /** Where revisions are shown: as the current ones, at sites, and where they are held. */
    private Map<String, Map<Integer, Set<String>>> shown() {
      Map<String, Map<Integer, Set<String>>> shown = new HashMap<>();
      currents.forEach((piece, number) -> where(shown, piece, number));
      Map<String, Adopted> adopted = sites.adopted();
      clients.forEach(
          (site, name) ->
              adopted
                  .getOrDefault(site, new Adopted(Map.of()))
                  .revisions()
                  .forEach((piece, number) -> where(shown, piece, number).add(name)));
      usage
          .stays()
          .forEach(
              stay ->
                  where(shown, stay.pieceId(), stay.revision())
                      .add(clients.getOrDefault(stay.siteId(), "")));
      return shown;
    }

    private static Set<String> where(
        Map<String, Map<Integer, Set<String>>> shown, String piece, int number) {
      return shown
          .computeIfAbsent(piece, id -> new HashMap<>())
          .computeIfAbsent(number, n -> new TreeSet<>());
    }

    /** What in the finishes refers to a token, in words. */
    List<String> finishesOfToken(String id) {
      List<String> users = new ArrayList<>(finishes.house().referringTo(id));
      users.addAll(
          own(
              own ->
                  own.values().values().stream().anyMatch(value -> refers(value, id))
                      || own.styles().values().stream()
                          .flatMap(style -> style.styles().values().stream())
                          .anyMatch(value -> refers(value, id))));
      return users;
    }

    /** The clients of whose own finishes something is so, in words. */
    private List<String> own(Predicate<AllFinishes.Own> isSo) {
      return clients.entrySet().stream()
          .filter(client -> isSo.test(finishes.own(client.getKey())))
          .map(client -> "the own values of " + client.getValue())
          .toList();
    }

    /** The named styles that build on one, in words. */
    List<String> finishesOfStyle(String id) {
      return finishes.house().namedStyles().stream()
          .filter(style -> style.basedOn().filter(id::equals).isPresent())
          .map(style -> "the named style “" + style.name() + "”")
          .toList();
    }

    /** The clients with a value of their own for a token, and all that refers to it, in words. */
    public List<String> ofToken(String id) {
      return together(
          Stream.of(
              finishesOfToken(id),
              own(own -> own.values().containsKey(id)),
              documents(Referred.TOKEN, id)));
    }

    /** The named styles and documents that have a named style, in words. */
    public List<String> ofStyle(String id) {
      return together(Stream.of(finishesOfStyle(id), documents(Referred.STYLE, id)));
    }

    private static List<String> together(Stream<List<String>> some) {
      return some.flatMap(List::stream).distinct().toList();
    }

    public List<String> ofScheme(String id) {
      return documents(Referred.SCHEME, id);
    }

    private List<String> documents(Referred kind, String id) {
      Set<String> words = new LinkedHashSet<>();
      for (Referrer referrer : usage.referring(kind, id)) {
        String name = names.getOrDefault(referrer.ownerId(), referrer.ownerId());
        boolean current =
            referrer.revision() == 0
                || referrer.revision() == currents.getOrDefault(referrer.ownerId(), 0);
        if (referrer.isPage()) {
          words.add(
              "the page “"
                  + sites.pageTitle(referrer.ownerId())
                  + "” of "
                  + clients.getOrDefault(referrer.siteId(), ""));
        } else if (current) {
          words.add("the piece “" + name + "”");
        } else {
          // What nobody shows any more is history, and keeps nothing in use.
          Set<String> where = seen.get(UsageIndex.name(referrer.ownerId(), referrer.revision()));
          if (where != null) {
            String revision = "revision " + referrer.revision() + " of “" + name + "”";
            words.add(
                where.isEmpty()
                    ? revision + ", bound in another piece"
                    : revision + ", shown at " + String.join(", ", where));
          }
        }
      }
      return List.copyOf(words);
    }
  }

  private static boolean refers(StyleValue value, String tokenId) {
    return value.refs().stream().anyMatch(ref -> ref.tokenId().equals(tokenId));
  }

  public Now now(AllFinishes finishes) {
    return new Now(finishes);
  }
}
