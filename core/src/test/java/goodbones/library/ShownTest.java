package goodbones.library;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Aspect;
import goodbones.document.Device;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.testing.Trees;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ShownTest {
  /** What the cascade may leave out must really have nothing to say. */
  @Test
  void noLayerStandsForAPropertyThatIsNotNamed() {
    for (long seed = 0; seed < 80; seed++) {
      Trees trees = new Trees(seed, "n");
      Node piece = trees.section();
      List<Node> nodes = new ArrayList<>();
      piece.walk(nodes::add);
      Placement placement = Placement.of("piece");
      for (int i = 0; i < 4; i++) {
        Node node = nodes.get(trees.random().nextInt(nodes.size()));
        StyleKey key =
            StyleKey.of(
                trees.random().nextBoolean() ? StyleProperty.COLOR : StyleProperty.LETTER_SPACING,
                Device.values()[trees.random().nextInt(3)]);
        Optional<StyleValue> value =
            trees.random().nextBoolean()
                ? Optional.empty()
                : Optional.of(StyleValue.literal("#123456"));
        placement =
            placement.with(
                new LocalKey(node.id(), Aspect.style(key)), new LocalValue.StyleIs(value));
      }
      Node page =
          Node.of(NodeId.of("page"), Kind.PAGE, "")
              .withChildren(
                  List.of(
                      Node.placing(NodeId.of("p"), "", "piece").withPlacement(placement),
                      new Trees(seed, "own").section()));
      Shown shown =
          Shown.of(
              page,
              new Adopted(Map.of("piece", 1)),
              (id, number) -> new Revision(id, number, piece, "", 1));
      long failing = seed;
      shown
          .root()
          .walk(
              node -> {
                for (StyleProperty property : StyleProperty.values()) {
                  for (Device device : Device.values()) {
                    for (State state : State.values()) {
                      boolean silent =
                          shown.layers(node, new StyleKey(property, device, state)).isEmpty();
                      assertThat(silent || shown.properties(node).contains(property))
                          .as("seed %d, %s of %s", failing, property, node.id())
                          .isTrue();
                    }
                  }
                }
              });
    }
  }
}
