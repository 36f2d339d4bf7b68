package goodbones.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class NodeIdTest {
  private static final int DEEPEST = 9;

  private static NodeId deep(int steps) {
    return NodeId.of(
        IntStream.range(0, steps).mapToObj(i -> "s" + i).collect(Collectors.joining("/")));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "/", "a/", "/a", "a//b", "a b", "ä", "a.b"})
  void whatIsNoIdIsRefused(String value) {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> NodeId.of(value))
        .withMessageContaining("“" + value + "”");
  }

  @Test
  void stepsAndDepthHaveLimits() {
    assertThat(NodeId.of("a".repeat(64)).value()).hasSize(64);
    assertThatIllegalArgumentException().isThrownBy(() -> NodeId.of("a".repeat(65)));
    assertThat(deep(DEEPEST).isInside()).isTrue();
    assertThatIllegalArgumentException().isThrownBy(() -> deep(DEEPEST + 1));
  }

  /** However an id is made of others, it is the one that is made of its text. */
  @Test
  void whatIsMadeOfOthersIsWhatItsTextSays() {
    for (int steps = 1; steps <= DEEPEST; steps++) {
      NodeId id = deep(steps);
      List<NodeId> made =
          new ArrayList<>(
              List.of(id.outer(), id.inner(), id.own(), id.around(), id.beside(NodeId.of("x"))));
      for (int more = 1; more <= DEEPEST; more++) {
        NodeId around = deep(more);
        if (steps + more > DEEPEST) {
          assertThatIllegalArgumentException().isThrownBy(() -> id.within(around));
        } else {
          NodeId inside = id.within(around);
          made.add(inside);
          assertThat(inside.isIn(around)).isTrue();
          assertThat(inside.from(around)).isEqualTo(id);
          made.add(inside.from(around));
        }
      }
      for (NodeId each : made) {
        NodeId read = NodeId.of(each.value());
        assertThat(each).isEqualTo(read).hasSameHashCodeAs(read);
        assertThat(each.isInside()).isEqualTo(each.value().contains("/"));
        assertThat(each.inner()).isEqualTo(read.inner());
        assertThat(each.around()).isEqualTo(read.around());
      }
    }
  }

  @Test
  void nothingIsSeenFromWhereItDoesNotStand() {
    NodeId id = NodeId.of("card/title");
    assertThat(id.isIn(NodeId.of("car"))).isFalse();
    assertThat(id.isIn(id)).isFalse();
    assertThatThrownBy(() -> id.from(NodeId.of("car"))).hasMessageContaining("“card/title”");
  }
}
