package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.library.Adopted;
import goodbones.library.Placements;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class BroughtBackTest {
  private static final Pin HELD = new Pin(1, Pin.Reason.HELD);

  private static Node page(Optional<Pin> pin) {
    Node placement =
        Node.placing(NodeId.of("p"), "", "band")
            .withPlacement(Placement.of("band").withBound(1).withPin(pin));
    return Node.of(NodeId.of("page"), Kind.PAGE, "").withChildren(List.of(placement));
  }

  private static Optional<Pin> pin(Optional<Pin> before, Map<String, Integer> then, int now) {
    Node back = BroughtBack.page(page(before), new Adopted(then), new Adopted(Map.of("band", now)));
    return Placements.of(back).get(NodeId.of("p")).pin();
  }

  @Test
  void whatTheSiteShowsAsThenIsAsItWas() {
    assertThat(pin(Optional.empty(), Map.of("band", 2), 2)).isEmpty();
  }

  @Test
  void whatTheSiteShowsInAnotherRevisionStaysOnTheOneShownThenAndWaits() {
    assertThat(pin(Optional.empty(), Map.of("band", 2), 3))
        .as("on what was shown, which may be newer than what it is settled on")
        .contains(new Pin(2, Pin.Reason.WAITING));
    assertThat(pin(Optional.empty(), Map.of("band", 2), 1))
        .as("also where the site went back")
        .contains(new Pin(2, Pin.Reason.WAITING));
  }

  @Test
  void whatStayedOnARevisionStaysThere() {
    assertThat(pin(Optional.of(HELD), Map.of("band", 2), 3)).contains(HELD);
  }
}
