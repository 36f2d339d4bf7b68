package goodbones.server.workbench;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.layout.Room;
import goodbones.library.Shown;
import goodbones.render.Framed;
import goodbones.render.Rendered;
import goodbones.render.Renderer;
import goodbones.render.StyleSheet;
import goodbones.render.Surroundings;
import goodbones.server.coverage.Coverages;
import goodbones.server.coverage.Framing;
import goodbones.server.drawing.Frames;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import goodbones.server.workbench.Views.AroundView;
import goodbones.server.workbench.Views.Block;
import goodbones.server.workbench.Views.FreshView;
import goodbones.server.workbench.Views.SharedView;
import goodbones.server.workbench.Views.StandingView;
import goodbones.site.PageTree;
import goodbones.site.SitePage;
import goodbones.structure.Fresh;
import goodbones.style.Cascade;
import goodbones.survey.StandIns;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Draws what is on a desk, with what can be added to it. */
@Component
class Canvas {
  /** One of everything that can be added, in the order of {@link Fresh#things}. */
  private static final List<Node> FRESH = fresh();

  private final Frames frames;
  private final Framing framing;
  private final Coverages coverages;
  private final Sites sites;

  Canvas(Frames frames, Framing framing, Coverages coverages, Sites sites) {
    this.frames = frames;
    this.framing = framing;
    this.coverages = coverages;
    this.sites = sites;
  }

  private static List<Node> fresh() {
    AtomicInteger last = new AtomicInteger();
    Fresh fresh = new Fresh(() -> NodeId.of("fresh-" + last.incrementAndGet()));
    return Fresh.things().stream().map(fresh::of).toList();
  }

  /**
   * What is shown with what can be added after it, so that the style sheet has the rules of both.
   */
  private static Shown withFresh(Shown shown) {
    Node root = shown.root();
    List<Node> children = Stream.concat(root.children().stream(), FRESH.stream()).toList();
    return shown.withRoot(root.withChildren(children));
  }

  /**
   * A document for the workbench, as far as its reader does not have it.
   *
   * @param had the drawing that the reader has; empty for none
   */
  Views.Workbench view(Desk desk, String had, String undo, String redo, Outcome outcome) {
    return view(desk, had, undo, redo, outcome, true);
  }

  /** The same for what is only tried: the next answer builds on what is there without it. */
  Views.Workbench tried(Desk desk, String had, Outcome outcome) {
    return view(desk, had, "", "", outcome, false);
  }

  private Views.Workbench view(
      Desk desk, String had, String undo, String redo, Outcome outcome, boolean kept) {
    DeskMemo memo = desk.memo();
    Surroundings surroundings =
        memo.surroundings(
            frames.faces(desk.site().id()),
            frames.facts(desk.site(), desk.page().map(PageState::id).orElse("")),
            frames.pictures());
    Shown shown = desk.shown();
    Rendered rendered =
        Renderer.render(withFresh(shown), desk.look(), surroundings, memo.rendered());
    Framed framed = new Framed(rendered, parts(desk, surroundings), true, room(desk));
    String css = StyleSheet.of(framed.rendered());
    List<Block> blocks = new ArrayList<>();
    Cascade cascade = new Cascade(shown.root(), shown, desk.look());
    int count = shown.root().children().size();
    for (int i = 0; i < count; i++) {
      Rendered.Block block = rendered.blocks().get(i);
      Node node = shown.root().children().get(i);
      blocks.add(
          new Block(
              block.node().value(),
              block.html(),
              WorkbenchViews.nodes(shown, cascade, node, shown.root().id().value())));
    }
    List<FreshView> fresh = new ArrayList<>();
    for (Fresh.Thing thing : Fresh.things()) {
      String html = rendered.blocks().get(count + fresh.size()).html();
      fresh.add(
          new FreshView(
              thing.title(),
              thing.kind().word(),
              thing.count() > 0 ? thing.columns().toString() : "",
              thing.count(),
              html));
    }
    DeskMemo.News news = memo.news(had, css, blocks, fresh, around(desk, framed), kept);
    return new Views.Workbench(
        desk.id(),
        desk.title(),
        desk.site().id(),
        desk.site().name(),
        desk.site().language(),
        desk.version(),
        desk.stamp(),
        undo,
        redo,
        news.drawing(),
        rendered.open(),
        news.css(),
        WorkbenchViews.node(shown, cascade, shown.root(), ""),
        news.blocks(),
        news.fresh(),
        news.around(),
        shared(desk),
        desk.placements(),
        WorkbenchViews.lists(desk.kept(), shown),
        WorkbenchViews.parts(shown),
        desk.piece(),
        outcome.merged(),
        outcome.made(),
        StandIns.of(shown.root()).stream().map(left -> left.node().value()).distinct().toList(),
        outcome.unfit(),
        outcome.note());
  }

  private List<Framed.Part> parts(Desk desk, Surroundings surroundings) {
    return desk.page()
        .filter(page -> !page.shared())
        .map(page -> framing.around(page, desk.look(), surroundings))
        .orElse(List.of());
  }

  /** A shared part is as wide as where it stands first. */
  private Room room(Desk desk) {
    return desk.page()
        .filter(PageState::shared)
        .map(part -> coverages.roomOf(part.siteId(), part.id()))
        .orElse(Room.WHOLE);
  }

  private AroundView around(Desk desk, Framed framed) {
    List<StandingView> parts =
        framed.around().isEmpty()
            ? List.of()
            : coverages.around(desk.site().id(), desk.id()).stream()
                .map(
                    at ->
                        new StandingView(
                            at.region().word(),
                            at.region().isBeforeContent(),
                            at.part(),
                            at.title(),
                            at.pages()))
                .toList();
    return new AroundView(framed.before(), framed.after(), parts);
  }

  private @Nullable SharedView shared(Desk desk) {
    return desk.page()
        .filter(PageState::shared)
        .map(
            part -> {
              PageTree tree = sites.tree(part.siteId());
              return new SharedView(
                  coverages.pagesOf(part.siteId(), part.id()).stream()
                      .flatMap(id -> tree.find(id).map(SitePage::title).stream())
                      .toList());
            })
        .orElse(null);
  }
}
