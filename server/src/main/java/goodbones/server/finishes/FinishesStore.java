package goodbones.server.finishes;

import goodbones.document.References;
import goodbones.document.StyleValue;
import goodbones.server.documents.DocumentJson;
import goodbones.server.history.History;
import goodbones.server.memory.Memory;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Stale;
import goodbones.style.AllFinishes;
import goodbones.style.Finishes;
import goodbones.style.FinishesStep;
import goodbones.style.NamedStyle;
import goodbones.style.SiteFinishes;
import goodbones.style.TokenProblem;
import java.time.Clock;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps the house's finishes, their draft and revisions, and what each site has of its own.
 *
 * <p>A site shows the revision that it has adopted, with its own values on top. The draft is shown
 * where drafts are at home: in the finishes and in the library.
 */
@Service
public class FinishesStore {
  private static final Finishes BARE = Finishes.of(List.of(), List.of(), Map.of()).withRevision(0);
  private static final String HISTORY = "finishes";
  private static final int NOTE_LIMIT = 500;

  /** Of the finishes that are remembered. */
  private static final int MOST_TOKENS = 300_000;

  private final HouseFinishesRepository revisions;
  private final FinishesDraftRepository drafts;
  private final SiteValueRepository values;
  private final SiteStyleRepository styles;
  private final AdoptedFinishesRepository adopted;
  private final History history;
  private final Clock clock;

  private final Memory<Integer, Finishes> revised =
      new Memory<>(MOST_TOKENS, FinishesStore::tokens);
  private final Memory<Long, AllFinishes> drafted =
      new Memory<>(MOST_TOKENS, all -> tokens(all.house()));
  private final Memory<Shown, SiteFinishes> shown =
      new Memory<>(MOST_TOKENS, site -> tokens(site.house()));

  /** What a site shows changes with the stamp only. */
  private record Shown(String siteId, long stamp) {}

  FinishesStore(
      HouseFinishesRepository revisions,
      FinishesDraftRepository drafts,
      SiteValueRepository values,
      SiteStyleRepository styles,
      AdoptedFinishesRepository adopted,
      History history,
      Clock clock) {
    this.revisions = revisions;
    this.drafts = drafts;
    this.values = values;
    this.styles = styles;
    this.adopted = adopted;
    this.history = history;
    this.clock = clock;
  }

  /** The number of the newest revision; 0 before the first. */
  @Transactional(readOnly = true)
  public int current() {
    return revisions.findFirstByOrderByRevisionDesc().map(HouseFinishes::revision).orElse(0);
  }

  /**
   * A revision of the house's finishes.
   *
   * @throws BadInput if there is none of that number
   */
  @Transactional(readOnly = true)
  public Finishes revision(int number) {
    if (number == 0) {
      return BARE;
    }
    return revised.get(
        number,
        () ->
            revisions
                .findById(number)
                .map(kept -> DocumentJson.read(kept.document(), Finishes.class))
                .orElseThrow(
                    () ->
                        new BadInput(
                            "revision",
                            "There is no revision " + number + " of the house’s finishes")));
  }

  @Transactional(readOnly = true)
  public List<FinishesRevision> revisions() {
    return revisions.findAllByOrderByRevisionDesc().stream().map(HouseFinishes::info).toList();
  }

  /** The house's finishes as they are being worked on. */
  @Transactional(readOnly = true)
  public Finishes draft() {
    return all().house();
  }

  /** Whether the draft differs from the newest revision. */
  @Transactional(readOnly = true)
  public boolean hasDraft() {
    Finishes current = revision(current());
    return !draft().withRevision(current.revision()).equals(current);
  }

  /** Changes whenever anything in the finishes does. */
  @Transactional(readOnly = true)
  public long stamp() {
    return drafts.findById(FinishesDraft.ONLY).map(FinishesDraft::edits).orElse(0L);
  }

  /**
   * @param version the one that somebody saw, of {@link #stamp}
   * @throws Stale if the finishes were changed since
   */
  @Transactional(readOnly = true)
  public void requireVersion(long version) {
    if (version != stamp()) {
      throw new Stale("The finishes");
    }
  }

  /** The draft with every site's own. */
  @Transactional(readOnly = true)
  public AllFinishes all() {
    return drafted.get(
        stamp(),
        () -> {
          Finishes draft =
              drafts
                  .findById(FinishesDraft.ONLY)
                  .map(kept -> DocumentJson.read(kept.document(), Finishes.class))
                  .orElseGet(() -> revision(current()));
          return new AllFinishes(draft, owns());
        });
  }

  private static int tokens(Finishes finishes) {
    return finishes.tokens().size();
  }

  private Map<String, AllFinishes.Own> owns() {
    Map<String, Map<String, StyleValue>> ownValues = new HashMap<>();
    values
        .findAll()
        .forEach(
            v ->
                ownValues
                    .computeIfAbsent(v.id().siteId(), s -> new HashMap<>())
                    .put(v.id().tokenId(), StyleValue.parse(v.stored())));
    Map<String, Map<String, NamedStyle>> ownStyles = new HashMap<>();
    styles
        .findAll()
        .forEach(
            s ->
                ownStyles
                    .computeIfAbsent(s.id().siteId(), site -> new LinkedHashMap<>())
                    .put(s.id().styleId(), DocumentJson.read(s.document(), NamedStyle.class)));
    Map<String, AllFinishes.Own> owns = new HashMap<>();
    ownValues.forEach(
        (site, own) ->
            owns.put(site, new AllFinishes.Own(own, ownStyles.getOrDefault(site, Map.of()))));
    ownStyles.forEach((site, own) -> owns.putIfAbsent(site, new AllFinishes.Own(Map.of(), own)));
    return owns;
  }

  /** The finishes as a site shows them: the revision that it has adopted, and its own on top. */
  @Transactional(readOnly = true)
  public SiteFinishes forSite(String siteId) {
    return shown.get(new Shown(siteId, stamp()), () -> forSite(siteId, adopted(siteId)));
  }

  /** The finishes as a site would show them with another revision of the house's. */
  @Transactional(readOnly = true)
  public SiteFinishes forSite(String siteId, int revision) {
    return all().on(siteId, revision(revision));
  }

  /** The house's draft with a site's own on top; the draft alone for an empty id. */
  @Transactional(readOnly = true)
  public SiteFinishes draftFor(String siteId) {
    return all().of(siteId);
  }

  /** The revision that a site shows; the newest where it has adopted none yet. */
  @Transactional(readOnly = true)
  public int adopted(String siteId) {
    return adopted.findById(siteId).map(AdoptedFinishes::revision).orElseGet(this::current);
  }

  /**
   * Requires that a site shows finishes that have all that something refers to.
   *
   * @param needed the revision of the finishes that has it
   * @param what is to be shown, for whoever reads the refusal
   * @throws BadInput if it shows an older one
   */
  @Transactional(readOnly = true)
  public void requireShown(String siteId, String siteName, int needed, String what) {
    if (needed > adopted(siteId)) {
      throw new BadInput(
          "piece",
          what
              + " needs revision "
              + needed
              + " of the finishes, and "
              + siteName
              + " shows an older one: bring the site to it in Finishes first");
    }
  }

  /** Switches the revision that a site shows. */
  @Transactional
  public void adopt(String siteId, int revision) {
    revision(revision);
    adopted.save(new AdoptedFinishes(siteId, revision));
    touch();
  }

  private void touch() {
    FinishesDraft draft = kept();
    draft.write(draft.document());
    drafts.save(draft);
  }

  private FinishesDraft kept() {
    return drafts
        .findById(FinishesDraft.ONLY)
        .orElseGet(() -> new FinishesDraft(DocumentJson.write(draft())));
  }

  /** Keeps finishes as the next revision, without a draft in between. */
  @Transactional
  public void keep(Finishes finishes, String note) {
    int number = current() + 1;
    Finishes numbered = finishes.withRevision(number);
    revisions.save(new HouseFinishes(number, DocumentJson.write(numbered), note, clock.instant()));
    FinishesDraft draft = kept();
    draft.write(DocumentJson.write(numbered));
    drafts.save(draft);
  }

  /**
   * Releases the draft as the next revision. Every site goes on showing what it has adopted.
   *
   * @return the new revision's number
   * @throws BadInput if nothing has changed, or the note is missing or too long
   */
  @Transactional
  public int release(String note) {
    if (!hasDraft()) {
      throw new BadInput(
          "draft",
          "Nothing has changed since revision " + current() + "; there is nothing to release");
    }
    String trimmed = note.strip();
    if (trimmed.isEmpty() || trimmed.length() > NOTE_LIMIT) {
      throw new BadInput(
          "note",
          trimmed.isEmpty()
              ? "Say in a few words what is new"
              : "The note has " + trimmed.length() + " characters; at most 500 fit");
    }
    keep(draft(), trimmed);
    return current();
  }

  /**
   * The oldest revision that has everything a document refers to.
   *
   * @throws BadInput if even the newest has not, because it stands in the draft only
   */
  @Transactional(readOnly = true)
  public int needed(References wanted) {
    List<String> lacking = revision(current()).lacks(wanted);
    if (!lacking.isEmpty()) {
      throw new BadInput(
          "finishes",
          "It uses "
              + String.join(", ", named(lacking))
              + ", which no revision of the finishes has yet: release the finishes first");
    }
    int number = current();
    while (number > 1 && revision(number - 1).lacks(wanted).isEmpty()) {
      number--;
    }
    return number;
  }

  private List<String> named(List<String> lacking) {
    Finishes draft = draft();
    return lacking.stream()
        .map(
            what -> {
              String id = what.substring(what.lastIndexOf(' ') + 1);
              String name =
                  draft
                      .token(id)
                      .map(t -> t.name())
                      .or(() -> draft.namedStyle(id).map(s -> "“" + s.name() + "”"))
                      .or(() -> draft.scheme(id).map(s -> "“" + s.name() + "”"))
                      .orElse(id);
              return what.substring(0, what.lastIndexOf(' ') + 1) + name;
            })
        .toList();
  }

  /**
   * Carries a step out and keeps it, with its inverse in the history.
   *
   * @throws goodbones.style.TokenProblem if something could not be looked up afterwards
   */
  @Transactional
  public void edit(FinishesStep step, String label) {
    history.made(HISTORY, label, carryOut(step));
  }

  /** Carries a step out without noting it in the history. */
  @Transactional
  public void put(FinishesStep step) {
    carryOut(step);
  }

  /** What undo would undo; empty if there is nothing. */
  public Optional<String> toUndo() {
    return history.toUndo(HISTORY);
  }

  /** What redo would redo; empty if there is nothing. */
  public Optional<String> toRedo() {
    return history.toRedo(HISTORY);
  }

  @Transactional
  public void turn(History.Way way) {
    history.turn(way, HISTORY, FinishesStep.class, this::carryOut);
  }

  private FinishesStep carryOut(FinishesStep step) {
    AllFinishes before = all();
    AllFinishes.Edited edited = before.after(step);
    requireShowable(step, edited.finishes());
    write(step);
    FinishesDraft draft = kept();
    draft.write(DocumentJson.write(edited.finishes().house()));
    drafts.save(draft);
    drafted.put(draft.edits(), edited.finishes());
    return edited.inverse();
  }

  /** A site goes on showing the revision that it has adopted, so its own must be sound on that. */
  private void requireShowable(FinishesStep step, AllFinishes after) {
    if (step instanceof FinishesStep.Site site) {
      int adopted = adopted(site.siteId());
      try {
        after.on(site.siteId(), revision(adopted)).requireSound();
      } catch (TokenProblem problem) {
        throw new TokenProblem(
            "The site shows revision "
                + adopted
                + " of the finishes, and there: "
                + problem.getMessage()
                + ". Bring the site to a revision that has it first",
            problem.chain());
      }
    } else if (step instanceof FinishesStep.Several several) {
      several.steps().forEach(each -> requireShowable(each, after));
    }
  }

  private void write(FinishesStep step) {
    if (step instanceof FinishesStep.Site site) {
      site.values()
          .forEach(
              (token, value) -> {
                SiteValue.Key key = new SiteValue.Key(site.siteId(), token);
                value.ifPresentOrElse(
                    v -> values.save(new SiteValue(key, v.toString())),
                    () -> values.deleteById(key));
              });
      site.styles()
          .forEach(
              (id, style) -> {
                SiteStyle.Key key = new SiteStyle.Key(site.siteId(), id);
                style.ifPresentOrElse(
                    s -> styles.save(new SiteStyle(key, DocumentJson.write(s))),
                    () -> styles.deleteById(key));
              });
    } else if (step instanceof FinishesStep.Several several) {
      several.steps().forEach(this::write);
    }
  }
}
