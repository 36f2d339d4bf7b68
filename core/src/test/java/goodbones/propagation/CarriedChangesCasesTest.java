package goodbones.propagation;

import static goodbones.propagation.SmallSite.box;
import static goodbones.propagation.SmallSite.id;
import static goodbones.propagation.SmallSite.paint;
import static goodbones.propagation.SmallSite.remove;
import static goodbones.propagation.SmallSite.slot;
import static goodbones.propagation.SmallSite.text;
import static goodbones.propagation.SmallSite.write;
import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Exchange;
import goodbones.library.Placements;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.structure.Bench;
import goodbones.structure.Keeping;
import goodbones.structure.Landing;
import goodbones.style.SiteFinishes;
import goodbones.testing.HouseFinishes;
import goodbones.testing.Shelf;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Cases 32 to 50 of the rules of depth: lists, slots of the site, keeping, copies, exchange. */
class CarriedChangesCasesTest {
  private final Shelf shelf = new Shelf();

  private static Node list(String id, Node pattern, String... items) {
    List<Node> children = new java.util.ArrayList<>();
    children.add(Node.of(id(id + "-pattern"), Kind.PATTERN, "").withChildren(List.of(pattern)));
    for (String item : items) {
      children.add(Node.item(id(item)));
    }
    return Node.of(id(id), Kind.BOX, "").withChildren(children);
  }

  private void keepInside(String piece, String part, String as) {
    Node root = shelf.revision(piece, shelf.current(piece)).root();
    shelf.keep(as, root.find(id(part)).orElseThrow());
    shelf.release(
        piece,
        root.change(id(part), node -> shelf.placing(id("d-" + part), as)),
        asked -> Optional.empty());
  }

  /** Case 32. */
  @Test
  void wordsInAnItemOfItsOwnAreUndoneAfterAPartOfThePatternWasKept() {
    shelf.keep("L", box("lr", list("list", box("card", box("part", slot("w", "Sample"))), "i1")));
    SmallSite site = new SmallSite(shelf, shelf.placing(id("p"), "L"));
    site.edit(new Edit.Insert(id("p/list"), 1, Node.item(id("mine"))));
    site.edit(write("p/list/mine/w".replace("list/", ""), "First"));
    Edit undo = site.edit(write("p/mine/w", "Second"));
    keepInside("L", "part", "F");
    site.rollOut(Settlement.TAKE, "L");
    assertThat(site.words()).contains("Second");
    site.turn(undo);
    assertThat(site.words()).contains("First").doesNotContain("Second");
  }

  private static Edit fill(NodeId slot, String words, Optional<FieldValue> was) {
    return new Edit.FillSite(slot, "words", Optional.of(new FieldValue.Words(words)), was);
  }

  private static Node ofSite(Node node) {
    return node.withOptions(node.options().withSiteSlots(Set.of("words")));
  }

  /** The library unlinks what stands in a piece. */
  private void unlinkInside(String piece, String placement) {
    Node root = shelf.revision(piece, shelf.current(piece)).root();
    Bench bench =
        new Bench(
            root,
            shelf.editor().shown(root),
            new SiteFinishes(HouseFinishes.house(), Map.of()),
            () -> id("never"),
            shelf,
            Showing.BOUND);
    Node unlinked =
        shelf.editor().apply(root, new Landing(bench).unlink(id(placement), false)).root();
    assertThat(Placements.of(unlinked)).isEmpty();
    shelf.release(piece, unlinked, asked -> Optional.empty());
  }

  /** What followed an unlink or a keep stands where it stood when the library goes back. */
  @Test
  void whatIsRemovedAfterGoingBackIsAskedAboutAsBefore() {
    shelf.keep("L", box("lr", slot("w", "Sample"), text("z", "Z")));
    shelf.keep("C", box("cr", shelf.placing(id("l"), "L")));
    SmallSite site = new SmallSite(shelf, shelf.placing(id("p"), "C"), shelf.placing(id("q"), "L"));
    site.edit(write("p/l/w", "Mine"));
    unlinkInside("C", "l");
    site.goBack("C", 1);
    site.release("L", remove("w"));
    assertThat(site.asks("C", "L")).extracting(Question::verdict).containsExactly(Verdict.GONE);
    site.rollOut(Settlement.STAY, "C", "L");
    assertThat(site.words()).containsExactly("Mine", "Z", "Z");
  }

  /** Case 33. */
  @Test
  void whatFillsTheSiteIsShownWhereTheLibraryUnlinks() {
    shelf.keep("L", box("lr", ofSite(text("phone", "A number"))));
    shelf.keep("C", box("cr", shelf.placing(id("l"), "L")));
    SmallSite site = new SmallSite(shelf, shelf.placing(id("p"), "C"), shelf.placing(id("q"), "L"));
    site.edit(fill(id("phone"), "0123", Optional.empty()));
    assertThat(site.words()).containsExactly("0123", "0123");
    unlinkInside("C", "l");
    Rollout rollout = site.rollOut(Settlement.TAKE, "C");
    assertThat(site.words()).containsExactly("0123", "0123");
    site.takeBack(q -> Settlement.TAKE, rollout);
    assertThat(site.words()).containsExactly("0123", "0123");
  }

  /** Case 35. */
  @Test
  void anEditOfAKeptCopyIsThereAfterTakingBackAndRollingOutAgain() {
    shelf.keep("E", box("er", box("s", slot("u", "In s")), text("v", "Out")));
    SmallSite site = new SmallSite(shelf, shelf.placing(id("e"), "E"));
    site.edit(write("e/u", "Mine"));
    site.release("E", remove("s"));
    Rollout first = site.rollOut(Settlement.STAY, "E");
    assertThat(site.words()).containsExactly("Mine", "Out");
    Node copy =
        site.shown().root().all().stream()
            .filter(n -> new FieldValue.Words("Mine").equals(n.content().get("words")))
            .findFirst()
            .orElseThrow();
    site.edit(write(copy.id().value(), "Edited in the copy"));
    assertThat(site.takeBack(q -> Settlement.TAKE, first)).isEmpty();
    assertThat(site.words()).containsExactly("Edited in the copy", "Out");
    site.rollOut(Settlement.STAY, "E");
    assertThat(site.words()).containsExactly("Edited in the copy", "Out");
  }

  /** Case 35: a copy that was deleted is a removal. */
  @Test
  void aKeptCopyThatWasDeletedStaysAwayWhenTheRolloutIsTakenBack() {
    shelf.keep("E", box("er", box("s", slot("u", "In s")), text("v", "Out")));
    SmallSite site = new SmallSite(shelf, shelf.placing(id("e"), "E"));
    site.edit(write("e/u", "Mine"));
    site.release("E", remove("s"));
    Rollout first = site.rollOut(Settlement.STAY, "E");
    Node copy = site.shown().root().find(id("e/er")).orElseThrow().children().get(0);
    site.edit(new Edit.Remove(copy.id()));
    assertThat(site.words()).containsExactly("Out");
    site.takeBack(q -> Settlement.TAKE, first);
    assertThat(site.words()).containsExactly("Out");
  }

  /** Case 37. */
  @Test
  void whatIsKeptForAllClientsHasNothingOfOneInIt() {
    shelf.keep("B", box("br", slot("x", "Sample"), box("hide", slot("h", "Sample"))));
    shelf.keep("A", box("ar", slot("ax", "Sample"), slot("ay", "Sample")));
    shelf.keep(
        "C",
        box(
            "cr",
            box(
                "in",
                ofSite(text("phone", "A number")),
                shelf.placing(id("b"), "B"),
                shelf.placing(id("a"), "A"))));
    Node section =
        Node.of(id("sec"), Kind.SECTION, "").withChildren(List.of(shelf.placing(id("p"), "C")));
    SmallSite site = new SmallSite(shelf, section);
    site.edit(fill(id("phone"), "Client 0123", Optional.empty()));
    site.edit(write("p/b/x", "Client words"));
    site.edit(write("p/b/h", "Client hidden"));
    site.edit(remove("p/b/hide"));
    for (String what : List.of("p/in", "sec")) {
      Keeping.Kept kept = new Keeping(site.bench()).keepForAll(id(what), "K-" + what.length());
      String piece = "K-" + what.length();
      assertThat(goodbones.document.References.of(kept.root())).isNotNull();
      assertThat(kept.root().toString()).as(what).doesNotContain("Client");
      shelf.keep(piece, kept.root());
      SmallSite other = new SmallSite(shelf, shelf.placing(id("k"), piece));
      assertThat(String.join(" ", other.words())).doesNotContain("Client");
      List<String> before = site.words();
      Node page = site.page;
      Map<String, Integer> all = new java.util.HashMap<>(site.adopted.revisions());
      all.put(piece, 1);
      site.adopted = new goodbones.library.Adopted(all, site.adopted.fillings());
      Edit undo = site.edit(kept.edit());
      assertThat(site.words()).as("nothing that is seen changes").isEqualTo(before);
      site.turn(undo);
      assertThat(site.page).isEqualTo(page);
    }
  }

  /** Case 37: what an exchange left over. */
  @Test
  void whatAnExchangeLeftOverIsNotKeptForAllClients() {
    shelf.keep("A", box("ar", slot("ax", "Sample"), slot("ay", "Sample")));
    shelf.keep("B", box("br", slot("x", "Sample")));
    Node section =
        Node.of(id("sec"), Kind.SECTION, "").withChildren(List.of(shelf.placing(id("p"), "A")));
    SmallSite site = new SmallSite(shelf, section);
    site.edit(write("p/ax", "Client one"));
    site.edit(write("p/ay", "Client two"));
    Placement slim = new Exchange(shelf).of(site.placement("p"), 1, Placement.of("B", 1));
    site.edit(new Edit.SetPlacement(id("p"), slim));
    Keeping.Kept kept = new Keeping(site.bench()).keepForAll(id("sec"), "K");
    assertThat(kept.root().toString()).doesNotContain("Client");
  }

  /** Case 38. */
  @Test
  void laterWordsOfTheSiteShowInWhatWasMovedOut() {
    shelf.keep("L", box("lr", ofSite(text("phone", "A number"))));
    shelf.keep("C", box("cr", text("cz", "Three"), shelf.placing(id("l"), "L")));
    SmallSite site = new SmallSite(shelf, shelf.placing(id("p"), "C"), shelf.placing(id("q"), "L"));
    site.edit(fill(id("phone"), "0123", Optional.empty()));
    site.edit(new Edit.Move(id("p/l/lr"), id("page"), 0));
    assertThat(site.words()).containsExactly("0123", "Three", "0123");
    site.edit(write("q/phone", "0456"));
    assertThat(site.words()).containsExactly("0456", "Three", "0456");
  }

  /** Case 41. */
  @Test
  void wordsMovedOutOfAnItemStayWhenItIsLeftOut() {
    shelf.keep(
        "L", box("lr", list("list", box("card", slot("w", "Sample")), "i1", "i2"), box("out")));
    SmallSite site = new SmallSite(shelf, shelf.placing(id("p"), "L"));
    site.edit(write("p/i1/w", "Mine"));
    site.edit(new Edit.Move(id("p/i1/w"), id("p/out"), 0));
    assertThat(site.words()).containsExactly("Sample", "Mine");
    Node before = site.page;
    Edit undo = site.edit(new Edit.Remove(id("p/i1")));
    assertThat(site.words()).containsExactly("Sample", "Mine");
    site.turn(undo);
    assertThat(site.page).isEqualTo(before);
  }

  /** Case 46: what is kept first is told by the names alone; both orders come to the same. */
  @Test
  void keepingTwoThingsGivesTheSameInEitherOrder() {
    for (List<String> names : List.of(List.of("s", "t"), List.of("t", "s"))) {
      Shelf each = new Shelf();
      String around = names.get(0);
      String moved = names.get(1);
      each.keep("E", box("er", box(around, text(moved, "In it"), text("r", "Rest"))));
      SmallSite site = new SmallSite(each, each.placing(id("e"), "E"));
      site.edit(write("e/" + moved, "Mine"));
      site.edit(write("e/r", "Also mine"));
      site.edit(new Edit.Move(id("e/" + moved), id("e/er"), 1));
      site.release("E", remove(around));
      assertThat(site.asks("E")).hasSizeGreaterThan(1);
      site.rollOut(Settlement.STAY, "E");
      assertThat(site.words()).as("%s", names).containsExactly("Also mine", "Mine");
      assertThat(site.shown().root().find(id("e/er")).orElseThrow().children())
          .as("%s", names)
          .extracting(Node::kind)
          .containsExactly(Kind.BOX, Kind.TEXT);
    }
  }

  /** Case 48. */
  @Test
  void whatWouldStandAcrossTheBorderOfAnInsertedPlacementDoesNotComeBackUnasked() {
    shelf.keep("B", box("br", box("inner", text("x", "One"))));
    shelf.keep("C", box("cr", text("y", "Two")));
    SmallSite site = new SmallSite(shelf, shelf.placing(id("p"), "C"));
    site.edit(new Edit.Insert(id("p/cr"), 0, shelf.placing(id("q"), "B")));
    site.edit(new Edit.Move(id("p/y"), id("p/q/inner"), 0));
    assertThat(site.words()).containsExactly("Two", "One");
    site.release("B", remove("inner"));
    List<Question> asked = site.asks("B");
    site.rollOut(Settlement.STAY, "B");
    assertThat(site.words()).as("%s", asked).contains("Two");
    assertThat(asked).isNotEmpty();
  }

  /** Case 50. */
  @Test
  void keepThenUnlinkIsExactThereAndBack() {
    shelf.keep("E", box("er", box("s", slot("u", "In s"), text("w", "W")), text("v", "Out")));
    SmallSite site = new SmallSite(shelf, shelf.placing(id("e"), "E"));
    site.edit(write("e/u", "Mine"));
    site.edit(paint("e/w", "red"));
    site.edit(new Edit.Move(id("e/v"), id("e/s"), 0));
    site.edit(new Edit.Insert(id("e/s"), 1, text("own", "Own")));
    Node before = site.page;
    List<String> words = site.words();
    keepInside("E", "s", "F");
    Rollout there = site.rollOut(Settlement.TAKE, "E");
    assertThat(site.words()).isEqualTo(words);
    assertThat(site.page).as("what stands is not rewritten").isEqualTo(before);
    site.goBack("E", 1);
    Rollout back = site.rollOut(Settlement.TAKE, "E");
    assertThat(site.words()).isEqualTo(words);
    assertThat(site.page).isEqualTo(before);
    site.takeBack(q -> Settlement.TAKE, back, there);
    assertThat(site.page).isEqualTo(before);
  }

  /** Case 50: exchange there and back. */
  @Test
  void exchangeThereAndBackIsExact() {
    shelf.keep("A", box("ar", slot("ax", "Sample"), slot("ay", "Sample"), text("az", "Z")));
    shelf.keep("B", box("br", slot("x", "Sample")));
    SmallSite site = new SmallSite(shelf, shelf.placing(id("p"), "A"));
    site.edit(write("p/ax", "One"));
    site.edit(write("p/ay", "Two"));
    site.edit(new Edit.Move(id("p/az"), id("p/ar"), 0));
    Placement before = site.placement("p");
    Exchange exchange = new Exchange(shelf);
    Placement there = exchange.of(before, 1, Placement.of("B", 1));
    Placement back = exchange.of(there, 1, Placement.of("A", 1));
    assertThat(back.withLeft(List.of())).isEqualTo(before);
    assertThat(back.left()).extracting(Placement::pieceId).containsExactly("B");
  }

  /** What was put into an item that is out of sight asks nothing by itself, then or later. */
  @Test
  void whatStandsOutOfSightInAListGoesWithTheAnswerAboutTheList() {
    for (boolean listIsGone : List.of(true, false)) {
      for (boolean itemIsLeftOut : List.of(true, false)) {
        Shelf each = new Shelf();
        Node card = box("card", slot("w", "Sample"), box("b", text("bt", "In b")));
        each.keep("L", box("lr", text("z", "Z"), list("list", card, "i1", "i2")));
        SmallSite site = new SmallSite(each, each.placing(id("p"), "L"));
        site.edit(write("p/i2/w", "Mine"));
        site.edit(new Edit.Insert(id("p/i1/b"), 1, text("t", "Own words")));
        site.edit(itemIsLeftOut ? leaveOut() : remove("p/i1/b"));
        assertThat(site.words()).doesNotContain("Own words");
        Node now = each.revision("L", 1).root();
        each.release(
            "L",
            listIsGone
                ? now.withChildren(List.of(now.children().get(0)))
                : now.change(id("list"), n -> n.withChildren(List.of(text("q", "Q")))),
            asked -> Optional.empty());
        assertThat(site.asks("L"))
            .isNotEmpty()
            .allMatch(q -> q.keys().stream().noneMatch(key -> key.node().equals(id("t"))));
        site.rollOut(Settlement.TAKE, "L");
        assertThat(site.unsettled()).isEmpty();
        site.release("L", paint("z", "green"));
        assertThat(site.asks("L")).isEmpty();
        site.goBack("L", 1);
        assertThat(site.asks("L")).isEmpty();
      }
    }
  }

  private static Edit leaveOut() {
    return new Edit.SetLocal(
        id("p"),
        new LocalKey(id("list"), Aspect.ITEMS),
        Optional.of(new LocalValue.ItemsAre(List.of(id("i2")), Set.of())));
  }

  private static LocalKey removed(String node) {
    return new LocalKey(id(node), Aspect.REMOVED);
  }

  /** A switched-off part keeps what was said in it, and asks only where it is seen again. */
  @Test
  void whatThePieceChangesInAPartThatIsSwitchedOffAsksWhereItIsSwitchedOn() {
    Node part = box("s", text("u", "In s"));
    shelf.keep(
        "E", box("er", part.withOptions(part.options().withOptional(true)), text("v", "Out")));
    SmallSite site = new SmallSite(shelf, shelf.placing(id("e"), "E"));
    site.edit(paint("e/u", "red"));
    Edit on = site.edit(new Edit.Switch(id("e/s"), false));
    site.release("E", paint("u", "green"));
    assertThat(site.asks("E")).isEmpty();
    site.rollOut(Settlement.TAKE, "E");
    site.edit(paint("e/v", "blue"));
    org.assertj.core.api.Assertions.assertThatThrownBy(() -> site.turn(on))
        .isInstanceOf(goodbones.library.AsksFirst.class);
    site.turnWithPagesOwn(on);
    assertThat(site.colour("e/u")).contains("red");
    assertThat(site.unsettled()).isEmpty();
    assertThat(site.placement("e").changes()).doesNotContainKey(removed("s"));
    assertThat(Shown.of(site.page, site.adopted, shelf).root().find(id("e/s"))).isPresent();
    assertThat(site.placement("e").layer().changes().values())
        .noneMatch(value -> value instanceof LocalValue.IsRemoved);
  }
}
