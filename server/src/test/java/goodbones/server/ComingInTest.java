package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The first start without demo data, people and their codes, and what strangers get. */
class ComingInTest {
  private static final JsonMapper JSON = new JsonMapper();
  @TempDir private Path data;
  private ConfigurableApplicationContext server;
  private int port;
  private String printed = "";

  private void start(String... more) {
    PrintStream console = System.out;
    ByteArrayOutputStream heard = new ByteArrayOutputStream();
    System.setOut(new PrintStream(heard, true, StandardCharsets.UTF_8));
    try {
      String[] args = {
        "--server.port=0",
        "--goodbones.data=" + data,
        "--goodbones.control=true",
        "--logging.level.root=off",
        "--spring.main.banner-mode=off"
      };
      String[] all = java.util.Arrays.copyOf(args, args.length + more.length);
      System.arraycopy(more, 0, all, args.length, more.length);
      server = SpringApplication.run(GoodBones.class, all);
    } finally {
      System.setOut(console);
    }
    printed = heard.toString(StandardCharsets.UTF_8);
    port =
        Integer.parseInt(String.valueOf(server.getEnvironment().getProperty("local.server.port")));
  }

  @AfterEach
  void stop() {
    server.close();
  }

  /** A browser with cookies of its own. */
  private final class Visitor {
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();

    private HttpRequest.Builder at(String path) {
      String token =
          cookies.getCookieStore().getCookies().stream()
              .filter(c -> c.getName().equals("XSRF-TOKEN"))
              .map(java.net.HttpCookie::getValue)
              .findFirst()
              .orElse("");
      return HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
          .header("X-XSRF-TOKEN", token);
    }

    HttpResponse<String> get(String path) {
      return send(at(path));
    }

    String seen(String path) {
      return new JustSeen(at -> JSON.readTree(get(at).body())).at(path);
    }

    HttpResponse<String> post(String path, Object body) {
      return send(
          at(path)
              .header("Content-Type", "application/json")
              .POST(HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body))));
    }

    HttpResponse<String> signIn(String name, String password) {
      get("/api/session");
      String form =
          Map.of("username", name, "password", password).entrySet().stream()
              .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
              .collect(Collectors.joining("&"));
      return send(
          at("/api/sign-in")
              .header("Content-Type", "application/x-www-form-urlencoded")
              .POST(HttpRequest.BodyPublishers.ofString(form)));
    }

    private HttpResponse<String> send(HttpRequest.Builder request) {
      try {
        return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
      } catch (IOException e) {
        throw new java.io.UncheckedIOException(e);
      } catch (InterruptedException e) {
        throw new IllegalStateException(e);
      }
    }
  }

  private static String detail(HttpResponse<String> answer) {
    return JSON.readTree(answer.body()).path("detail").asString();
  }

  private String printedCode() {
    Matcher code = Pattern.compile("one-time code: ([A-Z0-9-]+)").matcher(printed);
    assertThat(code.find()).as(printed).isTrue();
    return code.group(1);
  }

  @Test
  void theFirstAccountIsMadeWithThePrintedCodeAndOthersWithTheirs() {
    start();
    Visitor first = new Visitor();
    assertThat(JSON.readTree(first.get("/api/session").body()).path("firstStart").asBoolean())
        .isTrue();
    Map<String, String> wrong =
        Map.of("code", "AAAA-BBBB", "name", "Wren", "password", "rafter and tie");
    assertThat(first.post("/api/session/first", wrong).statusCode()).isEqualTo(422);
    String code = printedCode();
    HttpResponse<String> weak =
        first.post("/api/session/first", Map.of("code", code, "name", "Wren", "password", "short"));
    assertThat(detail(weak)).contains("10 to 72 characters");
    Map<String, String> right =
        Map.of("code", code.toLowerCase(), "name", "Wren", "password", "rafter and tie");
    assertThat(first.post("/api/session/first", right).statusCode()).isEqualTo(204);
    assertThat(first.post("/api/session/first", right).statusCode()).isEqualTo(422);
    assertThat(first.signIn("wren", "rafter and tie").statusCode()).isEqualTo(204);

    JsonNode given = JSON.readTree(first.post("/api/people", Map.of("name", "Ash")).body());
    assertThat(first.post("/api/people", Map.of("name", "ASH")).statusCode()).isEqualTo(422);
    Visitor second = new Visitor();
    second.get("/api/session");
    Map<String, String> own =
        Map.of("name", "Ash", "code", given.path("code").asString(), "password", "sole plate 12");
    assertThat(second.post("/api/session/code", own).statusCode()).isEqualTo(204);
    assertThat(second.post("/api/session/code", own).statusCode())
        .as("a code serves once")
        .isEqualTo(422);
    assertThat(second.signIn("Ash", "sole plate 12").statusCode()).isEqualTo(204);
    assertThat(second.get("/api/pieces").statusCode()).isEqualTo(200);

    JsonNode people = JSON.readTree(first.get("/api/people").body());
    String ash = people.get(0).path("id").asString();
    assertThat(people.get(0).path("sessions").asInt()).isEqualTo(1);
    first.post(first.seen("/api/people/" + ash + "/name"), Map.of("name", "Ashley"));
    assertThat(JSON.readTree(second.get("/api/session").body()).path("user").asString())
        .as("the session goes on under the new name")
        .isEqualTo("Ashley");
    first.post("/api/people/" + ash + "/end-sessions", Map.of());
    assertThat(second.get("/api/pieces").statusCode()).isEqualTo(401);

    assertThat(second.signIn("Ashley", "sole plate 12").statusCode()).isEqualTo(204);
    first.post("/api/people/" + ash + "/code", Map.of());
    assertThat(second.get("/api/pieces").statusCode()).isEqualTo(401);
    assertThat(second.signIn("Ashley", "sole plate 12").statusCode())
        .as("with a new code the old password holds no longer")
        .isEqualTo(401);

    Map<String, String> change = Map.of("present", "nonsense", "wanted", "king post truss");
    assertThat(detail(first.post("/api/people/me/password", change))).contains("not your current");
    first.post(
        "/api/people/me/password",
        Map.of("present", "rafter and tie", "wanted", "king post truss"));
    assertThat(new Visitor().signIn("Wren", "rafter and tie").statusCode()).isEqualTo(401);
    assertThat(new Visitor().signIn("Wren", "king post truss").statusCode()).isEqualTo(204);
  }

  @Test
  void demoAccountsComeInOnlyInDemoModeAlsoWithADemoDatabase() {
    start("--goodbones.demo=true", "--goodbones.demo.work=false");
    assertThat(new Visitor().signIn("iris", "ridge-beam").statusCode()).isEqualTo(204);
    server.close();
    start();
    assertThat(new Visitor().signIn("iris", "ridge-beam").statusCode()).isEqualTo(401);
    assertThat(printedCode()).hasSize(19);
    assertThat(new Visitor().get("/api/session").body()).doesNotContain("ridge-beam");
  }

  @Test
  void strangersGetNothingAndNowhere() {
    start("--goodbones.demo=true", "--goodbones.demo.work=false");
    strangersGetNoSessionNoDescriptionAndAPolicy();
    cookiesAreSecureBehindTls();
    tryingPasswordsIsSlowedDownInWords();
  }

  private void tryingPasswordsIsSlowedDownInWords() {
    Visitor stranger = new Visitor();
    for (int i = 0; i < 5; i++) {
      assertThat(stranger.signIn("iris", "guess " + i).statusCode()).isEqualTo(401);
    }
    HttpResponse<String> slowed = stranger.signIn("iris", "ridge-beam");
    assertThat(slowed.statusCode()).isEqualTo(429);
    assertThat(detail(slowed)).contains("failed too often. Try again in");
    assertThat(slowed.headers().firstValue("Retry-After")).isPresent();
  }

  private void strangersGetNoSessionNoDescriptionAndAPolicy() {
    for (String path :
        new String[] {
          "/", "/library", "/api/pieces", "/api/session", "/hosted/none/", "/nowhere"
        }) {
      HttpResponse<String> answer = new Visitor().get(path);
      assertThat(answer.headers().allValues("Set-Cookie"))
          .as(path)
          .noneMatch(cookie -> cookie.startsWith("JSESSIONID"));
      assertThat(answer.headers().firstValue("Content-Security-Policy")).as(path).isPresent();
      assertThat(answer.headers().firstValue("Referrer-Policy")).contains("same-origin");
      assertThat(answer.headers().firstValue("Permissions-Policy").orElse(""))
          .contains("camera=()");
    }
    for (String path :
        new String[] {
          "/v3/api-docs",
          "/v3/api-docs.yaml",
          "/actuator",
          "/actuator/env",
          "/client-fonts/lora.woff2",
          "/nowhere",
          "/api/pieces",
          "/control/backup"
        }) {
      assertThat(new Visitor().get(path).statusCode()).as(path).isEqualTo(401);
    }
    assertThat(new Visitor().get("/").headers().firstValue("Content-Security-Policy").orElse(""))
        .contains("script-src 'self'", "default-src 'none'", "frame-ancestors 'self'");
  }

  /** A proxy on this machine says that the visitor came by TLS. */
  private void cookiesAreSecureBehindTls() {
    Visitor visitor = new Visitor();
    HttpResponse<String> answer =
        visitor.send(visitor.at("/api/session").header("X-Forwarded-Proto", "https"));
    assertThat(answer.headers().allValues("Set-Cookie"))
        .isNotEmpty()
        .allMatch(cookie -> cookie.contains("Secure"));
    assertThat(new Visitor().get("/api/session").headers().allValues("Set-Cookie"))
        .noneMatch(cookie -> cookie.contains("Secure"));
  }

  @Test
  void aBackupIsWrittenWhileItRunsAndReadBackAndRestored() throws Exception {
    start("--goodbones.demo=true", "--goodbones.demo.work=false");
    Path file = data.resolveSibling("backup-" + System.nanoTime() + ".zip");
    String[] running = Files.readString(data.resolve("running.txt")).strip().split(" ");
    assertThat(running[0]).isEqualTo(String.valueOf(port));
    Visitor visitor = new Visitor();
    HttpRequest.Builder asked =
        visitor
            .at("/control/backup")
            .header("Content-Type", "application/json")
            .POST(
                HttpRequest.BodyPublishers.ofString(
                    JSON.writeValueAsString(Map.of("file", file.toString()))));
    assertThat(visitor.send(asked).statusCode()).as("without the token").isEqualTo(404);
    HttpResponse<String> done = visitor.send(asked.header("X-Control", running[1]));
    assertThat(done.body()).contains("and read back");
    assertThat(visitor.send(asked).body()).contains("already");
    server.close();

    Path elsewhere = Files.createTempDirectory("good-bones-restored");
    Path script = Path.of(System.getProperty("java.home"), "bin", "java");
    Process restore =
        new ProcessBuilder(
                script.toString(),
                "-cp",
                System.getProperty("java.class.path"),
                "goodbones.server.upkeep.Upkeep",
                "restore",
                elsewhere.toString(),
                file.toString())
            .redirectErrorStream(true)
            .start();
    String said = new String(restore.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(restore.waitFor()).as(said).isZero();
    assertThat(said).contains("Restored");
    data = elsewhere;
    start("--goodbones.demo=true", "--goodbones.demo.work=false");
    Visitor iris = new Visitor();
    assertThat(iris.signIn("iris", "ridge-beam").statusCode()).isEqualTo(204);
    assertThat(iris.get("/api/sites").body()).contains("Saltmarsh Ferries");
    Files.delete(file);
  }
}
