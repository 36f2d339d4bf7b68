package goodbones.server.documents;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Brings kept documents to the form in which every local change carries the revision that it was
 * made on. Until then a placement named one revision on which all of its changes were settled, and
 * others beside it for those that were out of sight.
 */
@Component
public class V20__MadeOn extends BaseJavaMigration {
  private static final JsonMapper JSON = new JsonMapper();

  /** A column that holds placements, or edits of them. */
  private record Column(String table, String name) {}

  private static final List<Column> COLUMNS =
      List.of(
          new Column("piece", "draft"),
          new Column("revision", "document"),
          new Column("revision", "bound"),
          new Column("gone_page", "document"),
          new Column("edit_step", "step"),
          new Column("rollout", "stood"));

  @Override
  public void migrate(Context context) throws SQLException {
    Connection database = context.getConnection();
    for (Column column : COLUMNS) {
      rewrite(database, column, "", Map.of());
    }
    for (Map.Entry<String, Map<String, Integer>> site : adopted(database).entrySet()) {
      String ofSite = " where site_id = '" + site.getKey().replace("'", "''") + "'";
      rewrite(database, new Column("page", "document"), ofSite, site.getValue());
    }
  }

  private static Map<String, Map<String, Integer>> adopted(Connection database)
      throws SQLException {
    Map<String, Map<String, Integer>> adopted = new HashMap<>();
    try (PreparedStatement sites = database.prepareStatement("select id from site");
        ResultSet rows = sites.executeQuery()) {
      while (rows.next()) {
        adopted.put(rows.getString(1), new HashMap<>());
      }
    }
    try (PreparedStatement all =
            database.prepareStatement("select site_id, piece_id, revision from adopted");
        ResultSet rows = all.executeQuery()) {
      while (rows.next()) {
        adopted
            .computeIfAbsent(rows.getString(1), site -> new HashMap<>())
            .put(rows.getString(2), rows.getInt(3));
      }
    }
    return adopted;
  }

  private static void rewrite(
      Connection database, Column column, String where, Map<String, Integer> adopted)
      throws SQLException {
    String select = "select _rowid_, " + column.name() + " from " + column.table() + where;
    String update = "update " + column.table() + " set " + column.name() + " = ? where _rowid_ = ?";
    try (PreparedStatement reading = database.prepareStatement(select);
        ResultSet rows = reading.executeQuery();
        PreparedStatement writing = database.prepareStatement(update)) {
      while (rows.next()) {
        String before = rows.getString(2);
        if (before == null || !before.contains("\"pieceId\"") && !before.contains("set-local")) {
          continue;
        }
        JsonNode document = JSON.readTree(before);
        bring(document, adopted);
        writing.setString(1, JSON.writeValueAsString(document));
        writing.setLong(2, rows.getLong(1));
        writing.addBatch();
      }
      writing.executeBatch();
    }
  }

  /**
   * Brings everything in a document to the new form.
   *
   * @param adopted what the site shows, for placements of which nothing was noted
   */
  static void bring(JsonNode node, Map<String, Integer> adopted) {
    node.forEach(child -> bring(child, adopted));
    if (node instanceof ObjectNode object) {
      if (object.path("changes").isObject() && object.has("pieceId") && !object.has("bound")) {
        placement(object, adopted);
      } else if (object.path("do").asString().equals("set-local") && object.has("settled")) {
        object.set("madeOn", object.remove("settled"));
      }
    }
  }

  private static void placement(ObjectNode placement, Map<String, Integer> adopted) {
    String piece = placement.path("pieceId").asString();
    int settled = placement.path("settled").asInt(0);
    int pinned = placement.path("pin").path("revision").asInt(0);
    int shown = pinned > 0 ? pinned : adopted.getOrDefault(piece, 0);
    int bound = settled > 0 ? settled : shown;
    JsonNode dormant = placement.path("dormantSince");
    ObjectNode changes = JSON.createObjectNode();
    placement
        .path("changes")
        .properties()
        .forEach(
            change -> {
              ObjectNode made = changes.putObject(change.getKey());
              made.set("value", change.getValue());
              made.put("madeOn", piece.isEmpty() ? 0 : dormant.path(change.getKey()).asInt(bound));
            });
    ObjectNode order = JSON.createObjectNode();
    placement
        .path("order")
        .properties()
        .forEach(
            ids -> {
              ObjectNode made = order.putObject(ids.getKey());
              ArrayNode list = made.putArray("ids");
              ids.getValue().forEach(list::add);
              made.put("madeOn", piece.isEmpty() ? 0 : bound);
            });
    placement.put("bound", bound);
    placement.set("changes", changes);
    placement.set("order", order);
    placement.remove("settled");
    placement.remove("dormantSince");
  }
}
