package goodbones.server.upkeep;

import goodbones.server.problems.BadInput;
import goodbones.server.problems.NotFound;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.UUID;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/**
 * What {@code good-bones backup} asks of the running application. Whoever can read the data's
 * folder may ask: a file there, readable by its owner alone, says the port, a token and the
 * address.
 */
@RestController
@ConditionalOnProperty("goodbones.control")
class Control {
  static final String FILE = "running.txt";
  private final DataSource database;
  private final Path data;
  private final String address;
  private final String token = UUID.randomUUID() + "-" + UUID.randomUUID();

  Control(
      DataSource database,
      @Value("${goodbones.data}") String data,
      @Value("${server.address}") String address) {
    this.database = database;
    this.data = Path.of(data);
    this.address = address;
  }

  record Backup(String file) {}

  record BackedUp(String said) {}

  @EventListener
  void started(WebServerInitializedEvent event) throws IOException {
    Path file = data.resolve(FILE);
    Files.deleteIfExists(file);
    Files.createFile(
        file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
    Files.writeString(file, event.getWebServer().getPort() + " " + token + " " + address + "\n");
    file.toFile().deleteOnExit();
  }

  /** Writes a backup, and reads it back. */
  @PostMapping("/control/backup")
  BackedUp backup(
      @RequestHeader(name = "X-Control", defaultValue = "") String given,
      @RequestBody Backup backup) {
    boolean same =
        MessageDigest.isEqual(
            given.getBytes(StandardCharsets.UTF_8), token.getBytes(StandardCharsets.UTF_8));
    if (!same) {
      throw new NotFound("address", "/control/backup");
    }
    try (Connection connection = database.getConnection()) {
      return new BackedUp(
          "Backed up to "
              + backup.file()
              + " and read back: "
              + BackupFile.write(connection, Path.of(backup.file())));
    } catch (IOException | SQLException cannot) {
      throw new BadInput("file", String.valueOf(cannot.getMessage()));
    }
  }
}
