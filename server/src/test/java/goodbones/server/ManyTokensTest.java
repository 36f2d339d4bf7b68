package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.server.Api.Answer;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** Ten thousand tokens come in and can be worked with; how long that takes is printed. */
@ServerTest
class ManyTokensTest {
  private static final int TOKENS = 10_000;
  @Autowired private MockMvc mvc;
  private Api api;
  private String had = "";

  @BeforeEach
  void begin() {
    api = new Api(mvc);
  }

  private static long millisSince(long begun) {
    return (System.nanoTime() - begun) / 1_000_000;
  }

  private long edit(String colour) {
    long begun = System.nanoTime();
    Answer edited =
        api.write(
            "/api/finishes/edits?had=" + had,
            Api.parts("type", "VALUE", "site", "", "token", "t-accent", "value", colour));
    assertThat(edited.status()).as(edited.detail()).isEqualTo(200);
    had = edited.body().path("telling").asString();
    return millisSince(begun);
  }

  /** Of several edits, since the first ones of a run are slow. */
  private long median() {
    return IntStream.range(0, 15)
        .mapToLong(i -> edit("#2244" + (10 + i)))
        .sorted()
        .skip(7)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void tenThousandTokensComeInAndEditsGoOn() {
    long before = median();
    StringBuilder json = new StringBuilder("{\"many\": {\"$type\": \"dimension\"");
    for (int i = 0; i < TOKENS; i++) {
      json.append(", \"t").append(i).append("\": {\"$value\": ");
      // A third of them in one long row of aliases.
      json.append(
          i > 0 && i < TOKENS / 3
              ? "\"{many.t" + (i - 1) + "}\""
              : "{\"value\": " + (i % 90) + ", \"unit\": \"px\"}");
      json.append("}");
    }
    long begun = System.nanoTime();
    Answer taken = api.writeText("/api/finishes/tokens?site=", json.append("}}").toString());
    long in = millisSince(begun);
    assertThat(taken.status()).as(taken.detail()).isEqualTo(200);
    assertThat(taken.body().path("tokens").asInt()).isEqualTo(TOKENS);
    long after = median();
    assertThat(api.write("/api/finishes/undo", java.util.Map.of()).status()).isEqualTo(200);
    System.out.println(
        "tokens: 10,000 came in within "
            + in
            + " ms; an edit took "
            + before
            + " ms before and "
            + after
            + " ms after");
  }

  @Test
  void whatIsNoUtf8IsSaid() throws Exception {
    Answer answer = api.writeText("/api/finishes/tokens?site=", "{\"a\": 1}");
    assertThat(answer.status()).isEqualTo(200);
    byte[] latin = "{\"grün\": 1}".getBytes(java.nio.charset.StandardCharsets.ISO_8859_1);
    var response =
        mvc.perform(
                org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post(
                        api.seen("/api/finishes/tokens?site="))
                    .with(
                        org.springframework.security.test.web.servlet.request
                            .SecurityMockMvcRequestPostProcessors.csrf())
                    .contentType("text/plain")
                    .content(latin))
            .andReturn()
            .getResponse();
    assertThat(response.getStatus()).isEqualTo(422);
    assertThat(response.getContentAsString()).contains("UTF-8");
  }
}
