package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.library.Adopted;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** B stands in C. C 3 was released itself; C 4 follows B 2, and C 5 follows B 3. */
class LoadTest {
  private static final List<Load.Came> HISTORY =
      List.of(
          new Load.Came(5, "B", false),
          new Load.Came(4, "B", false),
          new Load.Came(3, "", false),
          new Load.Came(2, "", true));

  private static Load at(int b, int c, Set<String> placed) {
    return Load.at(
        "B",
        3,
        new Adopted(Map.of("B", b, "C", c)),
        placed,
        false,
        Map.of("C", 5),
        (piece, from, to) ->
            HISTORY.stream().filter(r -> r.number() > from && r.number() <= to).toList());
  }

  @Test
  void whatShowsTheRevisionBeforeTakesTheFollowUpAlong() {
    Load load = at(2, 3, Set.of("B", "C"));
    assertThat(load.along().get(0).isOffered()).isFalse();
    assertThat(load.revisions(Set.of())).isEqualTo(Map.of("B", 3, "C", 5));
  }

  /** Case 17 of the rules of depth; a revision gone back on is nothing that comes along. */
  @Test
  void whatIsFurtherBehindIsOfferedItWithWhatElseComes() {
    Load load = at(2, 1, Set.of("B", "C"));
    assertThat(load.along().get(0).brings()).containsExactly(3);
    assertThat(load.revisions(Set.of())).as("on its pages alone").isEqualTo(Map.of("B", 3));
    assertThat(load.revisions(Set.of("C"))).isEqualTo(Map.of("B", 3, "C", 5));
  }

  @Test
  void whereItStandsOnlyInsideOnlyTheFollowUpComes() {
    assertThat(at(2, 4, Set.of("C")).revisions(Set.of())).isEqualTo(Map.of("C", 5));
    assertThat(at(3, 5, Set.of("B", "C")).isEmpty()).isTrue();
  }

  @Test
  void itIsNextWhereWhatWasCurrentIsShown() {
    Load load = at(2, 3, Set.of("B", "C"));
    Adopted shown = new Adopted(Map.of("B", 2, "C", 3));
    assertThat(load.isNextAt(shown, Map.of("B", 2, "C", 3))).isTrue();
    assertThat(load.isNextAt(shown, Map.of("B", 2, "C", 4))).isFalse();
    assertThat(at(3, 5, Set.of("B", "C")).isNextAt(shown, Map.of("B", 2, "C", 3))).isFalse();
  }
}
