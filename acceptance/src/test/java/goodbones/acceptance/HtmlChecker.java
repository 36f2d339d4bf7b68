package goodbones.acceptance;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;

/** The Nu Html Checker of the W3C, run as a process. */
final class HtmlChecker {
  private static final Path JAR = Path.of("../web/node_modules/vnu-jar/build/dist/vnu.jar");

  private HtmlChecker() {}

  /** The errors that the checker finds, one a line; warnings are left out. */
  static List<String> errors(String html) throws IOException, InterruptedException {
    Process checker =
        new ProcessBuilder(
                "java",
                "-jar",
                JAR.toString(),
                "--errors-only",
                "--stdout",
                "--exit-zero-always",
                "-")
            .redirectError(ProcessBuilder.Redirect.INHERIT)
            .start();
    try (OutputStream in = checker.getOutputStream()) {
      in.write(html.getBytes(StandardCharsets.UTF_8));
    }
    String said = new String(checker.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    if (checker.waitFor() != 0) {
      throw new IOException("the HTML checker did not run: " + said);
    }
    return said.lines().filter(line -> !line.isBlank()).toList();
  }
}
