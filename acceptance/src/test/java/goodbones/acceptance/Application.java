package goodbones.acceptance;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.TimeUnit;

/**
 * The packed application with its demo data, started as a process on a free port. While a test goes
 * on with one, the next is started beside it, on a copy of the same data.
 */
final class Application implements AutoCloseable {
  private static final Path UNPACKED = Path.of("../server/target/app");
  private static final String DATABASE = "good-bones.mv.db";
  private static final Duration PATIENCE = Duration.ofMinutes(4);
  private static final Prepared<Path> FILLED = new Prepared<>(Application::fill);
  private static final Prepared<Application> NEXT = new Prepared<>(Application::startOnCopy);

  static {
    Runtime.getRuntime().addShutdownHook(new Thread(() -> NEXT.drop(Application::kill)));
  }

  private final HttpClient http = HttpClient.newHttpClient();
  private final Path data;
  private final int port;
  private Process process;

  private Application(Path data, int port) throws IOException {
    this.data = data;
    this.port = port;
    this.process = launch();
  }

  /** One that nobody has used yet. */
  static Application start() throws IOException {
    Application started = NEXT.take();
    NEXT.prepare();
    return started;
  }

  private static Application startOnCopy() throws IOException {
    Path data = Files.createTempDirectory("good-bones");
    Files.copy(FILLED.get().resolve(DATABASE), data.resolve(DATABASE));
    return new Application(data, freePort());
  }

  /** Demo data, as a first start leaves it. */
  private static Path fill() throws IOException {
    unpack();
    Path data = Files.createTempDirectory("good-bones-filled");
    new Application(data, freePort()).stop();
    return data;
  }

  /** As the start script does it. */
  private static void unpack() throws IOException {
    Process unpacking = new ProcessBuilder("bash", "../good-bones", "unpacked").inheritIO().start();
    try {
      if (unpacking.waitFor() != 0) {
        throw new IOException("what was built could not be unpacked");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  private static int freePort() throws IOException {
    try (ServerSocket free = new ServerSocket(0)) {
      return free.getLocalPort();
    }
  }

  private Process launch() throws IOException {
    Process started =
        new ProcessBuilder(
                "java",
                "-XX:TieredStopAtLevel=1",
                "-XX:SharedArchiveFile=" + UNPACKED.resolve("classes.jsa"),
                "-jar",
                UNPACKED.resolve("server-0.1.0-exec.jar").toString(),
                "--goodbones.demo=true",
                "--goodbones.demo.work=false",
                "--goodbones.data=" + data,
                "--server.port=" + port)
            .redirectErrorStream(true)
            .redirectOutput(data.resolve("server.txt").toFile())
            .start();
    Instant end = Instant.now().plus(PATIENCE);
    while (!isHealthy()) {
      if (!started.isAlive() || Instant.now().isAfter(end)) {
        started.destroyForcibly();
        throw new IOException(
            "the application did not start:\n" + Files.readString(data.resolve("server.txt")));
      }
    }
    return started;
  }

  private boolean isHealthy() {
    try {
      return get("/actuator/health").statusCode() == 200;
    } catch (IOException e) {
      pause();
      return false;
    }
  }

  private static void pause() {
    try {
      TimeUnit.MILLISECONDS.sleep(100);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  HttpResponse<String> get(String path) throws IOException {
    try {
      return http.send(
          HttpRequest.newBuilder(URI.create(address() + path)).build(),
          HttpResponse.BodyHandlers.ofString());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  String address() {
    return "http://localhost:" + port;
  }

  /** Stops and starts again on the same data. */
  void restart() throws IOException {
    stop();
    process = launch();
  }

  /** Ends it as a power cut would, in the middle of whatever it is at. */
  void kill() {
    process.destroyForcibly();
    try {
      process.waitFor();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Starts again after a {@link #kill}. */
  void revive() throws IOException {
    process = launch();
  }

  /** Where its database is, while it is stopped. */
  String database() {
    return "jdbc:h2:file:" + data.resolve("good-bones") + ";WRITE_DELAY=0";
  }

  /** Ends it in good order. */
  void stop() {
    process.destroy();
    try {
      process.waitFor(20, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Override
  public void close() {
    kill();
  }
}
