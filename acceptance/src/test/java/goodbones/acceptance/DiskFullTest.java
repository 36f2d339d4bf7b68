package goodbones.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;

/**
 * A write meets the end of the disk: it is refused in words, everything can be read, and with room
 * again everything goes on. The limit on the size of files (setrlimit(2), RLIMIT_FSIZE) fails a
 * write in the same way as a full disk does, for this process alone.
 */
class DiskFullTest {
  private static final String PAGE = "sf-home";
  private static final String NODE = "sf-routes-h";

  @Test
  void writesAreRefusedInWordsAndGoOnWhenThereIsRoomAgain() throws Exception {
    try (Application application = Application.startAlone()) {
      Visitor visitor = new Visitor(application.address());
      assertThat(visitor.writes(PAGE, NODE, "With room").statusCode()).isEqualTo(200);
      application.limitFiles("4096");
      HttpResponse<String> refused = full(visitor);
      assertThat(refused.body()).contains("urn:good-bones:problem:no-room", "make room");
      for (int i = 0; i < 3; i++) {
        assertThat(visitor.words(PAGE, NODE)).isEqualTo("With room");
        assertThat(full(visitor).body()).contains("no-room");
      }
      // What the start script asks: alive, although it may not be well.
      assertThat(application.get("/actuator/health/liveness").statusCode()).isEqualTo(200);
      application.limitFiles("unlimited");
      assertThat(visitor.writes(PAGE, NODE, "Room again").statusCode()).isEqualTo(200);
      assertThat(visitor.words(PAGE, NODE)).isEqualTo("Room again");
      assertThat(application.get("/actuator/health").statusCode()).isEqualTo(200);
      application.restart();
      assertThat(new Visitor(application.address()).words(PAGE, NODE)).isEqualTo("Room again");
    }
  }

  private static HttpResponse<String> full(Visitor visitor) throws IOException {
    HttpResponse<String> answer = visitor.writes(PAGE, NODE, "Without room");
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(507);
    return answer;
  }
}
