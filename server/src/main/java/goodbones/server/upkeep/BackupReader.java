package goodbones.server.upkeep;

import java.io.BufferedInputStream;
import java.io.DataInputStream;
import java.io.EOFException;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;

/**
 * Puts the rows of a backup into a database that is made here. Nothing else of a backup is used: it
 * says no form of tables, and nothing in it is run.
 */
final class BackupReader {
  private static final long MOST_OF_MANIFEST = 1024 * 1024;

  /** What we write packs to a tenth or more; a file that unpacks to much more is no backup. */
  private static final long MOST_TIMES = 40;

  private static final long SMALL = 64L * 1024 * 1024;
  private static final int BATCH = 200;

  private final Path file;
  private long left;

  /**
   * @param file a backup
   */
  BackupReader(Path file) throws IOException {
    this.file = file;
    this.left = SMALL + MOST_TIMES * Files.size(file);
  }

  /**
   * Makes a database with what the backup holds.
   *
   * @param folder an empty one
   * @throws IOException if it is no backup, is damaged, or a later version wrote it
   */
  BackupFile.Found into(Path folder) throws IOException, SQLException {
    try (ZipFile zip = new ZipFile(file.toFile())) {
      BackupManifest manifest = manifest(zip);
      Tables.make(folder, manifest.schema());
      BackupFile.Found found;
      try (Connection database = Tables.open(folder)) {
        found = new Filling(zip, database).all(manifest);
      }
      requireReadable(folder, found);
      return found;
    } catch (ZipException none) {
      throw new IOException("“" + file + "” is no backup of Good Bones", none);
    } catch (EOFException cut) {
      throw new IOException("“" + file + "” is damaged: it ends too early", cut);
    }
  }

  /** What was written is read once more from the disk before anybody relies on it. */
  private static void requireReadable(Path folder, BackupFile.Found found)
      throws IOException, SQLException {
    long rows = 0;
    try (Connection database = Tables.open(folder)) {
      for (String table : Tables.of(database)) {
        rows += Tables.rows(database, table);
      }
    }
    if (rows != found.rows()) {
      throw new IOException("What was restored to " + folder + " cannot be read back");
    }
  }

  private BackupManifest manifest(ZipFile zip) throws IOException {
    ZipEntry entry = zip.getEntry(BackupManifest.ENTRY);
    if (entry != null) {
      try (InputStream in = new Counted(zip.getInputStream(entry))) {
        return BackupManifest.of(in.readNBytes((int) MOST_OF_MANIFEST));
      }
    }
    if (zip.getEntry(Tables.DATABASE + ".mv.db") != null) {
      throw new IOException(
          "“"
              + file
              + "” was written by an earlier version: it holds a whole database, which could run"
              + " code of its own. If you trust it, unzip it into an empty folder, start Good Bones"
              + " on that with --data, and write a new backup");
    }
    throw new IOException("“" + file + "” is no backup of Good Bones");
  }

  /** Counts what is unpacked. */
  private final class Counted extends FilterInputStream {
    Counted(InputStream in) {
      super(in);
    }

    private int counted(int bytes) throws IOException {
      left -= Math.max(0, bytes);
      if (left < 0) {
        throw new IOException("“" + file + "” unpacks to more than any backup does");
      }
      return bytes;
    }

    @Override
    public int read() throws IOException {
      int next = in.read();
      counted(next < 0 ? 0 : 1);
      return next;
    }

    @Override
    public int read(byte[] into, int from, int length) throws IOException {
      return counted(in.read(into, from, length));
    }
  }

  /** Fills the tables of one database. */
  private final class Filling {
    private final ZipFile zip;
    private final Connection database;

    Filling(ZipFile zip, Connection database) {
      this.zip = zip;
      this.database = database;
    }

    BackupFile.Found all(BackupManifest manifest) throws IOException, SQLException {
      List<String> here = Tables.of(database);
      if (!new TreeSet<>(here)
          .equals(
              manifest.tables().stream()
                  .map(BackupManifest.Table::name)
                  .collect(Collectors.toCollection(TreeSet::new)))) {
        throw damaged("it has other tables than version " + manifest.schema() + " of the data");
      }
      long rows = 0;
      run("set referential_integrity false");
      database.setAutoCommit(false);
      for (String table : here) {
        run("delete from " + Tables.quoted(table));
      }
      for (BackupManifest.Table table : manifest.tables()) {
        fill(table);
        rows += table.rows();
      }
      database.commit();
      database.setAutoCommit(true);
      run("set referential_integrity true");
      for (String table : here) {
        check(table);
      }
      return new BackupFile.Found(here.size(), rows);
    }

    private void run(String sql) throws SQLException {
      try (Statement statement = database.createStatement()) {
        statement.execute(sql);
      }
    }

    private void check(String table) throws IOException {
      try {
        run("alter table " + Tables.quoted(table) + " set referential_integrity true check");
      } catch (SQLException broken) {
        throw damaged("rows of " + table + " name others that are not there");
      }
    }

    private void fill(BackupManifest.Table table) throws IOException, SQLException {
      List<String> columns = Tables.columns(database, table.name());
      if (!new TreeSet<>(columns).equals(new TreeSet<>(table.columns()))
          || columns.size() != table.columns().size()) {
        throw damaged("the table " + table.name() + " has other columns");
      }
      ZipEntry entry = zip.getEntry(table.entry());
      if (entry == null) {
        throw damaged("the rows of " + table.name() + " are missing");
      }
      MessageDigest digest = Tables.sha256();
      try (InputStream raw = new Counted(zip.getInputStream(entry));
          DataInputStream in =
              new DataInputStream(new DigestInputStream(new BufferedInputStream(raw), digest))) {
        rows(table, in);
        if (in.read() >= 0) {
          throw damaged("the table " + table.name() + " has more rows than it says");
        }
      } catch (SQLException refused) {
        throw damaged(
            "a row of " + table.name() + " cannot be taken (" + refused.getMessage() + ")");
      }
      if (!HexFormat.of().formatHex(digest.digest()).equals(table.sha256())) {
        throw damaged("the rows of " + table.name() + " are not those that were written");
      }
      for (Map.Entry<String, Long> next : table.next().entrySet()) {
        if (columns.contains(next.getKey())) {
          run(
              "alter table "
                  + Tables.quoted(table.name())
                  + " alter column "
                  + Tables.quoted(next.getKey())
                  + " restart with "
                  + next.getValue());
        }
      }
    }

    private void rows(BackupManifest.Table table, DataInputStream in)
        throws IOException, SQLException {
      String columns =
          table.columns().stream().map(Tables::quoted).collect(Collectors.joining(", "));
      String places = table.columns().stream().map(c -> "?").collect(Collectors.joining(", "));
      try (PreparedStatement insert =
          database.prepareStatement(
              "insert into "
                  + Tables.quoted(table.name())
                  + " ("
                  + columns
                  + ") overriding system value values ("
                  + places
                  + ")")) {
        for (long row = 0; row < table.rows(); row++) {
          for (int i = 1; i <= table.columns().size(); i++) {
            RowValues.read(in, insert, i);
          }
          insert.addBatch();
          if (row % BATCH == BATCH - 1) {
            insert.executeBatch();
          }
        }
        insert.executeBatch();
      }
    }

    private IOException damaged(String why) {
      return new IOException("“" + file + "” is damaged: " + why);
    }
  }
}
