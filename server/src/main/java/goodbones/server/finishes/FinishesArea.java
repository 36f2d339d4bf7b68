package goodbones.server.finishes;

import goodbones.document.Node;
import goodbones.document.References;
import goodbones.server.finishes.FinishesViews.FinishesPlan;
import goodbones.server.history.History;
import goodbones.server.library.Pieces;
import goodbones.server.problems.BadInput;
import goodbones.server.reach.Reaching;
import goodbones.server.reach.Users;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.AllFinishes;
import goodbones.style.Finishes;
import goodbones.style.NamedStyle;
import goodbones.style.Scheme;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.survey.Impact;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Edits in the finishes area, releases, and what each site shows. */
@Service
class FinishesArea {
  private static final int MOST_USERS = 6;
  private static final String REPLACE = "put another token in its place instead";
  private final FinishesStore store;
  private final Sites sites;
  private final Pieces pieces;
  private final Reaching reaching;
  private final Users users;
  private final FinishesTable table;

  FinishesArea(
      FinishesStore store,
      Sites sites,
      Pieces pieces,
      Reaching reaching,
      Users users,
      FinishesTable table) {
    this.store = store;
    this.sites = sites;
    this.pieces = pieces;
    this.reaching = reaching;
    this.users = users;
    this.table = table;
  }

  /**
   * Carries an edit out.
   *
   * @throws BadInput if something that is to go is still in use
   */
  @Transactional
  public FinishesViews.Table edit(AskedStep asked, String had) {
    AllFinishes all = store.all();
    ReadStep read = asked.read(new StepAim(all, sites));
    if (asked instanceof TokenStep.RemoveToken removal) {
      // Said before the finishes themselves find an alias that leads nowhere.
      String id = removal.token();
      refuseIfUsed(
          all.house().token(id).map(Token::name).orElse(id), users.now(all).ofToken(id), REPLACE);
    }
    store.edit(read.step(), read.label());
    requireNothingMissed(all);
    return table.now(had);
  }

  /**
   * Refuses what took something away that is still in use; the transaction takes the edit back.
   *
   * @param before the finishes as they were
   */
  void requireNothingMissed(AllFinishes before) {
    AllFinishes after = store.all();
    List<Token> tokens =
        before.house().tokens().stream()
            .filter(token -> after.house().token(token.id()).isEmpty())
            .toList();
    List<Scheme> schemes =
        before.house().schemes().stream()
            .filter(scheme -> after.house().scheme(scheme.id()).isEmpty())
            .toList();
    List<NamedStyle> styles = new ArrayList<>(before.house().namedStyles());
    before.sites().values().forEach(own -> styles.addAll(own.styles().values()));
    styles.removeIf(
        style ->
            after.house().namedStyle(style.id()).isPresent()
                || after.sites().values().stream()
                    .anyMatch(own -> own.styles().containsKey(style.id())));
    if (tokens.isEmpty() && schemes.isEmpty() && styles.isEmpty()) {
      return;
    }
    Users.Now now = users.now(after);
    tokens.forEach(token -> refuseIfUsed(token.name(), now.ofToken(token.id()), REPLACE));
    schemes.forEach(
        scheme ->
            refuseIfUsed(
                "The scheme “" + scheme.name() + "”",
                now.ofScheme(scheme.id()),
                "let the sections take another first"));
    styles.forEach(
        style ->
            refuseIfUsed(
                "The style “" + style.name() + "”",
                now.ofStyle(style.id()),
                "take it off there first"));
  }

  private static void refuseIfUsed(String what, List<String> there, String mend) {
    if (!there.isEmpty()) {
      String more =
          there.size() > MOST_USERS ? " and " + (there.size() - MOST_USERS) + " more" : "";
      throw new BadInput(
          "token",
          what
              + " is still used by "
              + there.stream().limit(MOST_USERS).collect(Collectors.joining(", "))
              + more
              + ": "
              + mend);
    }
  }

  @Transactional
  public FinishesViews.Table turn(History.Way way, String had) {
    AllFinishes before = store.all();
    store.turn(way);
    requireNothingMissed(before);
    return table.now(had);
  }

  /** What each site would show otherwise if it took the draft, or the newest revision. */
  @Transactional(readOnly = true)
  public List<FinishesPlan> plan() {
    AllFinishes all = store.all();
    return sites.all().stream()
        .map(
            site -> {
              Impact impact =
                  reaching.impact(site.id(), store.forSite(site.id()), all.of(site.id()));
              return new FinishesPlan(
                  site.id(),
                  site.name(),
                  store.adopted(site.id()),
                  reaching.view(Map.of(site.id(), impact)));
            })
        .toList();
  }

  /** Releases the draft, and brings some sites to it. */
  @Transactional
  public FinishesViews.Table release(FinishesViews.FinishesRelease request, String had) {
    int revision = store.release(request.note());
    request.sites().forEach(site -> store.adopt(sites.get(site).id(), revision));
    return table.now(had);
  }

  /**
   * Brings a site to a revision, a newer or an older one.
   *
   * @throws BadInput if something at the site refers to what that revision does not have
   */
  @Transactional
  public FinishesViews.Table adopt(String siteId, int revision, String had) {
    SiteInfo site = sites.get(siteId);
    Finishes wanted = store.revision(revision);
    AllFinishes.Own own = store.all().own(siteId);
    List<Node> documents = new ArrayList<>();
    sites.documents(siteId).forEach(page -> documents.add(page.root()));
    sites
        .adopted(siteId)
        .revisions()
        .forEach((piece, number) -> documents.add(pieces.revision(piece, number).root()));
    Set<String> styles = own.styles().keySet();
    List<String> lacking =
        documents.stream()
            .map(References::of)
            .flatMap(references -> wanted.lacks(references).stream())
            .filter(what -> styles.stream().noneMatch(what::endsWith))
            .distinct()
            .toList();
    if (!lacking.isEmpty()) {
      throw new BadInput(
          "revision",
          site.name()
              + " uses "
              + String.join(", ", lacking)
              + ", which revision "
              + revision
              + " does not have; it stays as it is");
    }
    new SiteFinishes(wanted, own.values(), List.copyOf(own.styles().values())).requireSound();
    store.adopt(siteId, revision);
    return table.now(had);
  }
}
