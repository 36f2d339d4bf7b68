package goodbones.style;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.testing.Trees;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class CascadeTest {
  private static StyleValue px(int n) {
    return StyleValue.literal(n + "px");
  }

  private static StyleKey key(String text) {
    return StyleKey.parse(text);
  }

  private static final OwnValues STORED =
      (node, key) ->
          Optional.ofNullable(node.styles().get(key))
              .map(value -> List.of(new Layer(Layer.Source.OWN, "", value)))
              .orElse(List.of());

  private static final Finishes FINISHES =
      Finishes.of(
          List.of(
              Token.of("t", "size.display", TokenType.DIMENSION, StyleValue.literal("60px"), "")),
          List.of(
              new NamedStyle(
                  "one",
                  "One",
                  Map.of(key("font-size"), px(31), key("color"), StyleValue.literal("#111111"))),
              new NamedStyle("two", "Two", Map.of(key("font-size@tablet"), px(22)))),
          Map.of(
              Kind.HEADING, Map.of(key("font-size"), px(30), key("font-size@phone"), px(20)),
              Kind.BUTTON, Map.of(key("background-color:hover"), StyleValue.literal("#333333"))));

  private static Node page(Node child) {
    return Node.of(NodeId.of("page"), Kind.PAGE, "")
        .withStyle(key("color"), StyleValue.literal("#abcdef"))
        .withChildren(
            List.of(Node.of(NodeId.of("s"), Kind.SECTION, "").withChildren(List.of(child))));
  }

  private static Computed computed(Node node, StyleProperty property, Device device) {
    return computed(node, property, device, State.NORMAL);
  }

  private static Computed computed(Node node, StyleProperty property, Device device, State state) {
    return new Cascade(page(node), STORED, new SiteFinishes(FINISHES, Map.of()))
        .computed(node, property, device, state);
  }

  private static Node heading() {
    return Node.of(NodeId.of("h"), Kind.HEADING, "");
  }

  @Test
  void aNarrowerDeviceBeatsAWiderOneAndOwnBeatsNamedOnTheSame() {
    Node node =
        heading().withNamedStyles(List.of("one", "two")).withStyle(key("font-size"), px(40));
    assertThat(computed(node, StyleProperty.FONT_SIZE, Device.DESKTOP).css()).isEqualTo("40px");
    assertThat(computed(node, StyleProperty.FONT_SIZE, Device.TABLET).css())
        .as("named for the tablet beats own for the desktop")
        .isEqualTo("22px");
    Node own = node.withStyle(key("font-size@tablet"), px(25));
    assertThat(computed(own, StyleProperty.FONT_SIZE, Device.PHONE).css()).isEqualTo("25px");
  }

  @Test
  void theKindsDefaultComesAfterAllThatTheNodeSays() {
    Computed bare = computed(heading(), StyleProperty.FONT_SIZE, Device.PHONE);
    assertThat(bare.css()).isEqualTo("20px");
    assertThat(bare.won().source()).isEqualTo(Layer.Source.DEFAULT);
    Node own = heading().withStyle(key("font-size"), px(40));
    assertThat(computed(own, StyleProperty.FONT_SIZE, Device.PHONE).css()).isEqualTo("40px");
  }

  @Test
  void onlyInheritedPropertiesComeFromTheParent() {
    Computed colour = computed(heading(), StyleProperty.COLOR, Device.DESKTOP);
    assertThat(colour.css()).isEqualTo("#abcdef");
    assertThat(colour.won().source()).isEqualTo(Layer.Source.INHERITED);
    assertThat(colour.won().node()).isEqualTo(NodeId.of("page"));
    Computed margin = computed(heading(), StyleProperty.MARGIN_TOP, Device.DESKTOP);
    assertThat(margin.won().source()).isEqualTo(Layer.Source.INITIAL);
  }

  @Test
  void aStateRunsThroughTheNodesOwnFirstAndThenTheNormalValues() {
    Node button = Node.of(NodeId.of("b"), Kind.BUTTON, "");
    assertThat(computed(button, StyleProperty.BACKGROUND_COLOR, Device.DESKTOP, State.HOVER).css())
        .isEqualTo("#333333");
    Node own = button.withStyle(key("background-color"), StyleValue.literal("#aa0000"));
    assertThat(computed(own, StyleProperty.BACKGROUND_COLOR, Device.DESKTOP, State.HOVER).css())
        .as("an own normal value beats the default of a state")
        .isEqualTo("#aa0000");
    Node hover = own.withStyle(key("background-color:hover"), StyleValue.literal("#00aa00"));
    assertThat(computed(hover, StyleProperty.BACKGROUND_COLOR, Device.DESKTOP, State.HOVER).css())
        .isEqualTo("#00aa00");
    assertThat(computed(hover, StyleProperty.BACKGROUND_COLOR, Device.DESKTOP).css())
        .isEqualTo("#aa0000");
  }

  @Test
  void theTrailHoldsEveryCandidateInOrderWithItsTokens() {
    Node node =
        heading()
            .withNamedStyles(List.of("one"))
            .withStyle(key("font-size"), StyleValue.token("t"));
    Computed size = computed(node, StyleProperty.FONT_SIZE, Device.DESKTOP);
    assertThat(size.trail())
        .extracting(Candidate::source)
        .containsExactly(
            Layer.Source.OWN, Layer.Source.NAMED, Layer.Source.DEFAULT, Layer.Source.INITIAL);
    assertThat(size.won().chain())
        .extracting(SiteFinishes.Step::name)
        .containsExactly("size.display");
    assertThat(size.css()).isEqualTo("60px");
  }

  @Test
  void aLocalNoneTakesTheKeyAwayAndTheNextCandidateWins() {
    OwnValues withNone =
        (node, key) ->
            key.equals(key("font-size")) && node.kind() == Kind.HEADING
                ? List.of(
                    new Layer(Layer.Source.LOCAL, "", Optional.empty()),
                    new Layer(Layer.Source.PIECE, "piece 1", px(76)))
                : List.of();
    Node node = heading();
    Computed size =
        new Cascade(page(node), withNone, new SiteFinishes(FINISHES, Map.of()))
            .computed(node, StyleProperty.FONT_SIZE, Device.DESKTOP);
    assertThat(size.css()).isEqualTo("30px");
    assertThat(size.trail())
        .extracting(Candidate::source)
        .startsWith(Layer.Source.LOCAL, Layer.Source.PIECE);
  }

  @Test
  void theTrailsWinnerIsTheValueThatTheRendererTakes() {
    for (long seed = 0; seed < 60; seed++) {
      Node page =
          Node.of(NodeId.of("page"), Kind.PAGE, "")
              .withChildren(
                  List.of(new Trees(seed, "w").section(), new Trees(seed, "v").section()));
      Cascade cascade = new Cascade(page, STORED, new SiteFinishes(FINISHES, Map.of()));
      long failing = seed;
      page.walk(
          node -> {
            for (StyleProperty property : Catalogue.styles(node.kind())) {
              for (Device device : Device.values()) {
                for (State state : Catalogue.states(node.kind())) {
                  Candidate shown = cascade.computed(node, property, device, state).won();
                  assertThat(cascade.won(node, property, device, state))
                      .as("seed %d, %s of %s", failing, property, node.id())
                      .isEqualTo(shown);
                  cascade
                      .declared(node, property, device, state)
                      .ifPresent(written -> assertThat(written).isEqualTo(shown));
                }
              }
            }
          });
    }
  }
}
