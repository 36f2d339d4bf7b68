package goodbones.server.documents;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Aspect;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalOrder;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.propagation.Rollout;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is kept comes back as it was, for every kind of value that a document can hold. */
class DocumentJsonTest {
  private static final NodeId HEADING = NodeId.of("h");
  private static final StyleKey HOVER = StyleKey.parse("background-color@phone:hover");
  private static final Node BUTTON =
      Node.of(NodeId.of("b"), Kind.BUTTON, "Go “there”")
          .withContent("words", new FieldValue.Words("Go\nthere"))
          .withContent("link", new FieldValue.Link("/fares#today"))
          .withStyle(HOVER, StyleValue.token("t-accent"))
          .withStyle(StyleKey.parse("border-radius"), StyleValue.literal("8px"))
          .withNamedStyles(List.of("one", "two"))
          .withHiddenOn(Set.of(Device.TABLET))
          .withSlots(List.of("words"));

  private static Placement placement() {
    Map<LocalKey, LocalValue> changes =
        Map.of(
            new LocalKey(HEADING, Aspect.content("level")),
            new LocalValue.ContentIs(new FieldValue.Level(3)),
            new LocalKey(NodeId.of("s"), Aspect.content("picture")),
            new LocalValue.ContentIs(new FieldValue.Picture("ferry", "A ferry", true)),
            new LocalKey(HEADING, Aspect.style(HOVER)),
            new LocalValue.StyleIs(Optional.empty()),
            new LocalKey(HEADING, Aspect.VISIBILITY),
            new LocalValue.HiddenOn(Set.of(Device.PHONE)),
            new LocalKey(HEADING, Aspect.NAMED_STYLES),
            new LocalValue.NamedStylesAre(List.of("caption")),
            new LocalKey(NodeId.of("s"), Aspect.SCHEME),
            new LocalValue.SchemeIs(Optional.of("dark")),
            new LocalKey(NodeId.of("gone"), Aspect.REMOVED),
            new LocalValue.IsRemoved(),
            new LocalKey(BUTTON.id(), Aspect.PLACED),
            new LocalValue.PlacedUnder(NodeId.of("s"), Optional.of(BUTTON)));
    return Placement.of("piece", 3)
        .saying(changes)
        .withOrder(NodeId.of("s"), Optional.of(new LocalOrder(List.of(HEADING, BUTTON.id()), 3)))
        .withPin(Optional.of(new Pin(4, Pin.Reason.HELD)));
  }

  private static Node page() {
    return Node.of(NodeId.of("page"), Kind.PAGE, "")
        .withChildren(
            List.of(Node.placing(NodeId.of("p"), "", "piece").withPlacement(placement())));
  }

  @Test
  void aPageWithEveryAspectComesBack() {
    assertThat(DocumentJson.read(DocumentJson.write(page()), Node.class)).isEqualTo(page());
    assertThat(DocumentJson.write(page())).isEqualTo(DocumentJson.write(page()));
  }

  @Test
  void aRolloutComesBack() {
    Rollout rollout =
        new Rollout(
            "piece",
            5,
            List.of(new Rollout.AdoptedStep("site", "opening-band", 4, 5)),
            List.of(
                new Rollout.WrittenStep(
                    "site", "page", NodeId.of("p"), placement(), Placement.of("piece"))));
    assertThat(DocumentJson.read(DocumentJson.write(rollout), Rollout.class)).isEqualTo(rollout);
  }

  static Stream<Edit> edits() {
    LocalKey key = new LocalKey(HEADING, Aspect.style(HOVER));
    List<Edit> edits =
        List.of(
            new Edit.Insert(HEADING, 2, BUTTON),
            new Edit.Remove(HEADING),
            new Edit.Move(HEADING, BUTTON.id(), 0),
            new Edit.SetContent(HEADING, "words", Optional.empty()),
            new Edit.SetStyle(HEADING, HOVER, Optional.of(StyleValue.token("t"))),
            new Edit.SetVisibility(HEADING, Set.of()),
            new Edit.SetNamedStyles(HEADING, List.of("a")),
            new Edit.SetScheme(HEADING, Optional.of("dark")),
            new Edit.SetSlot(HEADING, "words", true),
            new Edit.Rename(HEADING, "Title"),
            new Edit.SetLocal(NodeId.of("p"), key, Optional.of(new LocalValue.IsRemoved())),
            new Edit.SetOrder(NodeId.of("p"), HEADING, List.of()),
            new Edit.SetPin(NodeId.of("p"), Optional.empty()));
    return Stream.concat(edits.stream(), Stream.of(new Edit.Group(edits)));
  }

  @ParameterizedTest
  @MethodSource("edits")
  void everyEditComesBack(Edit edit) {
    assertThat(DocumentJson.read(DocumentJson.write(edit), Edit.class)).isEqualTo(edit);
  }

  @Test
  void whatCannotBeReadIsAFaultOfTheApplication() {
    assertThatThrownBy(() -> DocumentJson.read("{\"id\":", Node.class))
        .isInstanceOf(IllegalStateException.class)
        .hasMessageContaining("a kept Node cannot be read");
  }
}
