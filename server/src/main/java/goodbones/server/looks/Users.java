package goodbones.server.looks;

import goodbones.document.References;
import goodbones.server.finishes.AllFinishes;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** Who refers to a token, a named style or a scheme. */
@Component
class Users {
  private final Pieces pieces;
  private final Sites sites;

  Users(Pieces pieces, Sites sites) {
    this.pieces = pieces;
    this.sites = sites;
  }

  /** The documents and the sites' own finishes that refer to a token, in words. */
  List<String> ofToken(String id, AllFinishes finishes) {
    List<String> users = new ArrayList<>(finishes.house().referringTo(id));
    for (SiteInfo site : sites.all()) {
      AllFinishes.Own own = finishes.own(site.id());
      boolean refers =
          own.values().containsKey(id)
              || own.values().values().stream()
                  .anyMatch(v -> v.refs().stream().anyMatch(r -> r.tokenId().equals(id)))
              || own.styles().values().stream()
                  .flatMap(s -> s.styles().values().stream())
                  .anyMatch(v -> v.refs().stream().anyMatch(r -> r.tokenId().equals(id)));
      if (refers) {
        users.add("the own values of " + site.name());
      }
    }
    users.addAll(documents(references -> references.tokens().contains(id)));
    return users;
  }

  /** The documents and named styles that have a named style, in words. */
  List<String> ofStyle(String id, AllFinishes finishes) {
    List<String> users = new ArrayList<>();
    finishes.house().namedStyles().stream()
        .filter(style -> style.basedOn().filter(id::equals).isPresent())
        .forEach(style -> users.add("the named style “" + style.name() + "”"));
    users.addAll(documents(references -> references.namedStyles().contains(id)));
    return users;
  }

  List<String> ofScheme(String id) {
    return documents(references -> references.schemes().contains(id));
  }

  private List<String> documents(Function<References, Boolean> refers) {
    Set<String> users = new LinkedHashSet<>();
    for (PieceState piece : pieces.all()) {
      if (refers.apply(References.of(piece.root()))) {
        users.add("the piece “" + piece.name() + "”");
      }
      for (SiteInfo site : sites.all()) {
        int adopted = sites.adopted(site.id()).revisions().getOrDefault(piece.id(), 0);
        if (adopted > 0
            && refers.apply(References.of(pieces.revision(piece.id(), adopted).root()))) {
          users.add("revision " + adopted + " of “" + piece.name() + "”, shown at " + site.name());
        }
      }
    }
    for (SiteInfo site : sites.all()) {
      for (PageState page : sites.pages(site.id())) {
        if (refers.apply(References.of(page.root()))) {
          users.add("the page “" + page.title() + "” of " + site.name());
        }
      }
    }
    return List.copyOf(users);
  }
}
