package goodbones.server.reach;

import goodbones.document.References;
import goodbones.document.StyleValue;
import goodbones.server.library.PieceState;
import goodbones.server.library.Pieces;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.AllFinishes;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;

/** Who refers to a token, a named style or a scheme. */
@Component
public class Users {
  private final Pieces pieces;
  private final Sites sites;

  Users(Pieces pieces, Sites sites) {
    this.pieces = pieces;
    this.sites = sites;
  }

  /** A document, in words, and what it refers to. */
  private record Document(String words, References references) {}

  /** Who refers to what at one moment; every document is looked through once. */
  public final class Now {
    private final AllFinishes finishes;
    private final List<SiteInfo> clients = sites.all();
    private final List<Document> documents = documents(clients);

    private Now(AllFinishes finishes) {
      this.finishes = finishes;
    }

    /** The documents and the sites' own finishes that refer to a token, in words. */
    public List<String> ofToken(String id) {
      List<String> users = new ArrayList<>(finishes.house().referringTo(id));
      for (SiteInfo site : clients) {
        AllFinishes.Own own = finishes.own(site.id());
        boolean refers =
            own.values().containsKey(id)
                || own.values().values().stream().anyMatch(value -> refers(value, id))
                || own.styles().values().stream()
                    .flatMap(style -> style.styles().values().stream())
                    .anyMatch(value -> refers(value, id));
        if (refers) {
          users.add("the own values of " + site.name());
        }
      }
      users.addAll(documentsThat(references -> references.tokens().contains(id)));
      return users;
    }

    /** The documents and named styles that have a named style, in words. */
    public List<String> ofStyle(String id) {
      List<String> users = new ArrayList<>();
      finishes.house().namedStyles().stream()
          .filter(style -> style.basedOn().filter(id::equals).isPresent())
          .forEach(style -> users.add("the named style “" + style.name() + "”"));
      users.addAll(documentsThat(references -> references.namedStyles().contains(id)));
      return users;
    }

    public List<String> ofScheme(String id) {
      return documentsThat(references -> references.schemes().contains(id));
    }

    private List<String> documentsThat(Predicate<References> refer) {
      return documents.stream()
          .filter(document -> refer.test(document.references()))
          .map(Document::words)
          .distinct()
          .toList();
    }
  }

  private static boolean refers(StyleValue value, String tokenId) {
    return value.refs().stream().anyMatch(ref -> ref.tokenId().equals(tokenId));
  }

  public Now now(AllFinishes finishes) {
    return new Now(finishes);
  }

  private List<Document> documents(List<SiteInfo> clients) {
    List<Document> documents = new ArrayList<>();
    for (PieceState piece : pieces.all()) {
      documents.add(new Document("the piece “" + piece.name() + "”", References.of(piece.root())));
      for (SiteInfo site : clients) {
        int adopted = sites.adopted(site.id()).revisions().getOrDefault(piece.id(), 0);
        if (adopted > 0) {
          documents.add(
              new Document(
                  "revision " + adopted + " of “" + piece.name() + "”, shown at " + site.name(),
                  References.of(pieces.expanded(piece.id(), adopted).root())));
        }
      }
    }
    for (SiteInfo site : clients) {
      for (PageState page : sites.pages(site.id())) {
        documents.add(
            new Document(
                "the page “" + page.title() + "” of " + site.name(), References.of(page.root())));
      }
    }
    return documents;
  }
}
