package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Aspect;
import goodbones.document.Device;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.library.Showing;
import goodbones.testing.Laid;
import goodbones.testing.Shelf;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.eclipse.jgit.diff.RawText;
import org.eclipse.jgit.diff.RawTextComparator;
import org.eclipse.jgit.merge.MergeAlgorithm;
import org.eclipse.jgit.merge.MergeChunk;
import org.eclipse.jgit.merge.MergeResult;
import org.junit.jupiter.api.Test;

/**
 * Outside check: for style values alone, rebase is a three-way merge by key. The same documents are
 * written as text, one value a line with lines around it that nobody changes, and merged by JGit's
 * three-way text merge: it must see a conflict at exactly the same keys, and the same text where
 * there is none.
 */
class TextMergeTest {
  private static final List<StyleProperty> PROPERTIES =
      List.of(StyleProperty.FONT_SIZE, StyleProperty.MARGIN_TOP, StyleProperty.MAX_WIDTH);
  private static final NodeId PLACEMENT = NodeId.of("p");

  private static List<LocalKey> keys() {
    List<LocalKey> keys = new ArrayList<>();
    for (String node : List.of("a", "b", "c")) {
      for (StyleProperty property : PROPERTIES) {
        for (Device device : Device.values()) {
          keys.add(new LocalKey(NodeId.of(node), Aspect.style(StyleKey.of(property, device))));
        }
      }
    }
    return keys;
  }

  private static StyleKey style(LocalKey key) {
    return ((Aspect.Style) key.aspect()).key();
  }

  private static Node section() {
    return Node.of(NodeId.of("s"), Kind.SECTION, "")
        .withChildren(
            List.of(
                Node.of(NodeId.of("a"), Kind.TEXT, ""),
                Node.of(NodeId.of("b"), Kind.TEXT, ""),
                Node.of(NodeId.of("c"), Kind.TEXT, "")));
  }

  private static Node changed(Node root, Random random, double share) {
    Node now = root;
    for (LocalKey key : keys()) {
      if (random.nextDouble() < share) {
        StyleValue value = value(random);
        now = now.change(key.node(), n -> n.withStyle(style(key), value));
      }
    }
    return now;
  }

  private static StyleValue value(Random random) {
    return StyleValue.literal((1 + random.nextInt(3)) + "px");
  }

  private static RawText text(Node root) {
    StringBuilder text = new StringBuilder();
    for (LocalKey key : keys()) {
      StyleValue value = root.find(key.node()).orElseThrow().styles().get(style(key));
      text.append("[").append(key).append("]\n");
      text.append(value == null ? "nothing" : value).append("\n");
      text.append("end of ").append(key).append("\n\n");
    }
    return new RawText(text.toString().getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void conflictsAndResultsAreThoseOfATextMerge() {
    int conflicts = 0;
    for (long seed = 0; seed < 1000; seed++) {
      Random random = new Random(seed);
      Node base = changed(section(), random, 0.6);
      Node library = changed(base, random, 0.3);
      Placement placement = locally(base, random);
      Node page = Laid.show(base, placement);

      Rebased rebased = Rebases.of(PLACEMENT, placement, 1, List.of(base, library));
      MergeResult<RawText> merged =
          new MergeAlgorithm()
              .merge(RawTextComparator.DEFAULT, text(base), text(page), text(library));

      Set<LocalKey> asked = new TreeSet<>();
      rebased.questions().forEach(q -> asked.addAll(q.keys()));
      assertThat(asked).as("seed %d", seed).isEqualTo(conflicting(merged));
      conflicts += asked.size();
      if (asked.isEmpty()) {
        Node shown = Laid.show(library, rebased.settled(Map.of()));
        assertThat(content(text(shown))).as("seed %d", seed).isEqualTo(content(merged));
      }
    }
    assertThat(conflicts).isGreaterThan(500);
  }

  /**
   * Through two levels: the piece stands in another one, that has values of its own on it and
   * follows. The expanded trees are merged.
   */
  @Test
  void soItIsThroughTwoLevels() {
    int conflicts = 0;
    for (long seed = 0; seed < 600; seed++) {
      Random random = new Random(seed);
      Shelf shelf = new Shelf();
      shelf.keep("inner", changed(section(), random, 0.6));
      Placement around = locally(shelf.revision("inner", 1).root(), random);
      shelf.keep(
          "outer",
          Node.of(NodeId.of("o"), Kind.BOX, "")
              .withChildren(
                  List.of(
                      Node.placing(NodeId.of("i"), "", "inner")
                          .withPlacement(
                              Placement.of("inner")
                                  .withBound(1)
                                  .saying(around.layer().changes())))));
      Settlement answer = Settlement.values()[random.nextInt(2)];
      shelf.release(
          "inner",
          changed(shelf.revision("inner", 1).root(), random, 0.3),
          asked -> Optional.of(answer));
      Node base = inside(shelf, 1);
      Node library = inside(shelf, shelf.current("outer"));
      Placement own = locally(base, random);
      Map<LocalKey, LocalValue> byPath = new HashMap<>();
      own.layer()
          .changes()
          .forEach(
              (key, value) ->
                  byPath.put(new LocalKey(key.node().within(NodeId.of("i")), key.aspect()), value));
      Placement placement = Placement.of("outer").withBound(1).saying(byPath);

      Rebased rebased =
          Rebase.of(PLACEMENT, placement, 1, shelf.current("outer"), shelf, Showing.BOUND);
      MergeResult<RawText> merged =
          new MergeAlgorithm()
              .merge(
                  RawTextComparator.DEFAULT, text(base), text(Laid.show(base, own)), text(library));

      Set<LocalKey> asked = new TreeSet<>();
      rebased
          .questions()
          .forEach(
              q ->
                  q.keys()
                      .forEach(key -> asked.add(new LocalKey(key.node().inner(), key.aspect()))));
      assertThat(asked).as("seed %d", seed).isEqualTo(conflicting(merged));
      conflicts += asked.size();
    }
    assertThat(conflicts).isGreaterThan(300);
  }

  /** What stands in the outer piece, by its ids in the inner one. */
  private static Node inside(Shelf shelf, int revision) {
    NodeId member = NodeId.of("i");
    Node placed = shelf.expanded("outer", revision).index().node(member).orElseThrow();
    return placed.children().get(0).mapIds(id -> id.from(member));
  }

  private static Placement locally(Node base, Random random) {
    Map<LocalKey, LocalValue> changes = new HashMap<>();
    for (LocalKey key : keys()) {
      StyleValue value = value(random);
      boolean same = value.equals(base.find(key.node()).orElseThrow().styles().get(style(key)));
      if (random.nextDouble() < 0.2 && !same) {
        changes.put(key, new LocalValue.StyleIs(Optional.of(value)));
      }
    }
    return Placement.of("piece").saying(changes);
  }

  private static Set<LocalKey> conflicting(MergeResult<RawText> merged) {
    Set<LocalKey> keys = new TreeSet<>();
    for (MergeChunk chunk : merged) {
      if (chunk.getConflictState() == MergeChunk.ConflictState.FIRST_CONFLICTING_RANGE) {
        RawText text = merged.getSequences().get(chunk.getSequenceIndex());
        for (int line = chunk.getBegin(); line < chunk.getEnd(); line++) {
          String before = text.getString(line - 1);
          keys.add(LocalKey.parse(before.substring(1, before.length() - 1)));
        }
      }
    }
    return keys;
  }

  private static String content(RawText text) {
    return text.getString(0, text.size(), false);
  }

  private static String content(MergeResult<RawText> merged) {
    StringBuilder all = new StringBuilder();
    for (MergeChunk chunk : merged) {
      RawText text = merged.getSequences().get(chunk.getSequenceIndex());
      all.append(text.getString(chunk.getBegin(), chunk.getEnd(), false));
    }
    return all.toString();
  }
}
