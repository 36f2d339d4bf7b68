package goodbones.structure;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Catalogue;
import goodbones.document.Columns;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import goodbones.document.StyleKey;
import goodbones.library.Adopted;
import goodbones.library.Library;
import goodbones.library.PageEditor;
import goodbones.library.Revision;
import goodbones.library.Shown;
import goodbones.style.SiteFinishes;
import goodbones.testing.HouseFinishes;
import goodbones.testing.Trees;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;

/** Laws of what hands do, on generated pages, with and without placements on them. */
class StructureLawsTest {
  private static final SiteFinishes FINISHES = new SiteFinishes(HouseFinishes.house(), Map.of());

  /** A page of two sections of its own and a placement, with hands that do anything. */
  private static final class Scene {
    private final Random random;
    private final Library library;
    private final Adopted adopted;
    private final PageEditor editor;
    private final Trees trees;
    private Node page;
    private int next;

    Scene(long seed) {
      random = new Random(seed);
      trees = new Trees(seed, "own");
      Node piece = new Trees(seed + 1, "lib").section();
      library = (id, number) -> new Revision(id, number, piece, "", 1);
      adopted = new Adopted(Map.of("piece", 1));
      editor =
          new PageEditor(adopted, library, new goodbones.propagation.Rebasing(library, adopted));
      page =
          Node.of(NodeId.of("page"), Kind.PAGE, "")
              .withChildren(
                  List.of(
                      trees.section(),
                      Node.placing(NodeId.of("placed"), "", "piece")
                          .withPlacement(goodbones.document.Placement.of("piece").withBound(1)),
                      trees.section()));
    }

    private Bench bench() {
      Supplier<NodeId> ids = () -> NodeId.of("new" + next++);
      return new Bench(page, editor.shown(page), FINISHES, ids, library, adopted);
    }

    private NodeId any(List<Node> nodes) {
      return nodes.get(random.nextInt(nodes.size())).id();
    }

    private <T> T pick(List<T> list) {
      return list.get(random.nextInt(list.size()));
    }

    /** Something that hands could do; it may be refused. */
    Edit edit() {
      Bench bench = bench();
      List<Node> all = bench.root().all();
      NodeId one = any(all);
      List<NodeId> some = List.of(one, any(all));
      Device device = pick(List.of(Device.values()));
      Landing.Load load =
          random.nextBoolean()
              ? new Landing.Carried(some)
              : new Landing.Brought(
                  List.of(new Fresh(bench.ids()).of(pick(List.of(Kind.values())))));
      Optional<NodeId> before =
          bench.need(one).children().isEmpty()
              ? Optional.empty()
              : Optional.of(any(bench.need(one).children()));
      return switch (random.nextInt(14)) {
        case 0, 1, 2 -> new Landing(bench).into(one, before, load);
        case 3, 4 -> new Landing(bench).beside(one, random.nextBoolean(), load);
        case 5 -> new Landing(bench).duplicate(some);
        case 6 -> new Landing(bench).remove(List.of(one));
        case 7 -> new Wrapping(bench).wrap(some, pick(List.of(Kind.values())));
        case 8 -> new Wrapping(bench).unwrap(one);
        case 9 -> new Mirror(bench).mirror(one);
        case 10 -> new RowEdits(bench).layOut(one, pick(COLUMNS), 1 + random.nextInt(5));
        case 11 ->
            new RowEdits(bench).resize(one, device, random.nextDouble() * 12, random.nextBoolean());
        case 12 -> new RowEdits(bench).own(one, device, pick(List.of("3", "1+3", "5.5", "x")));
        default -> {
          List<StyleKey> keys = new ArrayList<>(bench.need(one).styles().keySet());
          StyleKey key = keys.isEmpty() ? StyleKey.parse("color") : pick(keys);
          yield random.nextBoolean()
              ? new Settings(bench).up(one, key)
              : new Settings(bench).down(one, key);
        }
      };
    }
  }

  private static final List<Columns> COLUMNS =
      List.of(
          Columns.EQUAL,
          Columns.parse("8 1+3"),
          Columns.parse("56% 33%"),
          Columns.parse("equal 2"));

  @Test
  void whateverHandsDoCanBeUndoneAndTheCatalogueHolds() {
    int done = 0;
    int refusals = 0;
    for (long seed = 0; seed < 700; seed++) {
      Scene scene = new Scene(seed);
      Node start = scene.page;
      Deque<Edit> undo = new ArrayDeque<>();
      for (int i = 0; i < 10; i++) {
        Node before = scene.page;
        try {
          Edited edited = scene.editor.apply(before, scene.edit());
          assertThat(scene.editor.reapply(edited.root(), edited.inverse()).root())
              .as("seed %d, step %d", seed, i)
              .isEqualTo(before);
          undo.push(edited.inverse());
          scene.page = edited.root();
          done++;
        } catch (Refused refused) {
          assertThat(refused.faults()).as("seed %d", seed).isNotEmpty();
          assertThat(scene.page).isSameAs(before);
          refusals++;
        }
        assertThat(Catalogue.faults(scene.page)).as("seed %d, step %d", seed, i).isEmpty();
        Shown shown = scene.editor.shown(scene.page);
        assertThat(Catalogue.faults(shown.root())).as("seed %d, step %d", seed, i).isEmpty();
      }
      for (Edit inverse : undo) {
        scene.page = scene.editor.reapply(scene.page, inverse).root();
      }
      assertThat(scene.page).as("seed %d", seed).isEqualTo(start);
    }
    assertThat(done).isGreaterThan(2_000);
    assertThat(refusals).isGreaterThan(500);
  }

  @Test
  void nothingThatStoodInARowIsLostByLayingItOutAnew() {
    for (long seed = 0; seed < 300; seed++) {
      Scene scene = new Scene(seed);
      Bench bench = scene.bench();
      for (Node row : bench.root().all().stream().filter(n -> n.kind() == Kind.ROW).toList()) {
        Edit edit = new RowEdits(bench).layOut(row.id(), Columns.EQUAL, 1);
        Node after = scene.editor.shown(scene.editor.apply(scene.page, edit).root()).root();
        for (Node node : row.all()) {
          if (node.kind() != Kind.COLUMN) {
            assertThat(after.find(node.id())).as("seed %d, %s", seed, node.id()).isPresent();
          }
        }
      }
    }
  }
}
