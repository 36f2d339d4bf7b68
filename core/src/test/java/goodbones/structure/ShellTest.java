package goodbones.structure;

import static goodbones.testing.Built.node;
import static goodbones.testing.Built.styled;
import static goodbones.testing.Built.text;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The shell of a piece has its look and nothing of what is in it. */
class ShellTest {
  private static final NodeId ID = NodeId.of("shell");

  @Test
  void theLookComesAlongAndNothingElse() {
    Node root =
        styled(
                node("s", Kind.SECTION, text("t", "Words")),
                "background-color",
                "#203040",
                "padding-top@phone",
                "40px")
            .withNamedStyles(List.of("s-band"))
            .withScheme(Optional.of("dark"))
            .withContent("picture", new FieldValue.Picture("harbour", ""));
    Node shell = Shell.of(root, ID);
    assertThat(shell.id()).isEqualTo(ID);
    assertThat(shell.styles()).isEqualTo(root.styles());
    assertThat(shell.namedStyles()).isEqualTo(root.namedStyles());
    assertThat(shell.scheme()).isEqualTo(root.scheme());
    assertThat(shell.children()).isEmpty();
    assertThat(shell.content()).isEmpty();
    assertThat(shell.placement()).isEmpty();
  }

  @Test
  void aRowForgetsItsColumnsAndATextHasNoShell() {
    Node row = styled(node("r", Kind.ROW), "columns", "8 4", "column-gap", "12px");
    assertThat(Shell.of(row, ID).styles().keySet())
        .extracting(Object::toString)
        .containsExactly("column-gap");
    assertThatThrownBy(() -> Shell.of(text("t", "Words"), ID))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("nothing can stand in it");
  }
}
