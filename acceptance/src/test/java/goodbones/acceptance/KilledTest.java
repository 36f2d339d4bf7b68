package goodbones.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.testing.Runs;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The packed application is killed at random moments of editing, applying, taking back and
 * publishing: what it had acknowledged is there afterwards, rollouts are whole or not there, and
 * undo works.
 */
class KilledTest {
  private static final int KILLS = Runs.of(2, 100);
  private static final long SEED = 20_261_126;
  private static final String PIECE = "opening-band";
  private static final JsonMapper JSON = new JsonMapper();

  /** What was acknowledged before the application was killed. */
  private static final class Acknowledged {
    private final Map<String, String> words = new HashMap<>();
    private final Set<Long> rollouts = new HashSet<>();
    private final Set<Long> takenBack = new HashSet<>();
    private Instant published = Instant.EPOCH;
    private int steps;
  }

  private static void edit(Visitor visitor, Random random, Acknowledged had) throws IOException {
    String page = random.nextBoolean() ? "sf-home" : "om-home";
    String node = page.equals("sf-home") ? "sf-routes-h" : "om-opening/ob-heading";
    String text = "Words " + random.nextInt(1_000_000);
    HttpResponse<String> answer = visitor.writes(page, node, text);
    if (answer.statusCode() == 200) {
      had.words.put(page + " " + node, text);
      had.steps++;
    }
  }

  private static void rollOut(Visitor visitor, Acknowledged had) throws IOException {
    JsonNode plan = visitor.read("/api/rollouts/plan?piece=" + PIECE);
    List<String> sites = new ArrayList<>();
    List<Map<String, Object>> pages = new ArrayList<>();
    List<Map<String, Object>> stamps = new ArrayList<>();
    for (JsonNode site : plan.path("sites")) {
      sites.add(site.path("id").asString());
      stamps.add(
          Map.of("siteId", site.path("id").asString(), "stamp", site.path("stamp").asLong()));
      for (JsonNode p : site.path("placements")) {
        pages.add(
            Map.of(
                "pageId", p.path("pageId").asString(),
                "version", p.path("pageVersion").asLong()));
      }
    }
    if (sites.isEmpty()) {
      return;
    }
    HttpResponse<String> applied =
        visitor.write(
            "/api/rollouts",
            Map.of(
                "pieceId", PIECE,
                "revision", plan.path("revision").asInt(),
                "sites", sites,
                "pages", pages,
                "stamps", stamps,
                "accepted", List.of(),
                "decisions", List.of()));
    if (applied.statusCode() != 200) {
      return;
    }
    long id = JSON.readTree(applied.body()).path("id").asLong();
    had.rollouts.add(id);
    had.steps++;
    HttpResponse<String> back =
        visitor.write(
            "/api/rollouts/" + id + "/take-back",
            Map.of("decisions", List.of(), "etag", etag(visitor, id)));
    if (back.statusCode() == 200) {
      had.takenBack.add(id);
      had.steps++;
    }
  }

  private static String etag(Visitor visitor, long id) throws IOException {
    return JSON.readTree(
            visitor
                .write("/api/rollouts/" + id + "/take-back/plan", Map.of("decisions", List.of()))
                .body())
        .path("etag")
        .asString();
  }

  private static void publish(Visitor visitor, Acknowledged had) throws IOException {
    HttpResponse<String> done = visitor.write("/api/sites/saltmarsh-ferries/publication", Map.of());
    if (done.statusCode() == 200) {
      had.published = Instant.parse(JSON.readTree(done.body()).path("published").asString());
      had.steps++;
    }
  }

  /** Works until the application is gone. */
  private static void work(Visitor visitor, Random random, Acknowledged had, AtomicBoolean killed) {
    try {
      // Each turn has one, however soon it ends.
      rollOut(visitor, had);
      while (!killed.get()) {
        switch (random.nextInt(6)) {
          case 0 -> rollOut(visitor, had);
          case 1 -> publish(visitor, had);
          default -> edit(visitor, random, had);
        }
      }
    } catch (IOException gone) {
      // It was killed; what was not acknowledged may be there or not.
    }
  }

  private static void holds(Visitor visitor, Acknowledged had, String when) throws IOException {
    for (Map.Entry<String, String> entry : had.words.entrySet()) {
      String[] at = entry.getKey().split(" ");
      JsonNode page = visitor.read("/api/pages/" + at[0] + "/workbench");
      boolean last = Visitor.words(page, at[1]).equals(entry.getValue());
      // One more edit may have been kept without having been acknowledged.
      if (!last) {
        HttpResponse<String> undone =
            visitor.write(
                "/api/pages/" + at[0] + "/undo", Map.of("version", page.path("version").asLong()));
        assertThat(undone.statusCode()).as(when).isEqualTo(200);
        assertThat(visitor.words(at[0], at[1]))
            .as("%s: what %s said", when, entry.getKey())
            .isEqualTo(entry.getValue());
      }
    }
    Map<Long, JsonNode> rollouts = new HashMap<>();
    visitor
        .read("/api/rollouts")
        .path("history")
        .forEach(r -> rollouts.put(r.path("id").asLong(), r));
    for (long id : had.rollouts) {
      assertThat(rollouts).as("%s: rollout %d", when, id).containsKey(id);
    }
    for (long id : had.takenBack) {
      assertThat(rollouts.get(id).path("takenBack").isNull()).as("%s: %d back", when, id).isFalse();
    }
    boolean stands = rollouts.values().stream().anyMatch(r -> r.path("takenBack").isNull());
    int waiting = visitor.read("/api/rollouts/plan?piece=" + PIECE).path("sites").size();
    assertThat(waiting == 0).as("%s: all sites or none", when).isEqualTo(stands);
    String published =
        visitor.read("/api/sites/saltmarsh-ferries/publication").path("published").asString("");
    if (had.published.isAfter(Instant.EPOCH)) {
      // The database counts in microseconds.
      assertThat(Instant.parse(published))
          .as(when)
          .isAfterOrEqualTo(had.published.minus(1, ChronoUnit.MICROS));
    }
  }

  private static void release(Visitor visitor) throws IOException {
    String at = "?site=saltmarsh-ferries";
    long version =
        visitor.read("/api/pieces/" + PIECE + "/workbench" + at).path("version").asLong();
    visitor.write(
        "/api/pieces/" + PIECE + "/edits" + at,
        Map.of(
            "version",
            version,
            "edit",
            Map.of(
                "type",
                "STYLE",
                "nodes",
                List.of("ob-section"),
                "property",
                "padding-top",
                "device",
                "desktop",
                "value",
                "71px")));
    version = visitor.read("/api/pieces/" + PIECE + "/workbench" + at).path("version").asLong();
    assertThat(
            visitor
                .write(
                    "/api/pieces/" + PIECE + "/release" + at,
                    Map.of("version", version, "note", "Roomier"))
                .statusCode())
        .isEqualTo(200);
  }

  @Test
  void whatWasAcknowledgedIsThereAfterEveryKill() throws Exception {
    Acknowledged had = new Acknowledged();
    try (Application application = Application.startAlone()) {
      release(new Visitor(application.address()));
      for (int i = 0; i < KILLS; i++) {
        Random random = new Random(SEED + i);
        Visitor visitor = new Visitor(application.address());
        AtomicBoolean killed = new AtomicBoolean();
        Thread worker = new Thread(() -> work(visitor, random, had, killed));
        worker.start();
        TimeUnit.MILLISECONDS.sleep(400 + new Random(SEED - i).nextInt(1800));
        application.kill();
        killed.set(true);
        worker.join();
        application.revive();
        holds(new Visitor(application.address()), had, "seed " + (SEED + i));
      }
    }
    System.out.println(
        KILLS
            + " kills; "
            + had.steps
            + " acknowledged steps were there, of these "
            + had.rollouts.size()
            + " rollouts");
    assertThat(had.steps).isGreaterThan(KILLS);
    assertThat(had.rollouts).isNotEmpty();
  }
}
