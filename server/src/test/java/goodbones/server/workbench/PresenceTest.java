package goodbones.server.workbench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import goodbones.server.workbench.Views.Other;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class PresenceTest {
  private final Clock clock = mock();
  private final Presence presence = new Presence(clock);
  private Instant now = Instant.parse("2026-06-01T09:00:00Z");

  @BeforeEach
  void itIsNine() {
    when(clock.instant()).thenAnswer(call -> now);
  }

  private void after(Duration time) {
    now = now.plus(time);
  }

  @Test
  void tabsOfTheSameDocumentSeeEachOtherAndWhatIsInHandThere() {
    assertThat(presence.here("page:a", "one", "iris", "map")).isEmpty();
    assertThat(presence.here("page:a", "two", "tom", "key"))
        .containsExactly(new Other("iris", "map"));
    assertThat(presence.here("page:b", "three", "tom", "key")).isEmpty();
    assertThat(presence.here("page:a", "one", "iris", "row"))
        .containsExactly(new Other("tom", "key"));
  }

  @Test
  void whoLeavesIsGoneAtOnce() {
    presence.here("page:a", "one", "iris", "map");
    presence.left("page:a", "one");
    presence.left("page:never", "one");
    assertThat(presence.here("page:a", "two", "tom", "key")).isEmpty();
  }

  @Test
  void whoSaysNothingMoreIsForgotten() {
    presence.here("page:a", "one", "iris", "map");
    after(Duration.ofSeconds(12));
    assertThat(presence.here("page:a", "two", "tom", "key")).hasSize(1);
    after(Duration.ofSeconds(1));
    assertThat(presence.here("page:a", "two", "tom", "key")).isEmpty();
  }
}
