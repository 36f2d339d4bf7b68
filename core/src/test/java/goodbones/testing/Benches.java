package goodbones.testing;

import goodbones.document.Edit;
import goodbones.document.Editor;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.library.Library;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.library.UnknownPiece;
import goodbones.structure.Bench;
import goodbones.style.SiteFinishes;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;

/** A page written out by hand, laid on the bench in the house's finishes. */
public final class Benches {
  private static final SiteFinishes FINISHES = new SiteFinishes(HouseFinishes.house(), Map.of());

  /** For documents in which nothing is placed. */
  public static final Library NO_PIECES =
      (piece, number) -> {
        throw new UnknownPiece("There are no pieces here, and so no " + piece);
      };

  private Benches() {}

  /** New nodes are called new0, new1 and so on, as far as nothing there is. */
  public static Bench bench(Node page) {
    AtomicInteger next = new AtomicInteger();
    return new Bench(
        page,
        Shown.of(page),
        FINISHES,
        () ->
            Stream.generate(() -> NodeId.of("new" + next.getAndIncrement()))
                .filter(id -> page.find(id).isEmpty())
                .findFirst()
                .orElseThrow(),
        NO_PIECES,
        Showing.BOUND);
  }

  public static Node after(Node page, Edit edit) {
    return Editor.apply(page, edit).root();
  }

  /** What stands in a node, in short: {@code section(row(c0(t) c1))}. */
  public static String shape(Node node) {
    StringBuilder shape = new StringBuilder(node.id().value());
    if (!node.children().isEmpty()) {
      shape.append('(');
      String between = "";
      for (Node child : node.children()) {
        shape.append(between).append(shape(child));
        between = " ";
      }
      shape.append(')');
    }
    return shape.toString();
  }
}
