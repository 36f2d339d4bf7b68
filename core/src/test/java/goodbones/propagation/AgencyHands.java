package goodbones.propagation;

import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.library.Adopted;
import goodbones.library.AsksFirst;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.structure.Bench;
import goodbones.structure.Keeping;
import goodbones.structure.Landing;
import goodbones.structure.Mirror;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What hands do to the structure of an agency's pages and pieces. */
final class AgencyHands {
  private final Agency agency;
  private final List<Gone> gone = new ArrayList<>();

  private record Gone(Agency.OneSite site, Agency.OnePage page, Adopted then) {}

  AgencyHands(Agency agency) {
    this.agency = agency;
  }

  private Bench bench(Node document, Showing showing) {
    return new Bench(
        document,
        Shown.of(document, showing, agency.shelf),
        Agency.BARE,
        () -> NodeId.of("hand" + agency.next++),
        agency.shelf,
        showing);
  }

  /**
   * Unlinks, keeps, moves out, duplicates or mirrors something: of what is seen nothing is lost.
   */
  void onPage(Agency.OneSite site) {
    Agency.OnePage page = agency.pick(site.pages);
    Bench bench = bench(page.root, site.adopted);
    List<Node> members =
        bench.shown().members().all().stream()
            .filter(node -> node.kind() == Kind.PLACEMENT)
            .toList();
    List<Node> drawn =
        bench.shown().root().all().stream()
            .filter(node -> node.kind() != Kind.PAGE && node.kind() != Kind.SECTION)
            .toList();
    List<Node> items =
        bench.shown().members().all().stream().filter(node -> node.kind() == Kind.ITEM).toList();
    if (members.isEmpty() || drawn.isEmpty()) {
      return;
    }
    switch (agency.random.nextInt(7)) {
      case 0 ->
          act(site, page, "unlink", new Landing(bench).unlink(agency.pick(members).id(), false));
      case 1 ->
          act(site, page, "unlink", new Landing(bench).unlink(agency.pick(members).id(), true));
      case 2 -> keep(site, page, bench, agency.pick(drawn).id(), false);
      case 3 -> keep(site, page, bench, agency.pick(drawn).id(), true);
      case 4 ->
          act(
              site,
              page,
              "duplicate",
              new Landing(bench)
                  .duplicate(
                      List.of(
                          items.isEmpty() || agency.random.nextBoolean()
                              ? agency.pick(drawn).id()
                              : agency.pick(items).children().get(0).id())));
      case 5 -> act(site, page, "mirror", new Mirror(bench).mirror(agency.pick(drawn).id()));
      default -> {
        NodeId into = agency.pick(page.root.children()).id();
        act(site, page, "move out", new Edit.Move(agency.pick(drawn).id(), into, 0));
      }
    }
  }

  private void keep(
      Agency.OneSite site, Agency.OnePage page, Bench bench, NodeId id, boolean forAll) {
    String piece = "kept" + agency.next++;
    Keeping keeping = new Keeping(bench);
    Keeping.Kept kept = forAll ? keeping.keepForAll(id, piece) : keeping.keep(id, piece);
    goodbones.document.Catalogue.require(Shown.of(kept.root(), Showing.BOUND, agency.shelf).root());
    if (forAll && kept.root().toString().contains("text=own ")) {
      throw new AssertionError("words of a page are in a piece for all clients: " + kept.root());
    }
    agency.shelf.keep(piece, kept.root());
    Adopted before = site.adopted;
    site.adopted = site.adopted.with(Map.of(piece, 1));
    if (!act(site, page, forAll ? "kept for all" : "kept", kept.edit())) {
      site.adopted = before;
    }
  }

  private boolean act(Agency.OneSite site, Agency.OnePage page, String what, Edit edit) {
    Set<String> words = ownWords(site, page);
    Set<Reviewed.What> before = agency.reviewed.values(page.root, site.adopted);
    Edited edited;
    try {
      edited = agency.editor(site).apply(page.root, edit);
    } catch (AsksFirst asks) {
      agency.count("asked before an edit");
      return false;
    }
    agency.carryOut(site, page, edited);
    Set<Reviewed.What> known = agency.reviewed.known();
    // What a piece around said of what it places is said by the page itself when that comes out.
    agency.reviewed.seen(
        page.root,
        site.adopted,
        each ->
            before.contains(each.what())
                || !known.contains(each.what())
                || !each.what().isSaidOnce());
    words.removeAll(ownWords(site, page));
    if (!words.isEmpty()) {
      throw new AssertionError(what + ": " + words + " are lost on " + page.id);
    }
    agency.count(what);
    return true;
  }

  private Set<String> ownWords(Agency.OneSite site, Agency.OnePage page) {
    Set<String> words = new HashSet<>(agency.seen(site, page));
    words.removeIf(text -> !text.startsWith("own "));
    return words;
  }

  /** The library unlinks a placement in a piece, or keeps a part of one. */
  void inLibrary() {
    String piece = agency.pick(Agency.PIECES);
    Node root = agency.shelf.revision(piece, agency.shelf.current(piece)).root();
    List<Node> placed = root.all().stream().filter(node -> node.kind() == Kind.PLACEMENT).toList();
    if (agency.random.nextBoolean() && !placed.isEmpty()) {
      Bench bench = bench(root, Showing.BOUND);
      Edit edit = new Landing(bench).unlink(agency.pick(placed).id(), false);
      agency.library.release(piece, agency.shelf.editor().apply(root, edit).root());
      agency.count("unlinked by the library");
      return;
    }
    List<Node> parts =
        root.all().stream()
            .filter(node -> node != root && node.kind() == Kind.BOX && !node.isList())
            .toList();
    if (!parts.isEmpty()) {
      String kept = "part" + agency.next++;
      Keeping.Kept part =
          new Keeping(bench(root, Showing.BOUND)).keep(agency.pick(parts).id(), kept);
      agency.shelf.keep(kept, part.root());
      Node after = agency.shelf.editor().apply(root, part.edit()).root();
      agency.library.release(piece, after);
      agency.count("kept by the library");
    }
  }

  /** A page is taken away, or one that was is brought back. */
  void awayOrBack(Agency.OneSite site) {
    List<Gone> mine = gone.stream().filter(each -> each.site() == site).toList();
    if (!mine.isEmpty() && agency.random.nextBoolean()) {
      Gone back = agency.pick(mine);
      gone.remove(back);
      back.page().root = BroughtBack.page(back.page().root, back.then(), site.adopted);
      site.pages.add(back.page());
      agency.count("page brought back");
    } else if (site.pages.size() > 2) {
      Agency.OnePage page = agency.pick(site.pages);
      site.pages.remove(page);
      gone.add(new Gone(site, page, site.adopted));
      agency.count("page taken away");
    }
  }
}
