package goodbones.server.upkeep;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;

/** Values of rows as bytes: a letter for the type, and then the value. Nothing of it is code. */
final class RowValues {
  /** No text and no file is longer. */
  private static final int LONGEST = 64 * 1024 * 1024;

  private RowValues() {}

  /**
   * The letter for a column's type.
   *
   * @param type as in {@link Types}
   * @throws IllegalStateException if no backup has such a column yet
   */
  static char letter(int type) {
    return switch (type) {
      case Types.BOOLEAN, Types.BIT -> 'b';
      case Types.BIGINT, Types.INTEGER, Types.SMALLINT, Types.TINYINT -> 'n';
      case Types.DOUBLE, Types.FLOAT, Types.REAL -> 'd';
      case Types.VARCHAR, Types.CHAR, Types.CLOB, Types.LONGVARCHAR -> 't';
      case Types.BLOB, Types.BINARY, Types.VARBINARY, Types.LONGVARBINARY -> 'f';
      case Types.TIMESTAMP_WITH_TIMEZONE -> 'z';
      case Types.TIMESTAMP -> 'l';
      default -> throw new IllegalStateException("A backup knows no column of type " + type);
    };
  }

  /**
   * Writes one.
   *
   * @param letter of the column's type
   */
  static void write(ResultSet row, int column, char letter, DataOutputStream out)
      throws SQLException, IOException {
    if (row.getObject(column) == null) {
      out.writeByte('-');
      return;
    }
    out.writeByte(letter);
    switch (letter) {
      case 'b' -> out.writeBoolean(row.getBoolean(column));
      case 'n' -> out.writeLong(row.getLong(column));
      case 'd' -> out.writeDouble(row.getDouble(column));
      case 't' -> bytes(row.getString(column).getBytes(StandardCharsets.UTF_8), out);
      case 'z' -> bytes(text(row.getObject(column, OffsetDateTime.class)), out);
      case 'l' -> bytes(text(row.getObject(column, LocalDateTime.class)), out);
      default -> bytes(row.getBytes(column), out);
    }
  }

  private static byte[] text(Object value) {
    return value.toString().getBytes(StandardCharsets.UTF_8);
  }

  private static void bytes(byte[] value, DataOutputStream out) throws IOException {
    out.writeInt(value.length);
    out.write(value);
  }

  /**
   * Reads one into a statement.
   *
   * @throws IOException if there is none
   */
  static void read(DataInputStream in, PreparedStatement into, int column)
      throws SQLException, IOException {
    int type = in.readUnsignedByte();
    switch (type) {
      case '-' -> into.setObject(column, null);
      case 'b' -> into.setBoolean(column, in.readBoolean());
      case 'n' -> into.setLong(column, in.readLong());
      case 'd' -> into.setDouble(column, in.readDouble());
      case 't', 'z', 'l' -> into.setString(column, new String(bytes(in), StandardCharsets.UTF_8));
      case 'f' -> into.setBytes(column, bytes(in));
      default -> throw new IOException("There is no value of type " + type);
    }
  }

  private static byte[] bytes(DataInputStream in) throws IOException {
    int length = in.readInt();
    if (length < 0 || length > LONGEST) {
      throw new IOException("No value is " + length + " bytes long");
    }
    // As it comes, so that a length that is only claimed takes no memory.
    byte[] value = in.readNBytes(length);
    if (value.length < length) {
      throw new IOException("A value is cut off");
    }
    return value;
  }
}
