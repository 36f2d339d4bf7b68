package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Library;
import goodbones.library.Revision;
import goodbones.library.Shown;
import goodbones.testing.Runs;
import goodbones.testing.Shelf;
import goodbones.testing.TextForm;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.eclipse.jgit.diff.RawText;
import org.eclipse.jgit.diff.RawTextComparator;
import org.eclipse.jgit.merge.MergeAlgorithm;
import org.junit.jupiter.api.Test;

/**
 * How long a rebase takes against JGit's three-way merge of the same documents as text, one
 * property a line, on scenes of the generator: pieces in pieces, removals, lists, moves, variants.
 * Nothing is required of the time, which is printed: a few rounds run with the tests so that this
 * goes on working, and with {@code LONG_TESTS=1} so many that they say something. Figures are in
 * docs/performance.md.
 */
class RebaseSpeedTest {
  private static final int SCENES = Runs.of(9, 60);
  private static final int REVISIONS = 200;
  private static final int CHANGES = 10;
  private static final int ROUNDS = Runs.of(2, 60);
  private static final long SINK_NEVER = Long.MIN_VALUE;
  private long sink;

  /** The library as a server has it that forgets what revisions show. */
  private record Forgetting(Library library) implements Library {
    @Override
    public Revision revision(String pieceId, int number) {
      return library.revision(pieceId, number);
    }
  }

  @Test
  void againstATextMerge() {
    for (int boxes : new int[] {0, 12, 40}) {
      against(boxes);
    }
  }

  /** Case 49: ten changes made on ten of two hundred revisions, against ten made on one. */
  @Test
  void aLongWayCostsNoMoreThanAShortOne() {
    // Whichever came first would pay for what is loaded and compiled.
    nextRevision(1);
    double one = nextRevision(1);
    double many = nextRevision(REVISIONS);
    System.out.printf(
        Locale.ROOT,
        "the next of %d revisions takes %.2f times as long as the second of two%n",
        REVISIONS + 1,
        many / one);
    assertThat(sink).isNotEqualTo(SINK_NEVER);
  }

  /** How long a rebase to the revision after some takes, with changes made all along the way. */
  private double nextRevision(int revisions) {
    Shelf shelf = new Shelf();
    List<Node> texts = new ArrayList<>();
    for (int i = 0; i < CHANGES; i++) {
      texts.add(SmallSite.text("x" + i, "Words"));
    }
    shelf.keep("B", SmallSite.box("br", texts.toArray(Node[]::new)));
    SmallSite site = new SmallSite(shelf, shelf.placing(NodeId.of("q"), "B"));
    for (int made = 1; made <= revisions; made++) {
      if (revisions == 1 || made % (revisions / CHANGES) == 0) {
        for (int i = 0; i < CHANGES; i++) {
          if (revisions == 1 || i == made * CHANGES / revisions - 1) {
            site.edit(SmallSite.paint("q/x" + i, "#00000" + i));
          }
        }
      }
      site.release("B", SmallSite.paint("br", "#%06x".formatted(made)));
      if (made < revisions) {
        site.rollOut(Settlement.TAKE, "B");
      }
    }
    Placement placement = site.placement("q");
    assertThat(placement.changes()).hasSize(CHANGES);
    Adopted after = new Adopted(Map.of("B", revisions + 1));
    return nanos(
        () ->
            Rebase.of(NodeId.of("q"), placement, revisions, revisions + 1, shelf, after)
                .settled(Map.of())
                .changes()
                .size());
  }

  private void against(int boxes) {
    int nodes = 0;
    List<Double> kept = new ArrayList<>();
    List<Double> forgotten = new ArrayList<>();
    for (long seed = 1; seed <= SCENES; seed++) {
      if (seed % 3 == 0) {
        continue;
      }
      Scene scene = new Scene(seed * 11 + 5, 3, boxes);
      scene.editLocally(1, 12);
      Placement placement = scene.placement();
      if (placement.changes().isEmpty()) {
        continue;
      }
      RawText base = text(Shown.of(scene.with(Placement.of(Scene.PIECE)), at(1), scene.shelf));
      RawText page = text(scene.shown(scene.page, 1));
      RawText library = text(Shown.of(scene.with(Placement.of(Scene.PIECE)), at(4), scene.shelf));
      double merge =
          nanos(
              () ->
                  new MergeAlgorithm()
                      .merge(RawTextComparator.DEFAULT, base, page, library)
                      .getSequences()
                      .size());
      nodes += scene.revisions.get(0).all().size();
      kept.add(merge / nanos(() -> rebased(placement, scene.shelf)));
      forgotten.add(merge / nanos(() -> rebased(placement, new Forgetting(scene.shelf))));
    }
    String size = nodes / kept.size() + " nodes, expansions ";
    System.out.println(told(size + "kept", kept));
    System.out.println(told(size + "made anew", forgotten));
    assertThat(kept).hasSizeGreaterThan(SCENES / 2);
    assertThat(sink).isNotEqualTo(SINK_NEVER);
  }

  private static Adopted at(int revision) {
    return new Adopted(Map.of(Scene.PIECE, revision));
  }

  private static int rebased(Placement placement, Library library) {
    Rebased rebased = Rebase.of(Scene.PLACEMENT, placement, 1, 4, library, at(4));
    Map<String, Settlement> decisions = new HashMap<>();
    for (Question question : rebased.questions()) {
      boolean stay = question.choices().contains(Settlement.STAY);
      decisions.put(question.id(), stay ? Settlement.STAY : Settlement.TAKE);
    }
    return rebased.settled(decisions).changes().size();
  }

  /** The median of some rounds, after as many to warm up. */
  private double nanos(java.util.function.IntSupplier work) {
    List<Long> times = new ArrayList<>();
    for (int round = 0; round < 2 * ROUNDS; round++) {
      long before = System.nanoTime();
      sink += work.getAsInt();
      if (round >= ROUNDS) {
        times.add(System.nanoTime() - before);
      }
    }
    Collections.sort(times);
    return times.get(times.size() / 2);
  }

  private static String told(String what, List<Double> ratios) {
    Collections.sort(ratios);
    return String.format(
        Locale.ROOT,
        "%s: a text merge takes %.2f times as long in the median of %d scenes, %.2f times in the"
            + " worst tenth, %.2f at worst",
        what,
        ratios.get(ratios.size() / 2),
        ratios.size(),
        ratios.get(ratios.size() / 10),
        ratios.get(0));
  }

  private static RawText text(Shown shown) {
    return new RawText(TextForm.of(shown.root()).getBytes(StandardCharsets.UTF_8));
  }
}
