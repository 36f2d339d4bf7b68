package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import goodbones.server.Api.Answer;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;
import tools.jackson.databind.JsonNode;

/** Several people at the same things at once, on the real database: an answer is never a fault. */
@ServerTest
class AtOnceTest {
  private static final int ROUNDS = 12;
  @Autowired private WebApplicationContext context;

  /** The requests of other threads are those of somebody who is signed in, too. */
  private Api api() {
    MockMvc mvc =
        MockMvcBuilders.webAppContextSetup(context)
            .apply(SecurityMockMvcConfigurers.springSecurity())
            .defaultRequest(MockMvcRequestBuilders.get("/").with(user("iris").roles("DESIGNER")))
            .build();
    return new Api(mvc);
  }

  private List<Answer> atOnce(List<Callable<List<Answer>>> work) throws Exception {
    ExecutorService threads = Executors.newFixedThreadPool(work.size());
    CyclicBarrier begin = new CyclicBarrier(work.size());
    List<Future<List<Answer>>> running = new ArrayList<>();
    for (Callable<List<Answer>> one : work) {
      running.add(
          threads.submit(
              () -> {
                begin.await();
                return one.call();
              }));
    }
    threads.shutdown();
    List<Answer> answers = new ArrayList<>();
    for (Future<List<Answer>> each : running) {
      answers.addAll(each.get());
    }
    return answers;
  }

  private static void noFaults(List<Answer> answers) {
    assertThat(answers)
        .allSatisfy(
            answer -> assertThat(answer.status()).as(answer.detail()).isIn(200, 204, 409, 422));
  }

  private Callable<List<Answer>> editing(String page, String node) {
    return () -> {
      Api api = api();
      List<Answer> answers = new ArrayList<>();
      for (int i = 0; i < ROUNDS; i++) {
        answers.add(
            api.editPage(
                page, "type", "FIELD", "node", node, "field", "words", "value", node + " " + i));
        if (i % 3 == 2) {
          answers.add(
              api.write(
                  "/api/pages/" + page + "/undo",
                  Map.of("version", api.page(page).path("version").asLong())));
        }
      }
      return answers;
    };
  }

  /** Applies what waits, and takes it back again. */
  private List<Answer> rollingOut() {
    Api api = api();
    List<Answer> answers = new ArrayList<>();
    for (int i = 0; i < ROUNDS / 2; i++) {
      JsonNode plan = api.read("/api/rollouts/plan?piece=opening-band").body();
      List<String> sites = new ArrayList<>();
      plan.path("sites").forEach(site -> sites.add(site.path("id").asString()));
      Answer applied = api.write("/api/rollouts", Api.rollout(plan, List.of(), sites));
      answers.add(applied);
      if (applied.status() == 200) {
        answers.add(
            api.write(
                "/api/rollouts/" + applied.body().path("id").asLong() + "/take-back",
                Map.of("decisions", List.of())));
      }
    }
    return answers;
  }

  @Test
  void applyingWhileOthersEditIsNeverAFault() throws Exception {
    api().releaseOpeningBand();
    List<Answer> answers =
        atOnce(
            List.of(
                this::rollingOut,
                editing("sf-home", "sf-routes-h"),
                editing("om-home", "om-opening/ob-heading"),
                editing("sf-home", "sf-opening/ob-heading")));
    noFaults(answers);
    assertThat(answers).filteredOn(a -> a.status() == 200).hasSizeGreaterThan(ROUNDS);
  }

  @Test
  void twoPublicationsOfOneSiteAtOnceBothGoThrough() throws Exception {
    for (String site : List.of("quillon-clocks", "tern-valley")) {
      Callable<List<Answer>> publishing =
          () -> List.of(api().write("/api/sites/" + site + "/publication", Map.of()));
      List<Answer> answers = atOnce(List.of(publishing, publishing, publishing));
      assertThat(answers).extracting(Answer::status).containsOnly(200);
    }
  }

  @Test
  void whatIsSaidOfAPictureAtOnceHoldsOrIsRefused() throws Exception {
    String path = "/api/pictures/tool-shed";
    for (int i = 0; i < ROUNDS; i++) {
      String alt = "Tools " + i;
      String tag = "tag-" + i;
      double focus = i / (double) ROUNDS;
      List<Answer> answers =
          atOnce(
              List.of(
                  () -> List.of(api().patch(path, Map.of("alt", alt))),
                  () -> List.of(api().patch(path, Map.of("tags", List.of(tag)))),
                  () -> List.of(api().patch(path, Map.of("focusX", focus)))));
      assertThat(answers).extracting(Answer::status).contains(200).containsAnyOf(200, 409);
      String now = api().patch(path, Map.of()).body().toString();
      List<String> said = List.of(alt, tag, "\"focusX\":" + focus);
      for (int part = 0; part < said.size(); part++) {
        if (answers.get(part).status() == 200) {
          assertThat(now).contains(said.get(part));
        } else {
          assertThat(answers.get(part).status()).isEqualTo(409);
        }
      }
    }
  }

  @Test
  void ofTwoPagesOfOneTitleOneIsMadeAndTheOtherToldWhy() throws Exception {
    for (int i = 0; i < 4; i++) {
      String title = "Timetable " + i;
      Callable<List<Answer>> making =
          () -> List.of(api().write("/api/sites/tern-valley/pages", Map.of("title", title)));
      List<Answer> answers = atOnce(List.of(making, making, making));
      noFaults(answers);
      assertThat(answers).filteredOn(a -> a.status() == 200).hasSize(1);
      assertThat(answers)
          .filteredOn(a -> a.status() != 200)
          .allSatisfy(a -> assertThat(a.detail()).contains("There is a page at"));
    }
  }

  /** Cells of the finishes are guarded one by one: different ones both hold. */
  @Test
  void differentCellsAtOnceBothHold() throws Exception {
    List<Callable<List<Answer>>> work = new ArrayList<>();
    for (String token : List.of("t-accent", "t-text")) {
      work.add(
          () -> {
            Api api = api();
            List<Answer> answers = new ArrayList<>();
            for (int i = 0; i < ROUNDS; i++) {
              String was = own(api, token);
              answers.add(
                  api.finish(
                      "type",
                      "VALUE",
                      "site",
                      "tern-valley",
                      "token",
                      token,
                      "value",
                      "#0000" + (10 + i),
                      "expected",
                      was));
            }
            return answers;
          });
    }
    List<Answer> answers = atOnce(work);
    noFaults(answers);
    assertThat(answers)
        .as(answers.toString())
        .filteredOn(a -> a.status() == 200)
        .hasSizeGreaterThan(ROUNDS);
  }

  private static String own(Api api, String token) {
    for (JsonNode row : api.read("/api/finishes").body().path("tokens")) {
      if (row.path("id").asString().equals(token)) {
        return row.path("sites").path("tern-valley").path("value").asString();
      }
    }
    return "";
  }

  @Test
  void oneClientIsMadeOnceByThreeAtOnce() throws Exception {
    Map<String, Object> brand =
        Map.of(
            "name", "Another client",
            "logo", "",
            "set", "",
            "colours", List.of("#7a3b1d"),
            "headingFont", "Literata",
            "bodyFont", "Work Sans",
            "width", 1200);
    Callable<List<Answer>> making = () -> List.of(api().write("/api/brands", brand));
    List<Answer> answers = atOnce(List.of(making, making, making));
    noFaults(answers);
    assertThat(answers).as(answers.toString()).filteredOn(a -> a.status() == 200).hasSize(1);
  }
}
