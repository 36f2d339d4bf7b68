package goodbones.testing;

import goodbones.document.Catalogue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Pages of everything that may stand in everything, with every setting that the catalogue has. */
public final class CataloguePages {
  private static final int DEPTH = 6;
  private final Random random;
  private final Samples samples;
  private final int oneOfSettings;
  private int next;
  private int room;

  /**
   * @param oneOfSettings how rare a setting is: one of so many that a node could have
   */
  public CataloguePages(Random random, int oneOfSettings) {
    this.random = random;
    this.oneOfSettings = oneOfSettings;
    this.samples = new Samples(random);
  }

  /** A page of about so many nodes. */
  public Node page(int nodes) {
    room = nodes;
    List<Node> children = new ArrayList<>();
    while (room > 0) {
      children.add(child(Kind.PAGE, 1));
    }
    return node(Kind.PAGE).withChildren(children);
  }

  private Node node(Kind kind) {
    room--;
    return samples.node(NodeId.of("n" + next++), kind, oneOfSettings);
  }

  private Node child(Kind parent, int depth) {
    List<Kind> kinds = new ArrayList<>(Catalogue.children(parent));
    kinds.removeIf(Kind::isMember);
    if (depth >= DEPTH && kinds.stream().anyMatch(Kind::isElement)) {
      kinds.removeIf(kind -> !kind.isElement());
    } else if (kinds.contains(Kind.SECTION)) {
      // As many sections as all else together, so that there is depth on most pages.
      while (kinds.stream().filter(Kind.SECTION::equals).count() < 6) {
        kinds.add(Kind.SECTION);
      }
    } else {
      kinds.stream().filter(Kind::holdsOthers).toList().forEach(kinds::add);
    }
    Kind kind = samples.any(kinds);
    Node node = node(kind);
    if (!kind.holdsOthers()) {
      return node;
    }
    List<Node> children = new ArrayList<>();
    int count = random.nextInt(kind == Kind.ROW ? 6 : 4);
    for (int i = 0; i < count && (room > 0 || i == 0); i++) {
      children.add(child(kind, depth + 1));
    }
    return node.withChildren(children);
  }
}
