package goodbones.server.upkeep;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a backup says of itself.
 *
 * @param format how it is written
 * @param schema the version of the database's form that its rows have
 */
record BackupManifest(int format, String schema, List<Table> tables) {
  static final String ENTRY = "good-bones-backup.json";
  static final int FORMAT = 1;
  private static final JsonMapper JSON = new JsonMapper();

  BackupManifest {
    tables = List.copyOf(tables);
  }

  /**
   * The rows of a table.
   *
   * @param next for a column that counts by itself, what it gives next
   * @param sha256 of the entry with its rows, in hexadecimal digits
   */
  record Table(
      String name, List<String> columns, long rows, Map<String, Long> next, String sha256) {
    Table {
      columns = List.copyOf(columns);
      next = Map.copyOf(next);
    }

    String entry() {
      return "rows/" + name;
    }
  }

  byte[] json() {
    return JSON.writeValueAsBytes(this);
  }

  /**
   * @throws IOException if it cannot be read, or another version wrote it
   */
  static BackupManifest of(byte[] json) throws IOException {
    try {
      BackupManifest read = JSON.readValue(json, BackupManifest.class);
      if (read.format() != FORMAT) {
        throw new IOException(
            "Another version of Good Bones wrote this backup; restore it with that");
      }
      return read;
    } catch (JacksonException | NullPointerException damaged) {
      throw new IOException(
          "This backup is damaged: what it says of itself cannot be read", damaged);
    }
  }
}
