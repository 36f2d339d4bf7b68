package goodbones.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Device;
import org.junit.jupiter.api.Test;

class LengthTest {
  private static final Length LENGTH = new Length(new Screen(Device.DESKTOP, 1280, 800), 600, 20);

  /** The units of CSS Values and Units 4. */
  @Test
  void everyUnitIsWorkedOut() {
    assertThat(LENGTH.px("0")).isZero();
    assertThat(LENGTH.px("24px")).isEqualTo(24);
    assertThat(LENGTH.px("-1.5rem")).isEqualTo(-24);
    assertThat(LENGTH.px("2em")).isEqualTo(40);
    assertThat(LENGTH.px("15vh")).isEqualTo(120);
    assertThat(LENGTH.px("10vw")).isEqualTo(128);
    assertThat(LENGTH.px("33%")).isEqualTo(198);
    assertThat(LENGTH.px("clamp(38px, 1rem + 4vw, 60px)")).isEqualTo(60);
    assertThat(LENGTH.px("clamp(8px, 1rem - 10px, 60px)")).isEqualTo(8);
  }

  @Test
  void whatIsNoLengthIsRefused() {
    assertThatThrownBy(() -> LENGTH.px("wide")).hasMessageContaining("“wide” is not a length");
    assertThatThrownBy(() -> LENGTH.px("24pt")).hasMessageContaining("24pt");
  }
}
