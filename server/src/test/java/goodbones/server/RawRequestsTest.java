package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.ContextConfiguration;

/**
 * What a stranger may send over a socket: chunked, cut off, with odd heads. Nothing is a fault of
 * the application, every refusal says why (RFC 9457), and nothing is read without end.
 */
@SpringBootTest(
    properties = {"goodbones.demo=true", "goodbones.demo.work=false"},
    webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@ContextConfiguration(initializers = FilledDatabase.class)
@DirtiesContext(classMode = DirtiesContext.ClassMode.AFTER_CLASS)
class RawRequestsTest {
  private static final int CHUNK = 64 * 1024;
  private static final int RUNS = System.getenv("LONG_TESTS") == null ? 150 : 3_000;
  @LocalServerPort private int port;

  /** An answer as it comes over the wire. */
  private record Answer(int status, String text) {
    boolean hasReason() {
      return text.contains("application/problem+json") && text.contains("\"detail\":\"");
    }
  }

  private Answer send(String head, byte[] body) {
    try (Socket socket = new Socket("127.0.0.1", port)) {
      socket.setSoTimeout(10_000);
      OutputStream out = socket.getOutputStream();
      out.write(head.getBytes(StandardCharsets.ISO_8859_1));
      try {
        out.write(body);
        out.flush();
        socket.shutdownOutput();
      } catch (IOException closed) {
        // It was refused before all was sent.
      }
      return read(socket);
    } catch (IOException e) {
      return new Answer(0, "");
    }
  }

  private static Answer read(Socket socket) throws IOException {
    StringBuilder text = new StringBuilder();
    byte[] some = new byte[8192];
    try {
      for (int n = socket.getInputStream().read(some); n >= 0; ) {
        text.append(new String(some, 0, n, StandardCharsets.UTF_8));
        n = socket.getInputStream().read(some);
      }
    } catch (IOException reset) {
      // What came until then counts.
    }
    String said = text.toString();
    return new Answer(
        said.startsWith("HTTP/") && said.length() > 12
            ? Integer.parseInt(said.substring(9, 12))
            : 0,
        said);
  }

  private static String head(String method, String path, String... more) {
    StringBuilder head = new StringBuilder(method + " " + path + " HTTP/1.1\r\nHost: x\r\n");
    for (String line : more) {
      head.append(line).append("\r\n");
    }
    return head.append("Connection: close\r\n\r\n").toString();
  }

  @Test
  void aBodyInChunksIsCountedAsItIsRead() {
    StringBuilder body = new StringBuilder();
    for (int i = 0; i < 200; i++) {
      body.append(Integer.toHexString(CHUNK))
          .append("\r\n")
          .append(" ".repeat(CHUNK))
          .append("\r\n");
    }
    long before = used();
    for (String path : List.of("/api/session/first", "/api/session/code")) {
      Answer answer =
          send(
              head(
                  "POST",
                  path,
                  "Content-Type: application/json",
                  "Cookie: XSRF-TOKEN=abc",
                  "X-XSRF-TOKEN: abc",
                  "Transfer-Encoding: chunked"),
              body.toString().getBytes(StandardCharsets.ISO_8859_1));
      assertThat(answer.status()).as(answer.text()).isIn(413, 403);
      assertThat(answer.hasReason()).as(answer.text()).isTrue();
    }
    assertThat(used() - before).as("bytes kept").isLessThan(64L * 1024 * 1024);
  }

  private static long used() {
    System.gc();
    return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
  }

  @Test
  void whateverIsRefusedSaysWhy() {
    List<Answer> answers = new ArrayList<>();
    for (String path :
        List.of(
            "/error",
            "/api%2Fsession",
            "/api/pages/a%2Fb/workbench",
            "/api/" + "x".repeat(5_000),
            "/nothing/here",
            "/hosted/nobody/",
            "/api/session/..;/people")) {
      for (String method :
          List.of("GET", "POST", "PUT", "DELETE", "PATCH", "OPTIONS", "TRACE", "BREW")) {
        answers.add(send(head(method, path, "Content-Length: 0"), new byte[0]));
        answers.add(
            send(head(method, path, "Accept: image/png", "Content-Length: 0"), new byte[0]));
      }
    }
    answers.add(
        send(
            head("POST", "/api/pictures", "Content-Type: multipart/form-data", "Content-Length: 3"),
            new byte[3]));
    assertThat(answers)
        .allSatisfy(
            answer -> {
              assertThat(answer.status()).isBetween(200, 499);
              if (answer.status() >= 400) {
                assertThat(answer.hasReason()).as(answer.text()).isTrue();
              }
            });
  }

  /** Heads and bodies changed at random places, cut off or said to be longer than they are. */
  @Test
  void mutatedRequestsAreNoFaultOfTheApplication() {
    Random random = new Random(7);
    String whole =
        head(
            "POST",
            "/api/session/code",
            "Content-Type: application/json",
            "Cookie: XSRF-TOKEN=abc",
            "X-XSRF-TOKEN: abc",
            "Content-Length: 49");
    String body = "{\"name\":\"iris\",\"code\":\"a\",\"password\":\"bcdefghij\"}";
    for (int i = 0; i < RUNS; i++) {
      byte[] sent = (whole + body).getBytes(StandardCharsets.ISO_8859_1);
      for (int change = 0; change <= random.nextInt(4); change++) {
        sent[random.nextInt(sent.length)] = (byte) random.nextInt(256);
      }
      int length = random.nextInt(5) == 0 ? random.nextInt(sent.length) : sent.length;
      Answer answer = send("", java.util.Arrays.copyOf(sent, length));
      assertThat(answer.status()).as(answer.text()).isNotIn(500, 502, 503);
      if (answer.status() >= 400) {
        assertThat(answer.hasReason()).as(answer.text()).isTrue();
      }
    }
  }
}
