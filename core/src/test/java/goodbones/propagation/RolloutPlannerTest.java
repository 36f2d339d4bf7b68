package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Aspect;
import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.library.Library;
import goodbones.library.Revision;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class RolloutPlannerTest {
  private static final NodeId HEADING = NodeId.of("h");
  private static final StyleKey PHONE_SIZE = StyleKey.parse("font-size@phone");
  private static final Node OLD =
      Node.of(NodeId.of("s"), Kind.SECTION, "")
          .withChildren(List.of(Node.of(HEADING, Kind.HEADING, "")));
  private static final Node NEW =
      OLD.change(HEADING, n -> n.withStyle(PHONE_SIZE, StyleValue.literal("30px")));
  private static final Library LIBRARY =
      (piece, number) -> new Revision(piece, number, number == 1 ? OLD : NEW, "", 1);

  private static PlacementPlan plan(Placement placement) {
    Node page =
        Node.of(Scene.PAGE, Kind.PAGE, "")
            .withChildren(
                List.of(Node.placing(Scene.PLACEMENT, "", Scene.PIECE).withPlacement(placement)));
    return new RolloutPlanner(LIBRARY)
        .plan(Release.of(Scene.PIECE, 2), Sites.of(page, 1), Map.of())
        .placements()
        .get(0);
  }

  private static Placement with(LocalKey key, LocalValue value) {
    return Placement.of(Scene.PIECE).with(key, value);
  }

  @Test
  void aFilledPlacementIsCleanAndTheNodesThatChangeAreNamedPerDevice() {
    PlacementPlan plan =
        plan(
            with(
                new LocalKey(HEADING, Aspect.content("words")),
                new LocalValue.ContentIs(new FieldValue.Words("Ours"))));
    assertThat(plan.status()).isEqualTo(PlacementPlan.Status.CLEAN);
    assertThat(plan.changes()).hasSize(1);
    assertThat(plan.changes().get(0).devices()).isEqualTo(Set.of(Device.PHONE));
    assertThat(plan.changes().get(0).what()).containsExactly("Text size");
  }

  @Test
  void aLocalChangeThatStandsIsSaid() {
    LocalKey key = new LocalKey(HEADING, Aspect.style(StyleKey.parse("color")));
    LocalValue value = new LocalValue.StyleIs(Optional.of(StyleValue.literal("#111111")));
    assertThat(plan(with(key, value)).status()).isEqualTo(PlacementPlan.Status.STAND);
  }

  @Test
  void whereAnOverrideHidesTheChangeThereIsNothingToSee() {
    LocalKey key = new LocalKey(HEADING, Aspect.REMOVED);
    assertThat(plan(with(key, new LocalValue.IsRemoved())).status())
        .isEqualTo(PlacementPlan.Status.NOTHING_TO_SEE);
  }

  @Test
  void aHeldPlacementIsLeftAlone() {
    Placement held = Placement.of(Scene.PIECE).withPin(Optional.of(new Pin(1, Pin.Reason.HELD)));
    PlacementPlan plan = plan(held);
    assertThat(plan.status()).isEqualTo(PlacementPlan.Status.HELD);
    assertThat(plan.after(Map.of())).isEqualTo(held);
  }

  @Test
  void aConflictAsks() {
    LocalKey key = new LocalKey(HEADING, Aspect.style(PHONE_SIZE));
    LocalValue value = new LocalValue.StyleIs(Optional.of(StyleValue.literal("20px")));
    PlacementPlan plan = plan(with(key, value));
    assertThat(plan.status()).isEqualTo(PlacementPlan.Status.TO_DECIDE);
    assertThat(plan.after(Map.of()).pin()).contains(new Pin(1, Pin.Reason.WAITING));
  }

  @Test
  void whatTheRealPageAroundItSaysAlreadyIsNothingToSee() {
    StyleKey colour = StyleKey.parse("color");
    StyleValue red = StyleValue.literal("#aa0000");
    Library library =
        (piece, number) ->
            new Revision(
                piece,
                number,
                number == 1 ? OLD : OLD.change(HEADING, n -> n.withStyle(colour, red)),
                "",
                1);
    Node page =
        Node.of(Scene.PAGE, Kind.PAGE, "")
            .withChildren(
                List.of(
                    Node.placing(Scene.PLACEMENT, "", Scene.PIECE)
                        .withPlacement(Placement.of(Scene.PIECE))));
    RolloutPlanner planner = new RolloutPlanner(library);
    Release release = Release.of(Scene.PIECE, 2);
    assertThat(planner.plan(release, Sites.of(page, 1), Map.of()).placements().get(0).status())
        .isEqualTo(PlacementPlan.Status.CLEAN);
    assertThat(
            planner
                .plan(release, Sites.of(page.withStyle(colour, red), 1), Map.of())
                .placements()
                .get(0)
                .status())
        .isEqualTo(PlacementPlan.Status.NOTHING_TO_SEE);
  }
}
