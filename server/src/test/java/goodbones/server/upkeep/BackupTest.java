package goodbones.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.server.ServerTest;
import goodbones.testing.Runs;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;

/** Backups of the demo's data, and files that are none or were made by somebody else. */
@ServerTest
class BackupTest {
  private static final int FLIPS = Runs.of(10, 400);

  @TempDir private Path folder;

  @Autowired private DataSource database;

  private Path backup() throws IOException, SQLException {
    Path file = folder.resolve("b" + System.nanoTime() + ".zip");
    try (Connection connection = database.getConnection()) {
      BackupFile.write(connection, file);
    }
    return file;
  }

  /** A backup of a database with nothing in it but what its form brings. */
  private Path small() throws IOException, SQLException {
    Path from = folder.resolve("small" + System.nanoTime());
    Path file = folder.resolve(from.getFileName() + ".zip");
    Tables.make(from, "20");
    try (Connection connection = Tables.open(from)) {
      BackupFile.write(connection, file);
    }
    return file;
  }

  /** Every row of every table, and what counts by itself. */
  private static Map<String, List<String>> all(Connection connection) throws SQLException {
    Map<String, List<String>> all = new TreeMap<>();
    try (Statement sql = connection.createStatement()) {
      for (String table : Tables.of(connection)) {
        List<String> rows = new ArrayList<>();
        try (ResultSet row = sql.executeQuery("select * from " + Tables.quoted(table))) {
          while (row.next()) {
            StringBuilder text = new StringBuilder();
            for (int i = 1; i <= row.getMetaData().getColumnCount(); i++) {
              text.append(row.getString(i)).append('|');
            }
            rows.add(text.toString());
          }
        }
        rows.sort(null);
        all.put(table, rows);
      }
      List<String> counting = new ArrayList<>();
      try (ResultSet row =
          sql.executeQuery(
              "select table_name, identity_base from information_schema.columns"
                  + " where is_identity = 'YES' order by 1")) {
        while (row.next()) {
          counting.add(row.getString(1) + " " + row.getLong(2));
        }
      }
      all.put("counting", counting);
    }
    return all;
  }

  @Test
  void everythingIsThereAfterwards() throws IOException, SQLException {
    Path file = backup();
    assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
        .isEqualTo("rw-------");
    Path data = folder.resolve("data");
    assertThat(Upkeep.restore(data, file)).contains("tables with");
    try (Connection before = database.getConnection();
        Connection after = Tables.open(data)) {
      Map<String, List<String>> expected = all(before);
      assertThat(all(after)).isEqualTo(expected);
      assertThat(expected.get("PAGE")).isNotEmpty();
      assertThat(expected.get("PICTURE")).isNotEmpty();
    }
    assertThat(Upkeep.restore(data, file)).contains("what was there is in");
    assertThatThrownBy(() -> BackupFile.write(database.getConnection(), file))
        .hasMessageContaining("already");
  }

  /** An H2 database may hold Java source that runs as soon as it is opened. */
  @Test
  void whatADatabaseOfSomebodyElseWouldRunIsNotRun() throws IOException, SQLException {
    Path theirs = Files.createDirectory(folder.resolve("theirs"));
    Path ran = folder.resolve("ran");
    Tables.make(theirs, "20");
    try (Connection connection = Tables.open(theirs);
        Statement sql = connection.createStatement()) {
      sql.execute(
          "create trigger evil before select on person as $$org.h2.api.Trigger create() throws"
              + " Exception { java.nio.file.Files.createFile(java.nio.file.Path.of(\""
              + ran
              + "\")); return null; }$$");
    } catch (SQLException compiled) {
      // Made it is in any case: what is compiled at once may already have run.
      assertThat(compiled.getMessage()).isNotBlank();
    }
    Files.deleteIfExists(ran);
    Path zip = folder.resolve("theirs.zip");
    try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip))) {
      out.putNextEntry(new ZipEntry(Tables.DATABASE + ".mv.db"));
      out.write(Files.readAllBytes(theirs.resolve(Tables.DATABASE + ".mv.db")));
    }
    Path data = folder.resolve("untouched");
    assertThatThrownBy(() -> Upkeep.restore(data, zip))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("earlier version")
        .hasMessageContaining("unzip it");
    assertThat(ran).doesNotExist();
    assertThat(data).doesNotExist();
  }

  /** Another manifest, or other rows, in a backup. */
  private Path changed(Path file, String entry, UnaryOperator<byte[]> change) throws IOException {
    Map<String, byte[]> entries = new LinkedHashMap<>();
    try (ZipInputStream in = new ZipInputStream(Files.newInputStream(file))) {
      for (ZipEntry next = in.getNextEntry(); next != null; next = in.getNextEntry()) {
        entries.put(next.getName(), in.readAllBytes());
      }
    }
    entries.computeIfPresent(entry, (name, bytes) -> change.apply(bytes));
    Path other = folder.resolve("c" + System.nanoTime() + ".zip");
    try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(other))) {
      for (Map.Entry<String, byte[]> each : entries.entrySet()) {
        out.putNextEntry(new ZipEntry(each.getKey()));
        out.write(each.getValue());
      }
    }
    return other;
  }

  private Path manifest(Path file, String from, String to) throws IOException {
    return changed(
        file,
        BackupManifest.ENTRY,
        bytes -> {
          String text = new String(bytes, StandardCharsets.UTF_8);
          assertThat(text).contains(from);
          return text.replace(from, to).getBytes(StandardCharsets.UTF_8);
        });
  }

  @Test
  void whatWasChangedInABackupIsRefusedAndNothingOfItIsRun() throws IOException, SQLException {
    Path file = small();
    Map<Path, String> refused = new HashMap<>();
    refused.put(manifest(file, "\"schema\":\"20\"", "\"schema\":\"999\""), "later version");
    refused.put(manifest(file, "\"schema\":\"20\"", "\"schema\":\"1; drop\""), "later version");
    refused.put(manifest(file, "\"format\":1", "\"format\":2"), "Another version");
    refused.put(manifest(file, "\"format\":1", "\"format\":[]"), "damaged");
    refused.put(manifest(file, "\"PERSON\"", "\"PERSON\\\" --\""), "other tables");
    refused.put(manifest(file, "\"PERSON\"", "\"STRANGER\""), "other tables");
    refused.put(manifest(file, "\"NAME\"", "\"NAME\\\") values (1) --\""), "other columns");
    refused.put(changed(file, "rows/PERSON", bytes -> new byte[] {(byte) 0x74, 0x7f}), "damaged");
    Path none = Files.writeString(folder.resolve("none.zip"), "not a zip");
    refused.put(none, "no backup");
    for (Map.Entry<Path, String> each : refused.entrySet()) {
      Path data = folder.resolve("refused" + System.nanoTime());
      assertThatThrownBy(() -> Upkeep.restore(data, each.getKey()))
          .isInstanceOf(IOException.class)
          .hasMessageContaining(each.getValue());
      assertThat(data).doesNotExist();
    }
    try (var left = Files.list(folder)) {
      assertThat(left.filter(path -> path.toString().contains("restoring"))).isEmpty();
    }
  }

  @Test
  void everyByteThatFlipsIsNoticedOrChangesNothing() throws IOException, SQLException {
    Path file = small();
    byte[] whole = Files.readAllBytes(file);
    Random random = new Random(20_261_202);
    for (int i = 0; i < FLIPS; i++) {
      byte[] bytes = whole.clone();
      bytes[random.nextInt(bytes.length)] ^= (byte) (1 << random.nextInt(8));
      Path damaged = Files.write(folder.resolve("f" + i + ".zip"), bytes);
      Path data = folder.resolve("f" + i);
      try {
        Upkeep.restore(data, damaged);
        assertThat(Files.exists(data.resolve(Tables.DATABASE + ".mv.db"))).isTrue();
      } catch (IOException refused) {
        assertThat(data).doesNotExist();
        assertThat(refused.getMessage()).isNotBlank();
      }
    }
  }

  @Test
  void whatUnpacksToTooMuchIsStoppedAtOnce() throws IOException, SQLException {
    Path bomb = changed(small(), "rows/PERSON", bytes -> new byte[200 * 1024 * 1024]);
    Path data = folder.resolve("bomb");
    assertThatThrownBy(() -> Upkeep.restore(data, bomb)).isInstanceOf(IOException.class);
    assertThat(data).doesNotExist();
  }
}
