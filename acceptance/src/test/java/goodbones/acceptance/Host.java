package goodbones.acceptance;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.lang.reflect.Method;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A process that runs the packed application several times over, each with data and a port of its
 * own. Starting it once more in a process that has started it before takes a quarter of the work.
 */
final class Host {
  private final Process process;
  private final PrintStream orders;
  private final Path told;

  /**
   * @param java how Java is started, up to the class path
   * @param packed the jar
   * @param told where to all say what they do
   */
  Host(List<String> java, Path packed, Path told) throws IOException {
    this.told = told;
    List<String> command = new ArrayList<>(java);
    command.addAll(List.of("-cp", packed + ":target/test-classes", Host.class.getName()));
    process =
        new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(told.toFile()).start();
    orders = new PrintStream(process.getOutputStream(), true, StandardCharsets.UTF_8);
  }

  /** Begins to start one; it is there when it answers. */
  void start(int port, List<String> arguments) {
    orders.println("start " + port + " " + String.join(" ", arguments));
  }

  /** Ends one in good order; it is gone when its data can be opened. */
  void stop(int port) {
    orders.println("stop " + port);
  }

  Path told() {
    return told;
  }

  boolean isAlive() {
    return process.isAlive();
  }

  void end() {
    process.destroyForcibly();
  }

  /** Takes orders, one on a line, until there are no more. */
  public static void main(String[] args) throws Exception {
    Class<?> application = Class.forName("goodbones.server.GoodBones");
    Method run =
        Class.forName("org.springframework.boot.SpringApplication")
            .getMethod("run", Class.class, String[].class);
    Map<String, AutoCloseable> running = new HashMap<>();
    BufferedReader orders =
        new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
    for (String order = orders.readLine(); order != null; order = orders.readLine()) {
      String[] words = order.split(" ");
      if (words[0].equals("start")) {
        String[] arguments = List.of(words).subList(2, words.length).toArray(String[]::new);
        running.put(words[1], (AutoCloseable) run.invoke(null, application, arguments));
      } else {
        AutoCloseable one = running.remove(words[1]);
        if (one != null) {
          one.close();
        }
      }
    }
    System.exit(0);
  }
}
