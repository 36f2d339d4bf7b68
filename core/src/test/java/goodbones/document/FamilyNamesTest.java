package goodbones.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FamilyNamesTest {
  @Test
  void namesAreReadInAnyScriptQuotedOrNot() {
    assertThat(FamilyNames.of("\"Source Sans 3\", -apple-system, 'Foo, Bar', 游ゴシック, serif"))
        .containsExactly("Source Sans 3", "-apple-system", "Foo, Bar", "游ゴシック", "serif");
    List<String> names = List.of("Foo, Bar", "Literata", "serif");
    assertThat(FamilyNames.of(FamilyNames.stack(names))).isEqualTo(names);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", ",", "Literata,", "\"open", "a;b", "x}</style>", "a\\62", "\" \"", "(x)"})
  void whatCouldLeaveItsPlaceIsNoFamily(String stack) {
    assertThat(FamilyNames.read(stack)).isEmpty();
    assertThat(ValueType.FAMILY.accepts(stack)).isFalse();
  }
}
