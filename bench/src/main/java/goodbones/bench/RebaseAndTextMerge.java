package goodbones.bench;

import goodbones.document.Aspect;
import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.library.Overlay;
import goodbones.library.Showing;
import goodbones.propagation.Question;
import goodbones.propagation.Rebase;
import goodbones.propagation.Rebased;
import goodbones.propagation.Settlement;
import goodbones.testing.TextForm;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import org.eclipse.jgit.diff.RawText;
import org.eclipse.jgit.diff.RawTextComparator;
import org.eclipse.jgit.merge.MergeAlgorithm;
import org.eclipse.jgit.merge.MergeResult;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * A piece of about 200 nodes with 20 local changes and 40 changes by the library: rebase, with its
 * verdicts and the placement that comes of them, against JGit's three-way merge of the same
 * documents as text, one property a line.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class RebaseAndTextMerge {
  private static final String PIECE = "piece";
  private static final NodeId PLACEMENT = NodeId.of("p");
  private static final int NODES = 200;
  private static final StyleKey MARGIN = StyleKey.parse("margin-top");

  private OneShelf shelf;
  private Placement placement;
  private RawText base;
  private RawText page;
  private RawText library;

  @Setup
  public void make() {
    Node first = new Pages().piece(NODES);
    Node second = changedByTheLibrary(first);
    shelf = new OneShelf().with(PIECE, first).with(PIECE, second);
    placement = Placement.of(PIECE).withBound(1).saying(localChanges(first));
    base = text(first);
    page = text(Overlay.show(shelf.expanded(PIECE, 1).index(), placement.layer()));
    library = text(second);
  }

  @Benchmark
  public Placement rebase() {
    Rebased rebased = Rebase.of(PLACEMENT, placement, 1, 2, shelf, Showing.BOUND);
    Map<String, Settlement> decisions = new HashMap<>();
    for (Question question : rebased.questions()) {
      decisions.put(question.id(), question.choices().iterator().next());
    }
    return rebased.settled(decisions);
  }

  @Benchmark
  public MergeResult<RawText> textMerge() {
    return new MergeAlgorithm().merge(RawTextComparator.DEFAULT, base, page, library);
  }

  private static List<Node> of(Kind kind, Node root) {
    return root.all().stream().filter(node -> node.kind() == kind).toList();
  }

  /** 28 values, 6 words, 2 nodes less, 2 nodes more, 2 at another place. */
  private static Node changedByTheLibrary(Node first) {
    Node now = first;
    List<Node> all = first.all();
    for (int i = 0; i < 28; i++) {
      Node node = all.get(5 + i * 6);
      now = now.change(node.id(), n -> n.withStyle(MARGIN, StyleValue.literal("24px")));
    }
    for (int i = 0; i < 6; i++) {
      Node node = of(Kind.HEADING, first).get(i * 3);
      FieldValue words = new FieldValue.Words("Other words");
      now = now.change(node.id(), n -> n.withContent("words", words));
    }
    List<Node> columns = of(Kind.COLUMN, first);
    for (int i = 0; i < 2; i++) {
      Node gone = columns.get(4 + i).children().get(0);
      now = now.change(columns.get(4 + i).id(), n -> without(n, gone));
      Node more = Node.of(NodeId.of("more" + i), Kind.TEXT, "");
      now = now.change(columns.get(7 + i).id(), n -> with(n, more));
      Node moved = columns.get(10 + i).children().get(1);
      now = now.change(columns.get(10 + i).id(), n -> without(n, moved));
      now = now.change(columns.get(13 + i).id(), n -> with(n, moved));
    }
    return now;
  }

  private static Node without(Node parent, Node child) {
    return parent.withChildren(
        parent.children().stream().filter(c -> !c.id().equals(child.id())).toList());
  }

  private static Node with(Node parent, Node child) {
    List<Node> children = new ArrayList<>(parent.children());
    children.add(child);
    return parent.withChildren(children);
  }

  /** 10 values, 5 words, a device, a removal, an insert and two moves. */
  private static Map<LocalKey, LocalValue> localChanges(Node first) {
    Map<LocalKey, LocalValue> changes = new TreeMap<>();
    List<Node> all = first.all();
    for (int i = 0; i < 10; i++) {
      changes.put(
          new LocalKey(all.get(11 + i * 18).id(), Aspect.style(MARGIN)),
          new LocalValue.StyleIs(Optional.of(StyleValue.literal("40px"))));
    }
    for (int i = 0; i < 5; i++) {
      changes.put(
          new LocalKey(of(Kind.TEXT, first).get(i * 4).id(), Aspect.content("words")),
          new LocalValue.ContentIs(Optional.of(new FieldValue.Words("The client's own"))));
    }
    List<Node> columns = of(Kind.COLUMN, first);
    changes.put(
        new LocalKey(columns.get(1).id(), Aspect.VISIBILITY),
        new LocalValue.HiddenOn(Set.of(Device.PHONE)));
    changes.put(new LocalKey(columns.get(2).id(), Aspect.REMOVED), new LocalValue.IsRemoved());
    Node own = Node.of(NodeId.of("own"), Kind.TEXT, "");
    changes.put(
        new LocalKey(own.id(), Aspect.PLACED),
        new LocalValue.PlacedUnder(columns.get(3).id(), Optional.of(own)));
    for (int i = 0; i < 2; i++) {
      changes.put(
          new LocalKey(columns.get(16 + i).children().get(2).id(), Aspect.PLACED),
          new LocalValue.PlacedUnder(columns.get(19 + i).id(), Optional.empty()));
    }
    return changes;
  }

  private static RawText text(Node root) {
    return new RawText(TextForm.of(root).getBytes(StandardCharsets.UTF_8));
  }
}
