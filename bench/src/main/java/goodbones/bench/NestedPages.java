package goodbones.bench;

import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.library.Adopted;
import goodbones.library.Fillings;
import goodbones.library.PageEditor;
import goodbones.library.Shown;
import goodbones.propagation.Rebasing;
import goodbones.render.RenderMemo;
import goodbones.render.Rendered;
import goodbones.render.Renderer;
import goodbones.render.Surroundings;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.UnaryOperator;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * A page of about 1,500 nodes: in 60 placements two deep, each with words of its own, and the same
 * page flat, with nothing placed on it.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class NestedPages {
  private static final int PLACED = 30;
  private static final int OUTER = 5;
  private static final int NODES = 20;

  @Param({"nested", "flat"})
  String made = "nested";

  private final OneShelf shelf = new OneShelf();
  private final SiteFinishes finishes = Pages.finishes();
  private final Surroundings surroundings =
      new Surroundings(id -> id, UnaryOperator.identity(), List.of(), "", true);
  private Adopted adopted = new Adopted(Map.of());
  private Node page = new Pages().page(1);
  private PageEditor editor = new PageEditor(adopted, shelf, new Rebasing(shelf, adopted));
  private RenderMemo memo = new RenderMemo();
  private NodeId heading = NodeId.of("none");
  private int edits;

  @Setup
  public void make() {
    Pages maker = new Pages();
    Node inner =
        Node.of(NodeId.of("ib"), Kind.BOX, "")
            .withChildren(maker.page(NODES).children().get(0).children());
    shelf.with("inner", inner);
    List<Node> headings = inner.all().stream().filter(node -> node.kind() == Kind.HEADING).toList();
    Map<String, Integer> revisions = new java.util.TreeMap<>(Map.of("inner", 1));
    for (int i = 0; i < OUTER; i++) {
      Node outer = maker.page(NODES).children().get(0);
      List<Node> children = new ArrayList<>(outer.children());
      children.add(
          1,
          Node.placing(NodeId.of("in" + i), "", "inner")
              .withPlacement(Placement.of("inner").withBound(1)));
      shelf.with("outer" + i, outer.withChildren(children));
      revisions.put("outer" + i, 1);
    }
    adopted = new Adopted(revisions);
    List<Node> sections = new ArrayList<>();
    for (int i = 0; i < PLACED; i++) {
      int which = i % OUTER;
      NodeId deep = headings.get(0).id().within(NodeId.of("in" + which));
      Placement placement =
          Placement.of("outer" + which)
              .withBound(1)
              .with(
                  new LocalKey(deep, Aspect.content("words")),
                  new LocalValue.ContentIs(new FieldValue.Words("Own " + i)));
      sections.add(Node.placing(NodeId.of("p" + i), "", "outer" + which).withPlacement(placement));
    }
    page = Node.of(NodeId.of("page"), Kind.PAGE, "").withChildren(sections);
    heading = headings.get(0).id().within(NodeId.of("in2")).within(NodeId.of("p7"));
    if (made.equals("flat")) {
      page = Shown.of(page, adopted, shelf).root().mapIds(NestedPages::flat);
      heading = flat(heading);
    }
    editor = new PageEditor(adopted, shelf, new Rebasing(shelf, adopted), new Fillings());
    memo = new RenderMemo();
  }

  private static NodeId flat(NodeId path) {
    return NodeId.of(path.value().replace('/', '_'));
  }

  /** Nothing of the page is known from before. */
  @Benchmark
  public Rendered expandAndRender() {
    return Renderer.render(Shown.of(page, adopted, shelf), finishes, surroundings);
  }

  /** What the workbench does: what did not change is known. */
  @Benchmark
  public Rendered edit() {
    edits++;
    StyleValue size = StyleValue.literal((20 + edits % 20) + "px");
    Edit edit = new Edit.SetStyle(heading, StyleKey.parse("font-size"), Optional.of(size));
    page = editor.apply(page, edit).root();
    return Renderer.render(editor.shown(page), finishes, surroundings, memo);
  }
}
