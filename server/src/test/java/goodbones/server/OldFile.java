package goodbones.server;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import java.util.zip.GZIPInputStream;

/** Database files of earlier versions, as they were left by them. */
final class OldFile {
  private OldFile() {}

  /**
   * @param name of a resource
   * @return what it is opened by
   */
  static Path unpacked(String name) {
    try (InputStream packed = OldFile.class.getResourceAsStream("/" + name + ".mv.db.gz")) {
      Path folder = Files.createTempDirectory("good-bones-before");
      try (InputStream in = new GZIPInputStream(Objects.requireNonNull(packed))) {
        Files.copy(in, folder.resolve("data.mv.db"));
      }
      return folder.resolve("data");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
