package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Catalogue;
import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.library.Adopted;
import goodbones.library.AsksFirst;
import goodbones.library.Exchange;
import goodbones.library.PageEditor;
import goodbones.library.Placements;
import goodbones.library.Shown;
import goodbones.library.SiteFillings;
import goodbones.structure.Copies;
import goodbones.style.Finishes;
import goodbones.style.SiteFinishes;
import goodbones.testing.Shelf;
import goodbones.testing.Trees;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;

/**
 * Three sites with two pages each, and a library whose pieces stand in each other to depth four.
 * Everything that can happen to them happens in a random order.
 */
final class Agency {
  static final SiteFinishes BARE =
      new SiteFinishes(Finishes.of(List.of(), List.of(), Map.of()), Map.of());
  static final List<String> PIECES = List.of("leaf", "card", "group", Scene.PIECE);

  /** A page with what was done on it. */
  static final class OnePage {
    final String id;
    Node root;
    final Deque<Edit> done = new ArrayDeque<>();
    final Deque<Edit> undone = new ArrayDeque<>();

    OnePage(String id, Node root) {
      this.id = id;
      this.root = root;
    }
  }

  /** A site with what it has adopted. */
  static final class OneSite {
    final String id;
    final List<OnePage> pages = new ArrayList<>();
    Adopted adopted = new Adopted(Map.of(), SiteFillings.NONE);

    OneSite(String id) {
      this.id = id;
    }
  }

  final Shelf shelf;
  final Random random;
  final List<OneSite> sites = new ArrayList<>();
  final List<Rollout> rollouts = new ArrayList<>();
  final Map<String, Integer> happened = new TreeMap<>();
  final Reviewed reviewed;
  private final AgencyHands hands;
  final AgencyLibrary library;
  private final Trees own;
  int next;

  Agency(long seed) {
    // Every piece has others in it but the innermost.
    Scene scene = new Scene(seed % 3 == 0 ? seed * 3 + 1 : seed, 0);
    shelf = scene.shelf;
    random = new Random(seed);
    library =
        new AgencyLibrary(
            shelf, PIECES, random, new Trees(seed * 17 + 3, "r").withLists(), happened);
    own = new Trees(seed * 31 + 5, "o");
    own.place(List.of(shelf.placeable("leaf"), shelf.placeable("card")));
    reviewed = new Reviewed(shelf);
    hands = new AgencyHands(this);
    for (String id : List.of("a", "b", "c")) {
      OneSite site = new OneSite(id);
      Map<String, Integer> revisions = new HashMap<>();
      PIECES.forEach(piece -> revisions.put(piece, shelf.current(piece)));
      site.adopted = new Adopted(revisions);
      site.pages.add(page(id + "1", List.of(Scene.PIECE, "card")));
      site.pages.add(page(id + "2", List.of("group", "leaf")));
      // What stands around the pages is a document like them.
      site.pages.add(page(id + "-shared", List.of("card")));
      sites.add(site);
      for (OnePage page : site.pages) {
        for (int i = 0; i < 3; i++) {
          tryEdit(site, page);
        }
      }
    }
  }

  private void tryEdit(OneSite site, OnePage page) {
    try {
      edit(site, page);
    } catch (Refused refused) {
      count("refused");
    }
  }

  private OnePage page(String id, List<String> placed) {
    List<Node> sections = new ArrayList<>();
    for (String piece : placed) {
      Node placement = shelf.placing(NodeId.of(id + "-" + piece), piece);
      boolean section = shelf.placeable(piece).root() == Kind.SECTION;
      sections.add(
          section
              ? placement
              : Node.of(NodeId.of(id + "-s-" + piece), Kind.SECTION, "")
                  .withChildren(List.of(placement)));
    }
    return new OnePage(id, Node.of(NodeId.of(id), Kind.PAGE, "").withChildren(sections));
  }

  <T> T pick(List<T> items) {
    return items.get(random.nextInt(items.size()));
  }

  void count(String what) {
    happened.merge(what, 1, Integer::sum);
  }

  PageEditor editor(OneSite site) {
    return new PageEditor(site.adopted, shelf, new Rebasing(shelf, site.adopted));
  }

  Shown shown(OneSite site, OnePage page) {
    return Shown.of(page.root, site.adopted, shelf);
  }

  SiteNow now(OneSite site) {
    return new SiteNow(
        site.id,
        BARE,
        site.adopted,
        site.pages.stream().map(page -> new SiteNow.PageNow(page.id, 1, page.root)).toList());
  }

  /** Does one thing; one that is refused changes nothing. */
  void step() {
    try {
      switch (random.nextInt(22)) {
        case 0, 1 -> release();
        case 2, 3 -> rollOut(pick(PIECES), random.nextInt(3) > 0);
        case 4 -> takeBack();
        case 5 -> hold();
        case 6 -> paste();
        case 7 -> turn(true, pick(sites));
        case 8 -> turn(false, pick(sites));
        case 9 -> forthAgain(pick(sites));
        case 10 -> goBack();
        case 11 -> exchange();
        case 12 -> replace();
        case 13 -> takeSitesWords();
        case 14 -> hands.onPage(pick(sites));
        case 15 -> hands.onPage(pick(sites));
        case 16 -> hands.inLibrary();
        case 17 -> hands.awayOrBack(pick(sites));
        default -> edit();
      }
    } catch (Refused refused) {
      count("refused");
    }
  }

  private void edit() {
    OneSite site = pick(sites);
    edit(site, pick(site.pages));
  }

  private void edit(OneSite site, OnePage page) {
    Shown shown = shown(site, page);
    List<Node> texts =
        shown.root().all().stream().filter(n -> n.content().containsKey("words")).toList();
    Edit edit =
        !texts.isEmpty() && random.nextInt(3) == 0
            ? new Edit.SetContent(pick(texts).id(), "words", Optional.of(unlike()))
            : unlike(own.edit(shown, node -> node.kind() != Kind.PAGE, false));
    Set<Reviewed.What> before = reviewed.values(page.root, site.adopted);
    try {
      carryOut(site, page, editor(site).apply(page.root, edit));
      reviewed.seen(page.root, site.adopted, made(edit, before));
    } catch (AsksFirst asks) {
      count("asked before an edit");
      carryOut(site, page, editor(site).withPagesOwn().apply(page.root, edit));
      reviewed.seen(page.root, site.adopted, each -> true);
    }
    count("edit");
  }

  /** What an edit says itself; what it only brings into sight was seen before or is not. */
  private Predicate<Reviewed.Shown> made(Edit edit, Set<Reviewed.What> before) {
    boolean value =
        edit.steps().stream()
            .anyMatch(
                step ->
                    step instanceof Edit.SetContent
                        || step instanceof Edit.SetStyle
                        || step instanceof Edit.SetVisibility
                        || step instanceof Edit.SetNamedStyles
                        || step instanceof Edit.SetScheme);
    Set<Reviewed.What> known = reviewed.known();
    // What stands where it is moved to says itself what a piece around said of it before.
    return each ->
        value
            ? edit.nodes().contains(each.key().node().within(each.placement()))
                || !before.contains(each.what())
            : before.contains(each.what())
                || !known.contains(each.what())
                || !each.what().isSaidOnce();
  }

  void carryOut(OneSite site, OnePage page, Edited edited) {
    page.root = edited.root();
    page.done.push(edited.inverse());
    page.undone.clear();
    site.adopted = site.adopted.filled(edited.fillings());
  }

  /** Words of a page that nobody else has, so that it is seen if they get lost. */
  private Edit unlike(Edit edit) {
    if (edit instanceof Edit.SetStyle e && e.value().isPresent()) {
      boolean colour = random.nextInt(3) > 0;
      StyleKey key = colour ? StyleKey.of(StyleProperty.COLOR) : e.key();
      return key.property() == StyleProperty.COLOR
          ? new Edit.SetStyle(
              e.node(), key, Optional.of(StyleValue.literal("#%06x".formatted(next++))))
          : e;
    } else if (edit instanceof Edit.SetContent e
        && e.value().orElse(null) instanceof FieldValue.Words) {
      return new Edit.SetContent(e.node(), e.field(), Optional.of(unlike()));
    } else if (edit instanceof Edit.Insert e) {
      return new Edit.Insert(e.parent(), e.index(), unlike(e.subtree()));
    }
    return edit;
  }

  private FieldValue unlike() {
    return new FieldValue.Words("own " + next++);
  }

  private Node unlike(Node tree) {
    Node with = tree.content().containsKey("words") ? tree.withContent("words", unlike()) : tree;
    return with.withChildren(with.children().stream().map(this::unlike).toList());
  }

  /** What was undone is done again after the library changed the same. */
  private void forthAgain(OneSite site) {
    OnePage page = pick(site.pages);
    Node was = page.root;
    turn(true, site, page);
    List<LocalKey> keys = new ArrayList<>();
    Map<NodeId, Placement> now = Placements.of(page.root);
    Placements.of(was)
        .forEach(
            (path, placement) -> {
              keys.addAll(placement.changes().keySet());
              if (now.containsKey(path)) {
                keys.removeAll(now.get(path).changes().keySet());
              }
            });
    if (library.clash(keys)) {
      rollOut(Scene.PIECE, true);
      PIECES.forEach(piece -> rollOut(piece, true));
    }
    turn(false, site, page);
  }

  private void turn(boolean back, OneSite site) {
    turn(back, site, pick(site.pages));
  }

  private void turn(boolean back, OneSite site, OnePage page) {
    Deque<Edit> from = back ? page.done : page.undone;
    if (from.isEmpty()) {
      return;
    }
    Edited edited;
    boolean own = false;
    try {
      edited = editor(site).reapply(page.root, from.peek());
    } catch (AsksFirst asks) {
      count("asked before undo");
      if (random.nextBoolean()) {
        from.pop();
        return;
      }
      edited = editor(site).withPagesOwn().reapply(page.root, from.peek());
      own = true;
    }
    from.pop();
    page.root = edited.root();
    site.adopted = site.adopted.filled(edited.fillings());
    if (own) {
      reviewed.seen(page.root, site.adopted, each -> true);
    }
    (back ? page.undone : page.done).push(edited.inverse());
    count(back ? "undo" : "redo");
  }

  static List<Node> placed(OnePage page) {
    return page.root.all().stream().filter(node -> node.kind() == Kind.PLACEMENT).toList();
  }

  private void hold() {
    OneSite site = pick(sites);
    OnePage page = pick(site.pages);
    List<Node> placed = placed(page);
    if (placed.isEmpty()) {
      return;
    }
    List<Node> pinned =
        placed.stream().filter(n -> n.placement().orElseThrow().pin().isPresent()).toList();
    Node node = pick(pinned.isEmpty() || random.nextBoolean() ? placed : pinned);
    Placement placement = node.placement().orElseThrow();
    boolean follow = placement.pin().isPresent();
    Optional<Pin> pin =
        follow
            ? Optional.empty()
            : Optional.of(new Pin(site.adopted.shownBy(placement), Pin.Reason.HELD));
    carryOut(site, page, editor(site).apply(page.root, new Edit.SetPin(node.id(), pin)));
    count(follow ? "follow" : "hold");
  }

  /** What was copied at one site is put down at another, which may show another revision. */
  private void paste() {
    List<Node> placed = placed(pick(pick(sites).pages));
    OneSite site = pick(sites);
    OnePage page = pick(site.pages);
    if (placed.isEmpty()) {
      return;
    }
    Node placing = pick(placed);
    Placement shown = placing.placement().orElseThrow();
    int number = shownAnywhere(shown);
    Node copy =
        Copies.of(placing.withPlacement(shown.withBound(number)), () -> NodeId.of("copy" + next++));
    if (!site.adopted.revisions().containsKey(shown.pieceId())) {
      site.adopted = site.adopted.with(Map.of(shown.pieceId(), number));
    }
    Node section = Node.of(NodeId.of("for" + next++), Kind.SECTION, "").withChildren(List.of(copy));
    boolean isSection =
        shelf.placeable(copy.placement().orElseThrow().pieceId()).root() == Kind.SECTION;
    Edit edit = new Edit.Insert(page.root.id(), 0, isSection ? copy : section);
    carryOut(site, page, editor(site).apply(page.root, edit));
    count("paste");
  }

  private int shownAnywhere(Placement placement) {
    return sites.stream()
        .filter(
            site ->
                placement.pin().isPresent()
                    || site.adopted.revisions().containsKey(placement.pieceId()))
        .mapToInt(site -> site.adopted.shownBy(placement))
        .findFirst()
        .orElse(placement.bound());
  }

  /** Another piece that could stand where one does. */
  private Optional<String> other(String piece) {
    String by = pick(PIECES);
    boolean fits = shelf.placeable(piece).root() == shelf.placeable(by).root();
    return Optional.of(by).filter(id -> fits && !id.equals(piece));
  }

  private Placement placing(OneSite site, String piece) {
    return Placement.of(piece).withBound(site.adopted.revisions().get(piece));
  }

  private void exchange() {
    OneSite site = pick(sites);
    OnePage page = pick(site.pages);
    List<Node> placed = placed(page);
    if (placed.isEmpty()) {
      return;
    }
    Node node = pick(placed);
    Placement stands = node.placement().orElseThrow();
    other(stands.pieceId())
        .ifPresent(
            by -> {
              Placement after =
                  new Exchange(shelf).of(stands, site.adopted.shownBy(stands), placing(site, by));
              Edit edit = new Edit.SetPlacement(node.id(), after);
              carryOut(site, page, editor(site).apply(page.root, edit));
              count("exchange");
            });
  }

  /** Puts another piece in the place of one on every page; every word is carried or listed. */
  private void replace() {
    String piece = pick(PIECES);
    Optional<String> by = other(piece);
    if (by.isEmpty()) {
      return;
    }
    Map<OnePage, Node> after = new HashMap<>();
    List<Rollout.WrittenStep> written = new ArrayList<>();
    for (OneSite site : sites) {
      for (OnePage page : site.pages) {
        Replacement.Outcome outcome =
            new Replacement(shelf, piece).in(page.root, site.adopted, placing(site, by.get()));
        Catalogue.requireNoneNew(
            shown(site, page).root(), Shown.of(outcome.root(), site.adopted, shelf).root());
        after.put(page, outcome.root());
        written.addAll(Rollout.written(site.id, page.id, page.root, outcome.root()));
      }
    }
    if (!written.isEmpty()) {
      after.forEach((page, root) -> page.root = root);
      rollouts.add(
          new Rollout(
              piece, shelf.current(piece), List.of(), written, List.of(), by.get(), List.of()));
      count("replacement");
    }
  }

  void release() {
    List<LocalKey> changed = new ArrayList<>();
    if (random.nextBoolean()) {
      for (OneSite site : sites) {
        site.pages.forEach(page -> AgencyLibrary.addChanged(page.root, changed));
      }
      library.addChanged(changed);
    }
    library.release(changed);
  }

  /** The library takes away or fixes what sites have filled, and carries that to them. */
  private void takeSitesWords() {
    List<LocalKey> filled = new ArrayList<>();
    sites.forEach(site -> filled.addAll(site.adopted.fillings().filled().keySet()));
    if (library.clash(filled)) {
      PIECES.forEach(piece -> rollOut(piece, false));
    }
  }

  /** Goes back in the library where no site shows the newest revision any more. */
  private void goBack() {
    String piece = pick(PIECES);
    int current = shelf.current(piece);
    boolean shown = sites.stream().anyMatch(site -> site.adopted.revisions().get(piece) >= current);
    if (current > 1 && !shown) {
      library.goBack(piece);
    }
  }

  private Load load(String piece, OneSite site) {
    Set<String> placed = new HashSet<>();
    boolean waits = false;
    for (OnePage page : site.pages) {
      for (Placement placement : Placements.of(page.root).values()) {
        placed.add(placement.pieceId());
        waits |=
            placement.pieceId().equals(piece)
                && placement.pin().filter(p -> p.reason() == Pin.Reason.WAITING).isPresent();
      }
    }
    return Load.at(
        piece,
        shelf.current(piece),
        site.adopted,
        placed,
        waits,
        library.followUps(piece),
        (container, from, to) ->
            library.came(container).stream()
                .filter(c -> c.number() > from && c.number() <= to)
                .toList());
  }

  /**
   * Carries a piece to some of the sites.
   *
   * @param anyhow otherwise every page keeps its own, and nothing of a page may get lost
   */
  private void rollOut(String piece, boolean anyhow) {
    List<Rollout.AdoptedStep> adopted = new ArrayList<>();
    List<Rollout.WrittenStep> written = new ArrayList<>();
    List<Rollout.FilledStep> filled = new ArrayList<>();
    for (OneSite site : sites) {
      Load load = load(piece, site);
      Set<String> accepted = new HashSet<>();
      load.along().stream()
          .filter(along -> random.nextBoolean())
          .forEach(along -> accepted.add(along.pieceId()));
      Map<String, Integer> revisions = load.revisions(accepted);
      if (!revisions.isEmpty() && random.nextInt(3) > 0) {
        carry(site, revisions, anyhow, adopted, written, filled);
      }
    }
    if (!adopted.isEmpty()) {
      rollouts.add(new Rollout(piece, shelf.current(piece), adopted, written, filled));
      count("rollout");
    }
  }

  private void carry(
      OneSite site,
      Map<String, Integer> revisions,
      boolean anyhow,
      List<Rollout.AdoptedStep> adopted,
      List<Rollout.WrittenStep> written,
      List<Rollout.FilledStep> filled) {
    Map<OnePage, Set<String>> before = ownWords(site);
    RolloutPlanner planner = new RolloutPlanner(shelf).withoutLooking();
    RolloutPlan plan = planner.plan(new Release(revisions), now(site), Map.of());
    Map<String, Integer> forSite = new HashMap<>();
    for (SiteQuestion question : plan.questions()) {
      count("asked for a site");
      int answer = anyhow ? random.nextInt(question.choices().size() + 2) : 0;
      if (answer < question.choices().size() + 1) {
        forSite.put(question.id(), answer - 1);
      }
    }
    if (!forSite.isEmpty()) {
      plan = planner.plan(new Release(revisions), now(site), forSite);
    }
    boolean mayLose = false;
    Set<NodeId> answered = new HashSet<>();
    Set<Reviewed.What> known = reviewed.known();
    for (PlacementPlan each : plan.placements()) {
      Map<String, Settlement> decisions = new HashMap<>();
      for (Question question : each.questions()) {
        count("asked");
        boolean canStay = question.choices().contains(Settlement.STAY);
        // What the library brought into a part that stays removed goes out of sight with it; that
        // is what this question is about.
        mayLose |= !canStay || question.verdict() == Verdict.SHAPE;
        if (!anyhow) {
          decisions.put(question.id(), canStay ? Settlement.STAY : Settlement.TAKE);
        } else if (random.nextInt(5) > 0) {
          decisions.put(question.id(), library.any(question));
        }
      }
      // What filled the site and is fixed now is written in at every placement.
      boolean writes = each.rebased().filter(r -> !r.written().isEmpty()).isPresent();
      if (decisions.containsValue(Settlement.STAY) || !each.atSite().isEmpty() || writes) {
        answered.add(each.placementId());
      }
      Placement after = each.after(decisions);
      if (each.isToRecord(after)) {
        written.add(
            new Rollout.WrittenStep(
                site.id, each.pageId(), each.placementId(), each.placement(), after));
        OnePage page =
            site.pages.stream().filter(p -> p.id.equals(each.pageId())).findFirst().orElseThrow();
        page.root = Placements.replaced(page.root, Map.of(each.placementId(), after));
      }
    }
    plan.filled()
        .forEach(
            (slot, value) ->
                filled.add(
                    new Rollout.FilledStep(
                        site.id,
                        slot,
                        Optional.ofNullable(site.adopted.fillings().filled().get(slot)),
                        value)));
    revisions.forEach(
        (id, revision) ->
            adopted.add(
                new Rollout.AdoptedStep(site.id, id, site.adopted.revisions().get(id), revision)));
    site.adopted = site.adopted.with(revisions).filled(plan.filled());
    for (OnePage page : site.pages) {
      reviewed.seen(
          page.root,
          site.adopted,
          each ->
              answered.stream().anyMatch(each.placement()::isOrIsIn)
                  || !known.contains(each.what()));
    }
    if (!anyhow && !mayLose) {
      Set<String> listed = new HashSet<>();
      for (OutOfSight each : plan.outOfSight()) {
        if (each.value() instanceof FieldValue.Words words) {
          listed.add(words.text());
          count("listed as out of sight");
        }
      }
      before.forEach(
          (page, words) -> {
            words.removeAll(listed);
            lost(site, page, words);
          });
    }
  }

  /** What a page says itself that is seen on it. */
  private Map<OnePage, Set<String>> ownWords(OneSite site) {
    Map<OnePage, Set<String>> words = new HashMap<>();
    for (OnePage page : site.pages) {
      Set<String> seen = seen(site, page);
      seen.removeIf(text -> !text.startsWith("own "));
      words.put(page, seen);
    }
    return words;
  }

  Set<String> seen(OneSite site, OnePage page) {
    Set<String> seen = new HashSet<>();
    shown(site, page)
        .root()
        .walk(
            node -> {
              if (node.content().get("words") instanceof FieldValue.Words words) {
                seen.add(words.text());
              }
            });
    return seen;
  }

  private void lost(OneSite site, OnePage page, Set<String> before) {
    Set<String> lost = new HashSet<>(before);
    lost.removeAll(seen(site, page));
    if (!lost.isEmpty()) {
      throw new AssertionError(lost + " are lost on " + page.id);
    }
    happened.merge("words kept", before.size(), Integer::sum);
  }

  private void takeBack() {
    if (rollouts.isEmpty()) {
      return;
    }
    int first = random.nextInt(rollouts.size());
    if (random.nextBoolean()) {
      editWhatCame(rollouts.get(first));
    }
    List<Rollout> together = new ArrayList<>(List.of(rollouts.get(first)));
    together.addAll(
        TakeBacks.standingOn(
            rollouts.get(first), rollouts.subList(first + 1, rollouts.size()), r -> r));
    takeBack(together);
    rollouts.removeAll(together);
    count("take-back");
  }

  /**
   * Pages have something of their own where a rollout brought something: they ask on the way back.
   */
  private void editWhatCame(Rollout rollout) {
    for (Rollout.AdoptedStep step : rollout.adopted()) {
      OneSite site =
          sites.stream().filter(s -> s.id.equals(step.siteId())).findFirst().orElseThrow();
      Adopted before = site.adopted.with(Map.of(step.piece(), step.before()));
      for (OnePage page : site.pages) {
        Set<NodeId> came = new HashSet<>();
        Shown now = shown(site, page);
        now.root().walk(node -> came.add(node.id()));
        Shown.of(page.root, before, shelf).root().walk(node -> came.remove(node.id()));
        try {
          Edit edit = unlike(own.edit(now, node -> came.contains(node.id()), false));
          Set<Reviewed.What> values = reviewed.values(page.root, site.adopted);
          carryOut(site, page, editor(site).apply(page.root, edit));
          reviewed.seen(page.root, site.adopted, made(edit, values));
          count("edit of what came");
        } catch (Refused | AsksFirst refused) {
          count("refused");
        }
      }
    }
  }

  private void takeBack(List<Rollout> oldestFirst) {
    List<Rollout> newestFirst = new ArrayList<>(oldestFirst);
    Collections.reverse(newestFirst);
    List<SiteNow> reached = sites.stream().map(this::now).toList();
    Set<NodeId> answered = new HashSet<>();
    Set<Reviewed.What> inserted = new HashSet<>();
    sites.forEach(
        site -> site.pages.forEach(page -> inserted.addAll(Reviewed.inserted(page.root))));
    TakeBacks.Outcome outcome =
        TakeBacks.of(
            shelf,
            newestFirst,
            reached,
            asked -> {
              count("asked on the way back");
              answered.add(asked.placementId());
              return Optional.of(library.any(asked.question()));
            });
    for (SiteNow after : outcome.sites()) {
      OneSite site =
          sites.stream().filter(s -> s.id.equals(after.siteId())).findFirst().orElseThrow();
      site.adopted = after.adopted();
      for (SiteNow.PageNow page : after.pages()) {
        site.pages.stream()
            .filter(p -> p.id.equals(page.pageId()))
            .forEach(p -> p.root = page.root());
      }
      for (OnePage page : site.pages) {
        reviewed.seen(
            page.root,
            site.adopted,
            each ->
                inserted.contains(each.what())
                    || answered.stream().anyMatch(each.placement()::isOrIsIn));
      }
    }
  }

  /** Carries something out and takes it back at once: everything stands as it stood. */
  void thereAndBack() {
    List<SiteNow> before = sites.stream().map(this::now).toList();
    int had = rollouts.size();
    rollOut(pick(PIECES), true);
    if (rollouts.size() > had) {
      takeBack(List.of(rollouts.remove(rollouts.size() - 1)));
      List<SiteNow> after = sites.stream().map(this::now).toList();
      for (int i = 0; i < after.size(); i++) {
        requireSame(before.get(i), after.get(i));
      }
      count("there and back");
    }
  }

  private static void requireSame(SiteNow before, SiteNow after) {
    assertThat(after.adopted())
        .as("taken back at once, site %s", before.siteId())
        .isEqualTo(before.adopted());
    for (int i = 0; i < before.pages().size(); i++) {
      Node was = before.pages().get(i).root();
      Node now = after.pages().get(i).root();
      Map<NodeId, Placement> placements = Placements.of(now);
      Placements.of(was)
          .forEach(
              (path, placement) ->
                  assertThat(placements.get(path))
                      .as("taken back at once, %s on %s", path, was.id())
                      .isEqualTo(placement));
      assertThat(now).as("taken back at once, %s", was.id()).isEqualTo(was);
    }
  }
}
