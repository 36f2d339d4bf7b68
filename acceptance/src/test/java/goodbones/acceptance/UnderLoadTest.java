package goodbones.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.Random;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;

/**
 * Fifty people read and five edit for a minute: nothing fails, nobody's words are lost, and what is
 * kept in memory afterwards is about what it was before. Among the long tests only.
 */
@EnabledIfEnvironmentVariable(named = "LONG_TESTS", matches = "1")
class UnderLoadTest {
  private static final int READERS = 50;
  private static final int EDITORS = 5;
  private static final Duration TIME = Duration.ofMinutes(1);
  private static final long SLACK = 48L * 1024 * 1024;
  private static final List<String> READ =
      List.of(
          "/api/pages/sf-home/workbench",
          "/api/pages/om-home/workbench",
          "/api/sites",
          "/api/sites/saltmarsh-ferries",
          "/api/pieces",
          "/api/rollouts",
          "/api/finishes",
          "/api/pictures",
          "/api/sites/saltmarsh-ferries/survey",
          "/api/session");

  private final Queue<String> faults = new ConcurrentLinkedQueue<>();
  private final AtomicInteger reads = new AtomicInteger();
  private final AtomicInteger edits = new AtomicInteger();
  private final AtomicInteger refused = new AtomicInteger();

  private void reading(Visitor visitor, Random random, Instant end) throws IOException {
    while (Instant.now().isBefore(end)) {
      String path = READ.get(random.nextInt(READ.size()));
      HttpResponse<String> answer = visitor.get(path);
      reads.incrementAndGet();
      if (answer.statusCode() != 200) {
        faults.add(path + " " + answer.statusCode() + " " + answer.body());
      }
    }
  }

  private void editing(Visitor visitor, int number, Instant end) throws IOException {
    String page = number % 2 == 0 ? "sf-home" : "om-home";
    String node = number % 2 == 0 ? "sf-routes-h" : "om-opening/ob-heading";
    for (int i = 0; Instant.now().isBefore(end); i++) {
      HttpResponse<String> answer = visitor.writes(page, node, "Words " + number + " " + i);
      switch (answer.statusCode()) {
        case 200 -> edits.incrementAndGet();
        case 409 -> refused.incrementAndGet();
        default -> faults.add(answer.statusCode() + " " + answer.body());
      }
    }
  }

  private interface Work {
    void at(Instant end) throws IOException;
  }

  private void forAWhile(Duration time, List<Work> all) throws InterruptedException {
    Instant end = Instant.now().plus(time);
    List<Thread> threads = new ArrayList<>();
    for (Work one : all) {
      Thread thread =
          new Thread(
              () -> {
                try {
                  one.at(end);
                } catch (IOException failed) {
                  faults.add(String.valueOf(failed));
                }
              });
      thread.start();
      threads.add(thread);
    }
    for (Thread thread : threads) {
      thread.join();
    }
  }

  @Test
  void aMinuteOfManyPeopleLeavesNothingBehind() throws Exception {
    try (Application application = Application.startAlone()) {
      List<Work> all = new ArrayList<>();
      for (int i = 0; i < READERS; i++) {
        Visitor visitor = new Visitor(application.address());
        Random random = new Random(i);
        all.add(end -> reading(visitor, random, end));
      }
      for (int i = 0; i < EDITORS; i++) {
        Visitor visitor = new Visitor(application.address());
        int number = i;
        all.add(end -> editing(visitor, number, end));
      }
      // What is drawn for the first time is kept; that is no leak.
      forAWhile(TIME.dividedBy(4), all);
      long before = application.heap();
      forAWhile(TIME, all);
      long after = application.heap();
      System.out.printf(
          "%d reads, %d edits, %d refused as made on an older version; heap %d MB before, %d after%n",
          reads.get(), edits.get(), refused.get(), before >> 20, after >> 20);
      assertThat(faults).isEmpty();
      assertThat(edits.get()).isGreaterThan(EDITORS);
      assertThat(after - before).isLessThan(SLACK);
    }
  }
}
