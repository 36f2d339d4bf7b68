package goodbones.acceptance;

import static java.nio.file.StandardOpenOption.READ;
import static java.nio.file.StandardOpenOption.WRITE;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The packed application with its demo data, on a free port. While a test goes on with one, the
 * next is started beside it, on a copy of the same data. All share one process, unless a test asks
 * for one of its own, or starts it again.
 */
final class Application implements AutoCloseable {
  private static final Path UNPACKED = Path.of("../server/target/app");
  private static final String JAR = "server-0.1.0-exec.jar";
  private static final List<String> JAVA =
      List.of(
          "java",
          "-XX:TieredStopAtLevel=1",
          "-XX:SharedArchiveFile=" + UNPACKED.resolve("classes.jsa"));
  private static final String DATABASE = "good-bones.mv.db";
  private static final Duration PATIENCE = Duration.ofMinutes(4);
  private static final Prepared<Path> FILLED = new Prepared<>(Application::fill);
  private static final Prepared<Application> NEXT = new Prepared<>(Application::startOnCopy);

  private static final Prepared<Host> HOST = new Prepared<>(Application::host);

  static {
    Runtime.getRuntime()
        .addShutdownHook(
            new Thread(
                () -> {
                  NEXT.drop(Application::close);
                  HOST.drop(Host::end);
                }));
  }

  private final HttpClient http = HttpClient.newHttpClient();
  private final Path data;
  private final int port;

  /** Its own process; none while it runs in the one that is shared, or does not run. */
  private Optional<Process> own = Optional.empty();

  private Application(Path data) throws IOException {
    this.data = data;
    this.port = freePort();
  }

  /** One that nobody has used yet. */
  static Application start() throws IOException {
    Application started = NEXT.take();
    NEXT.prepare();
    return started;
  }

  /** One that nobody has used yet, in a process of its own. */
  static Application startAlone() throws IOException {
    Application alone = onCopy();
    alone.revive();
    return alone;
  }

  private static Application onCopy() throws IOException {
    Path data = Files.createTempDirectory("good-bones");
    Files.copy(FILLED.get().resolve(DATABASE), data.resolve(DATABASE));
    return new Application(data);
  }

  private static Application startOnCopy() throws IOException {
    Application next = onCopy();
    next.startInHost();
    return next;
  }

  /** Demo data, as a first start leaves it. */
  private static Path fill() throws IOException {
    Path data = Files.createTempDirectory("good-bones-filled");
    Application first = new Application(data);
    first.startInHost();
    first.stop();
    return data;
  }

  private static Host host() throws IOException {
    unpack();
    return new Host(JAVA, UNPACKED.resolve(JAR), Files.createTempFile("good-bones-host", ".txt"));
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

  private List<String> arguments() {
    return List.of(
        "--goodbones.demo=true",
        "--goodbones.demo.work=false",
        "--goodbones.data=" + data,
        "--server.port=" + port);
  }

  private void startInHost() throws IOException {
    Host host = HOST.get();
    List<String> arguments = new ArrayList<>(arguments());
    // Streams that a closed tab has left open are not waited for.
    arguments.add("--server.shutdown=immediate");
    host.start(port, arguments);
    awaitHealth(host::isAlive, host.told());
  }

  private Process launch() throws IOException {
    Path told = data.resolve("server.txt");
    List<String> command = new ArrayList<>(JAVA);
    command.addAll(List.of("-jar", UNPACKED.resolve(JAR).toString()));
    command.addAll(arguments());
    Process started =
        new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(told.toFile()).start();
    try {
      awaitHealth(started::isAlive, told);
    } catch (IOException failed) {
      started.destroyForcibly();
      throw failed;
    }
    return started;
  }

  private void awaitHealth(BooleanSupplier isAlive, Path told) throws IOException {
    Instant end = Instant.now().plus(PATIENCE);
    while (!isHealthy()) {
      if (!isAlive.getAsBoolean() || Instant.now().isAfter(end)) {
        throw new IOException("the application did not start:\n" + Files.readString(told));
      }
    }
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

  /** Stops and starts again on the same data, in a process of its own. */
  void restart() throws IOException {
    stop();
    revive();
  }

  /**
   * What its own process uses of the heap once all is collected that nobody refers to, in bytes.
   */
  long heap() throws IOException {
    String id = String.valueOf(own.orElseThrow().pid());
    run("jcmd", id, "GC.run");
    Matcher used = Pattern.compile("used (\\d+)K").matcher(run("jcmd", id, "GC.heap_info"));
    if (!used.find()) {
      throw new IOException("the heap could not be looked at");
    }
    return Long.parseLong(used.group(1)) * 1024;
  }

  private static String run(String... command) throws IOException {
    Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    await(process);
    if (process.exitValue() != 0) {
      throw new IOException(String.join(" ", command) + ": " + said);
    }
    return said;
  }

  /**
   * How large a file its own process may write.
   *
   * @param bytes a number, or {@code unlimited}
   */
  void limitFiles(String bytes) throws IOException {
    String id = String.valueOf(own.orElseThrow().pid());
    run("prlimit", "--pid", id, "--fsize=" + bytes + ":unlimited");
  }

  /** Ends its own process as a power cut would, in the middle of whatever it is at. */
  void kill() {
    own.ifPresent(
        process -> {
          process.destroyForcibly();
          await(process);
        });
    own = Optional.empty();
  }

  /** Starts again after a {@link #kill} or {@link #stop}, in a process of its own. */
  void revive() throws IOException {
    own = Optional.of(launch());
  }

  /** Where its database is, while it is stopped. */
  String database() {
    return "jdbc:h2:file:" + data.resolve("good-bones") + ";WRITE_DELAY=0";
  }

  /** Ends it in good order. */
  void stop() throws IOException {
    if (own.isPresent()) {
      own.get().destroy();
      await(own.get());
      own = Optional.empty();
      return;
    }
    stopInHost();
    Instant end = Instant.now().plus(PATIENCE);
    while (!isClosed()) {
      if (Instant.now().isAfter(end)) {
        throw new IOException("the application did not stop");
      }
      pause();
    }
  }

  private void stopInHost() {
    try {
      HOST.get().stop(port);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Whether nobody holds its database any more. */
  private boolean isClosed() {
    try (FileChannel file = FileChannel.open(data.resolve(DATABASE), READ, WRITE);
        FileLock lock = file.tryLock()) {
      return lock != null;
    } catch (IOException e) {
      return false;
    }
  }

  private static void await(Process process) {
    try {
      process.waitFor(20, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Override
  public void close() {
    if (own.isPresent()) {
      kill();
    } else {
      stopInHost();
    }
  }
}
