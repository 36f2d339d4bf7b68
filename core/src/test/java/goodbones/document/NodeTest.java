package goodbones.document;

import static goodbones.testing.Built.node;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;

class NodeTest {
  private static Predicate<Node> holds(String... ids) {
    return node -> List.of(ids).stream().anyMatch(id -> node.find(NodeId.of(id)).isPresent());
  }

  @Test
  void theInnermostIsTheFirstInReadingOrderAndTheNodeItselfIfNoneBelowIt() {
    Node page =
        node(
            "page",
            Kind.PAGE,
            node("empty", Kind.SECTION),
            node("one", Kind.SECTION, node("words", Kind.TEXT), node("more", Kind.TEXT)),
            node("two", Kind.SECTION, node("last", Kind.TEXT)));
    assertThat(page.innermost(holds("more", "last")).map(Node::id)).contains(NodeId.of("more"));
    assertThat(page.innermost(holds("last")).map(Node::id)).contains(NodeId.of("last"));
    assertThat(page.innermost(holds("two")).map(Node::id)).contains(NodeId.of("two"));
    assertThat(page.innermost(holds("page")).map(Node::id)).contains(NodeId.of("page"));
    assertThat(page.innermost(holds("nowhere"))).isEmpty();
  }
}
