package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every write names the version of what it changes that its maker saw. The description of the API
 * says which do; the others are listed here with their reason.
 */
@ServerTest
class WritesNameWhatTheySawTest {
  private static final Set<String> NAMES =
      Set.of("version", "etag", "stamp", "stamps", "changed", "basis", "expected");

  private static final String MAKES = "it makes something new";
  private static final String TRIES = "it writes nothing";
  private static final String SAME = "it comes to the same, whatever was done before";
  private static final String OWN = "only its maker does it, on what is their own";
  private static final String NOW = "it is about what stands at that moment";
  private static final String NEVER_CHANGES = "what it is about never changes";

  private static final Map<String, String> OTHERS = new TreeMap<>();

  static {
    because(
        MAKES,
        "POST /api/brands",
        "POST /api/pages/{id}/composition",
        "POST /api/people",
        "POST /api/pictures",
        "POST /api/pieces",
        "POST /api/sites/{id}/files",
        "POST /api/sites/{id}/fonts",
        "POST /api/sites/{id}/pages",
        "POST /api/sites/{id}/pages/from-composition",
        "POST /api/sites/{id}/pages/from-set",
        "POST /api/sites/{id}/pages/like-page",
        "POST /api/sites/{id}/sets");
    because(
        TRIES,
        "POST /api/brands/try",
        "POST /api/clean",
        "POST /api/finishes/try",
        "POST /api/pages/{id}/fit",
        "POST /api/pieces/{id}/fit",
        "POST /api/rollouts/preview",
        "POST /api/rollouts/{id}/take-back/plan");
    because(
        SAME,
        "POST /api/people/{id}/code",
        "POST /api/people/{id}/end-sessions",
        "POST /api/pieces/brought-back",
        "POST /api/pieces/retired",
        "POST /api/pieces/tags",
        "POST /api/sites/{id}/gone/{page}/bring-back");
    because(
        OWN,
        "POST /api/pages/{id}/here",
        "POST /api/people/me/password",
        "POST /api/pieces/{id}/here",
        "POST /api/session/code",
        "POST /api/session/first");
    because(NOW, "POST /api/sites/{id}/publication", "POST /api/sites/{id}/survey/{rule}/mend");
    because(
        NEVER_CHANGES,
        "DELETE /api/compositions/{id}",
        "DELETE /api/sets/{id}",
        "DELETE /api/sites/{id}/fonts/{font}");
  }

  private static void because(String reason, String... operations) {
    for (String operation : operations) {
      OTHERS.put(operation, reason);
    }
  }

  @Autowired private MockMvc mvc;

  private static void parts(JsonNode schema, JsonNode schemas, Set<String> seen, Set<String> into) {
    String ref = schema.path("$ref").asString("");
    if (!ref.isEmpty()) {
      String name = ref.substring(ref.lastIndexOf('/') + 1);
      if (seen.add(name)) {
        parts(schemas.path(name), schemas, seen, into);
      }
    }
    schema
        .path("properties")
        .properties()
        .forEach(
            each -> {
              into.add(each.getKey());
              if (each.getValue().path("type").asString("").equals("array")) {
                parts(each.getValue().path("items"), schemas, seen, into);
              }
            });
    for (String any : List.of("oneOf", "allOf", "anyOf")) {
      schema.path(any).forEach(one -> parts(one, schemas, seen, into));
    }
  }

  @Test
  void everyWriteNamesAVersionOrIsListedWithItsReason() throws Exception {
    JsonNode api =
        new JsonMapper()
            .readTree(
                mvc.perform(get("/v3/api-docs")).andReturn().getResponse().getContentAsString());
    Set<String> without = new TreeSet<>();
    Set<String> with = new TreeSet<>();
    for (Map.Entry<String, JsonNode> path : api.path("paths").properties()) {
      for (Map.Entry<String, JsonNode> method : path.getValue().properties()) {
        if (method.getKey().equals("get")) {
          continue;
        }
        Set<String> parts = new HashSet<>();
        JsonNode operation = method.getValue();
        operation
            .path("parameters")
            .forEach(
                one -> {
                  if (!one.path("in").asString().equals("path")) {
                    parts.add(one.path("name").asString());
                  }
                });
        for (JsonNode content : operation.path("requestBody").path("content")) {
          parts(
              content.path("schema"),
              api.path("components").path("schemas"),
              new HashSet<>(),
              parts);
        }
        boolean names = parts.stream().anyMatch(NAMES::contains);
        (names ? with : without)
            .add(method.getKey().toUpperCase(java.util.Locale.ROOT) + " " + path.getKey());
      }
    }
    assertThat(without).isEqualTo(OTHERS.keySet());
    assertThat(with).hasSizeGreaterThan(25);
  }

  private record Write(String what, java.util.function.Supplier<Api.Answer> write) {}

  /** Two people look at the same time; what the first says is not overwritten by the second. */
  @Test
  void theSecondOfTwoWhoLookedAtTheSameTimeIsRefused() {
    Api api = new Api(mvc);
    Map<String, Object> said = new LinkedHashMap<>();
    JsonNode page = api.read("/api/sites/saltmarsh-ferries").body().path("pages").get(1);
    for (String part : List.of("title", "address", "description", "picture", "kind")) {
      said.put(part, page.path(part).asString());
    }
    said.put("ready", page.path("ready").asBoolean());
    String pageId = page.path("id").asString();
    List<Write> writes = new ArrayList<>();
    String describing = api.seen("/api/pages/" + pageId + "/said");
    writes.add(new Write("page", () -> api.put(describing, with(said, "description", "First"))));
    writes.add(new Write("page", () -> api.put(describing, with(said, "description", "Second"))));
    String filing = api.seen("/api/sites/oakum-rope-museum/filed");
    writes.add(new Write("filing", () -> api.put(filing, filed(api, "oakum-rope-museum"))));
    writes.add(new Write("filing", () -> api.put(filing, filed(api, "oakum-rope-museum"))));
    JsonNode card = api.read("/api/pieces").body().get(0);
    Map<String, Object> piece = new LinkedHashMap<>();
    for (String part : List.of("name", "kind", "purpose", "notes", "siteId")) {
      piece.put(part, card.path(part).asString());
    }
    piece.put("tags", List.of());
    String telling = api.seen("/api/pieces/" + card.path("id").asString() + "/description");
    writes.add(new Write("piece", () -> api.put(telling, with(piece, "notes", "First"))));
    writes.add(new Write("piece", () -> api.put(telling, with(piece, "notes", "Second"))));
    String tagging = api.seen("/api/pictures/clock-bench");
    writes.add(new Write("picture", () -> api.patch(tagging, Map.of("tags", List.of("first")))));
    writes.add(new Write("picture", () -> api.patch(tagging, Map.of("tags", List.of("second")))));
    for (int i = 0; i < writes.size(); i += 2) {
      assertThat(writes.get(i).write().get().status()).as(writes.get(i).what()).isLessThan(300);
      Api.Answer second = writes.get(i + 1).write().get();
      assertThat(second.status()).as(writes.get(i).what()).isEqualTo(409);
      assertThat(second.detail()).contains("Nothing was overwritten");
    }
    assertThat(
            api.read("/api/sites/saltmarsh-ferries")
                .body()
                .path("pages")
                .get(1)
                .path("description")
                .asString())
        .isEqualTo("First");
  }

  private static Map<String, Object> with(Map<String, Object> said, String part, Object value) {
    Map<String, Object> other = new LinkedHashMap<>(said);
    other.put(part, value);
    return other;
  }

  /** The pages of a site with the last one before the others, at the top. */
  private static Map<String, Object> filed(Api api, String site) {
    List<Map<String, Object>> pages = new ArrayList<>();
    for (JsonNode page : api.read("/api/sites/" + site).body().path("pages")) {
      pages.add(Map.of("id", page.path("id").asString(), "parent", ""));
    }
    java.util.Collections.rotate(pages, 1);
    return Map.of("pages", pages);
  }
}
