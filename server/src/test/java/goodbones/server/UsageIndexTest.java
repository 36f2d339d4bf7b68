package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Node;
import goodbones.document.References;
import goodbones.document.Uses;
import goodbones.library.Placements;
import goodbones.server.documents.DocumentJson;
import goodbones.server.library.Pieces;
import goodbones.server.library.UsageIndex;
import goodbones.server.library.Use;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/**
 * What the index says of who uses what is what a look through every document says, after any
 * sequence of edits, undo, releases, rollouts, replacements and take-backs.
 */
@ServerTest
@DirtiesContext
class UsageIndexTest {
  private static final int STEPS = "1".equals(System.getenv("LONG_TESTS")) ? 1500 : 150;

  @Autowired private JdbcTemplate database;
  @Autowired private Pieces pieces;
  @Autowired private UsageIndex usage;
  private Api api;

  @BeforeEach
  void begin(@Autowired MockMvc mvc) {
    api = new Api(mvc);
  }

  private TreeSet<String> indexed() {
    TreeSet<String> rows = new TreeSet<>();
    database
        .queryForList(
            "select owner_kind, owner_id, revision, kind, ref_id from referred", new Object[0])
        .forEach(
            row -> rows.add(String.join(" ", row.values().stream().map(String::valueOf).toList())));
    database
        .queryForList("select owner_kind, owner_id, path, piece_id, bound from placed")
        .forEach(
            row -> rows.add(String.join(" ", row.values().stream().map(String::valueOf).toList())));
    return rows;
  }

  /** What is placed where, as it is answered: that of pages comes from what is remembered. */
  private TreeSet<String> answered() {
    TreeSet<String> rows = new TreeSet<>();
    usage
        .upwards(pieces.names().keySet())
        .forEach(
            (piece, in) -> {
              for (Use use : in.onPages()) {
                rows.add(
                    String.join(
                        " ",
                        List.of(
                            piece,
                            use.ownerId(),
                            use.siteId(),
                            use.path(),
                            String.valueOf(use.shown()),
                            String.valueOf(use.changes()),
                            String.valueOf(use.held()))));
              }
              in.inPieces()
                  .forEach(
                      (holder, onlyDraft) ->
                          rows.add(piece + " in " + (onlyDraft ? "the draft of " : "") + holder));
            });
    return rows;
  }

  private TreeSet<String> stored() {
    TreeSet<String> rows = new TreeSet<>();
    database
        .queryForList(
            "select piece_id, owner_id, site_id, path, coalesce(pinned, 0), changes,"
                + " lower(cast(held as varchar)) from placed where owner_kind = 'page'")
        .forEach(
            row -> rows.add(String.join(" ", row.values().stream().map(String::valueOf).toList())));
    database
        .queryForList(
            "select piece_id, owner_id, min(case owner_kind when 'piece' then '' else 'the draft"
                + " of ' end) from placed where owner_kind <> 'page' group by piece_id, owner_id")
        .forEach(
            row -> {
              var values = row.values().stream().map(String::valueOf).toList();
              rows.add(values.get(0) + " in " + values.get(2) + values.get(1));
            });
    return rows;
  }

  private TreeSet<String> scanned() {
    TreeSet<String> rows = new TreeSet<>();
    database
        .queryForList("select id, document from page")
        .forEach(row -> scan(rows, "page", row.get("ID"), 0, read(row.get("DOCUMENT")), true));
    database
        .queryForList("select id, draft from piece where draft is not null")
        .forEach(row -> scan(rows, "draft", row.get("ID"), 0, read(row.get("DRAFT")), true));
    pieces
        .currents()
        .forEach(
            (id, current) -> {
              for (int number = 1; number <= current; number++) {
                scan(
                    rows,
                    "piece",
                    id,
                    number,
                    pieces.revision(id, number).root(),
                    number == current);
              }
            });
    return rows;
  }

  private static Node read(Object stored) {
    try {
      String json =
          stored instanceof java.sql.Clob clob
              ? clob.getSubString(1, (int) clob.length())
              : String.valueOf(stored);
      return DocumentJson.read(json, Node.class);
    } catch (java.sql.SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void scan(
      Collection<String> rows, String kind, Object id, int revision, Node root, boolean placed) {
    References references = References.of(root);
    String owner = kind + " " + id + " " + revision + " ";
    references.tokens().forEach(ref -> rows.add(owner + "token " + ref));
    references.namedStyles().forEach(ref -> rows.add(owner + "style " + ref));
    references.schemes().forEach(ref -> rows.add(owner + "scheme " + ref));
    Uses.of(root).pictures().forEach(ref -> rows.add(owner + "picture " + ref));
    Placements.of(root)
        .forEach(
            (path, one) -> {
              if (kind.equals("piece")) {
                rows.add(owner + "bound " + one.pieceId() + "@" + one.bound());
              }
              if (placed) {
                rows.add(kind + " " + id + " " + path + " " + one.pieceId() + " " + one.bound());
              }
            });
  }

  private static <T> T any(List<T> list, Random random) {
    return list.get(random.nextInt(list.size()));
  }

  private List<String> nodes(JsonNode view) {
    List<String> nodes = new ArrayList<>();
    view.path("blocks")
        .forEach(block -> block.path("nodes").forEach(n -> nodes.add(n.path("id").asString())));
    return nodes;
  }

  private static Map<String, String> setting(String node, String property, String value) {
    return Map.of(
        "node", node, "property", property, "device", "desktop", "state", "normal", "value", value);
  }

  private Object[] edit(String page, JsonNode view, Random random) {
    List<String> all = new ArrayList<>(pieces.names().keySet());
    String node = nodes(view).isEmpty() ? page : any(nodes(view), random);
    String style = any(List.of("{color.accent}", "{color.surface}", "#123456", ""), random);
    return switch (random.nextInt(11)) {
      case 0, 1 ->
          new Object[] {"type", "PLACE", "node", page, "before", "", "piece", any(all, random)};
      case 2 ->
          new Object[] {
            "type", "SETTINGS", "settings", List.of(setting(node, "background-color", style))
          };
      case 3 -> new Object[] {"type", "DUPLICATE", "nodes", List.of(node)};
      case 4 -> new Object[] {"type", "REMOVE", "nodes", List.of(node)};
      case 5 -> new Object[] {"type", "UNLINK", "node", node};
      case 6 -> new Object[] {"type", "EXCHANGE", "node", node, "piece", any(all, random)};
      case 7 -> new Object[] {"type", "SCHEME", "node", node, "value", "dark"};
      case 8 ->
          new Object[] {"type", "FIELD", "node", node, "field", "picture", "value", "stand-in"};
      case 9 -> new Object[] {"type", "KEEP", "node", node, "name", "Kept " + random.nextInt()};
      default -> new Object[] {"type", "HOLD", "node", node, "on", random.nextBoolean()};
    };
  }

  private int step(List<String> pages, Random random) {
    String page = any(pages, random);
    String piece = any(List.copyOf(pieces.names().keySet()), random);
    switch (random.nextInt(10)) {
      case 0 -> {
        long version = api.page(page).path("version").asLong();
        String way = random.nextBoolean() ? "undo" : "redo";
        return api.write("/api/pages/" + page + "/" + way, Map.of("version", version)).status();
      }
      case 1 -> {
        JsonNode view = api.piece(piece);
        return api.editPiece(
                piece,
                "type",
                "SETTINGS",
                "settings",
                List.of(setting(any(nodes(view), random), "color", "{color.accent}")))
            .status();
      }
      case 2 -> {
        return api.write(
                "/api/pieces/released",
                Map.of(
                    "pieces",
                    api.read("/api/pieces")
                        .body()
                        .valueStream()
                        .filter(card -> card.path("draft").asBoolean())
                        .map(card -> card.path("id").asString())
                        .limit(2)
                        .toList(),
                    "note",
                    "Better"))
            .status();
      }
      case 3 -> {
        return apply(random);
      }
      case 4 -> {
        JsonNode history = api.read("/api/rollouts").body().path("history");
        return history.isEmpty()
            ? 0
            : api.write(
                    "/api/rollouts/" + history.get(0).path("id").asString() + "/take-back",
                    Map.of("decisions", List.of()))
                .status();
      }
      case 5 -> {
        String by = any(List.copyOf(pieces.names().keySet()), random);
        JsonNode plan = api.read("/api/rollouts/replacement?piece=" + piece + "&by=" + by).body();
        return random.nextInt(3) > 0 || !plan.has("basis")
            ? 0
            : api.write(
                    "/api/rollouts/replacement",
                    Map.of("pieceId", piece, "by", by, "basis", plan.path("basis").asString()))
                .status();
      }
      case 6 -> {
        return random.nextInt(3) > 0
            ? api.write("/api/pages/" + page + "/take-away", Map.of("leadsTo", "")).status()
            : 0;
      }
      case 7 -> {
        return broughtBack();
      }
      default -> {
        return api.editPage(page, edit(page, api.page(page), random)).status();
      }
    }
  }

  /** All pages that were taken away come back. */
  private int broughtBack() {
    int status = 0;
    for (JsonNode site : api.read("/api/sites").body()) {
      String gone = "/api/sites/" + site.path("id").asString() + "/gone";
      for (JsonNode page : api.read(gone).body()) {
        status =
            api.write(gone + "/" + page.path("id").asString() + "/bring-back", Map.of()).status();
      }
    }
    return status;
  }

  private int apply(Random random) {
    List<JsonNode> waiting =
        api.read("/api/rollouts").body().path("waiting").valueStream().toList();
    if (waiting.isEmpty()) {
      return 0;
    }
    String piece = any(waiting, random).path("pieceId").asString();
    JsonNode plan = api.read("/api/rollouts/plan?piece=" + piece).body();
    List<String> sites =
        plan.path("sites").valueStream().map(site -> site.path("id").asString()).toList();
    return api.write("/api/rollouts", Api.rollout(plan, List.of(), sites)).status();
  }

  @Test
  void theIndexIsWhatALookThroughEveryDocumentSays() {
    Random random = new Random(12);
    List<String> pages = database.queryForList("select id from page order by id", String.class);
    assertThat(indexed()).isEqualTo(scanned());
    int done = 0;
    for (int i = 0; i < STEPS; i++) {
      int status = step(pages, random);
      assertThat(status).as("step %d", i).isLessThan(500);
      done += status == 200 ? 1 : 0;
      if (i % 10 == 9) {
        assertThat(indexed()).as("after step %d", i).isEqualTo(scanned());
        assertThat(answered()).as("after step %d", i).isEqualTo(stored());
      }
    }
    assertThat(indexed()).isEqualTo(scanned());
    assertThat(done).isGreaterThan(STEPS / 4);
  }
}
