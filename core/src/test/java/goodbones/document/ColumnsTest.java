package goodbones.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Columns.Cell;
import java.util.List;
import org.junit.jupiter.api.Test;

class ColumnsTest {
  @Test
  void whatIsWrittenIsReadAndWrittenAgain() {
    for (String text :
        List.of("equal", "equal 2", "12", "7 5", "8 1+3", "3+6", "6.5 5.5", "56% 33%", "1+4+7")) {
      assertThat(Columns.parse(text)).hasToString(text);
    }
  }

  @Test
  void whatSaysNoWidthsIsRefusedWithTheForms() {
    for (String text :
        List.of("", "0", "13", "8+5", "60% 50%", "equal 13", "7  5", "6.5 6.5", "a b", "0%")) {
      assertThat(Columns.read(text)).as(text).isEmpty();
    }
    assertThatThrownBy(() -> Columns.parse("8+5")).hasMessageContaining("“8+5”", "8 1+3");
  }

  @Test
  void columnsWrapWhereTwelveAreUsedUp() {
    Columns.Grid grid = Columns.parse("6 6 4 4 4").grid(List.of(0, 1, 2, 3, 4));
    assertThat(grid.tracks()).hasSize(6);
    assertThat(grid.cells())
        .containsExactly(
            new Cell(0, 0, 0, 3),
            new Cell(1, 0, 3, 3),
            new Cell(2, 1, 0, 2),
            new Cell(3, 1, 2, 2),
            new Cell(4, 1, 4, 2));
    assertThat(grid.placed()).isFalse();
  }

  @Test
  void anOffsetPlacesAColumnAndAHiddenOneLeavesNoHole() {
    assertThat(Columns.parse("8 1+3").grid(List.of(0, 1)).cells())
        .containsExactly(new Cell(0, 0, 0, 8), new Cell(1, 0, 9, 3));
    assertThat(Columns.parse("8 1+3").grid(List.of(1)).cells())
        .containsExactly(new Cell(1, 0, 1, 3));
  }

  @Test
  void sharesBeginAgainWhereThereAreMoreColumns() {
    assertThat(Columns.parse("7 5").share(2, 4)).hasToString("7");
    assertThat(Columns.parse("equal").share(0, 5).width()).isEqualTo(2.4);
    assertThat(Columns.parse("equal 2").grid(List.of(0, 1, 2)).lines()).isEqualTo(2);
  }
}
