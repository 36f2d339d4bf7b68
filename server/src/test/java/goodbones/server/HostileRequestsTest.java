package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Sends every operation of the API's description what it does not want: each answer is a refusal in
 * words or a success, never a fault, and what is refused changes nothing. Operations that are added
 * are covered by themselves.
 */
@ServerTest
@Timeout(value = 15, unit = TimeUnit.MINUTES)
class HostileRequestsTest {
  private static final JsonMapper JSON = new JsonMapper();
  private static final int MUTATIONS = "1".equals(System.getenv("LONG_TESTS")) ? 20_000 : 1_000;
  private static final long SEED = 20_261_126;
  private static final String HUGE = "x".repeat(200_000);

  /** Ids that the demo has, by the names that parameters and fields give them. */
  private static final Map<String, List<String>> KNOWN =
      Map.of(
          "site", List.of("saltmarsh-ferries", "tern-valley", ""),
          "piece", List.of("opening-band"),
          "pieceId", List.of("opening-band"),
          "page", List.of("sf-home"),
          "pageId", List.of("sf-home"),
          "node", List.of("sf-routes-h", "sf-opening/ob-button", "ob-heading", "sf-home"),
          "nodes", List.of("sf-routes-h", "sf-opening"),
          "device", List.of("desktop", "tablet", "phone"),
          "token", List.of("t-accent"));

  @Autowired private MockMvc mvc;
  @Autowired private JdbcTemplate database;
  private JsonNode description;

  private record Operation(String path, String method, JsonNode said) {
    @Override
    public String toString() {
      return method + " " + path;
    }
  }

  @BeforeEach
  void describe() throws Exception {
    description =
        JSON.readTree(
            mvc.perform(get("/v3/api-docs")).andReturn().getResponse().getContentAsString());
  }

  private List<Operation> operations() {
    List<Operation> operations = new ArrayList<>();
    description
        .path("paths")
        .properties()
        .forEach(
            path ->
                path.getValue()
                    .properties()
                    .forEach(
                        method ->
                            operations.add(
                                new Operation(
                                    path.getKey(),
                                    method.getKey().toUpperCase(),
                                    method.getValue()))));
    return operations;
  }

  private String any(Random random, List<String> list) {
    return list.get(random.nextInt(list.size()));
  }

  /** A value of a schema that could be right. */
  private JsonNode value(JsonNode schema, String name, Random random, int depth) {
    var make = JSON.getNodeFactory();
    if (schema.has("$ref")) {
      String ref = schema.path("$ref").asString();
      return value(description.at(ref.substring(1)), name, random, depth + 1);
    }
    if (schema.has("enum")) {
      JsonNode options = schema.path("enum");
      return options.get(random.nextInt(options.size()));
    }
    if (schema.path("oneOf").isArray() && !schema.path("oneOf").isEmpty()) {
      JsonNode options = schema.path("oneOf");
      return value(options.get(random.nextInt(options.size())), name, random, depth + 1);
    }
    String type =
        schema.path("type").isArray()
            ? schema.path("type").get(0).asString()
            : schema.path("type").asString("object");
    return switch (type) {
      case "integer" -> make.numberNode(random.nextInt(4));
      case "number" -> make.numberNode(random.nextInt(120) / 10.0);
      case "boolean" -> make.booleanNode(random.nextBoolean());
      case "array" -> {
        ArrayNode array = make.arrayNode();
        for (int i = 0; i < random.nextInt(3) && depth < 6; i++) {
          array.add(value(schema.path("items"), name, random, depth + 1));
        }
        yield array;
      }
      case "string" ->
          make.stringNode(
              any(random, KNOWN.getOrDefault(name, List.of("words", "24px", "#1d3a4c", "text"))));
      default -> {
        ObjectNode object = make.objectNode();
        schema
            .path("properties")
            .properties()
            .forEach(
                p -> {
                  if (depth < 6 && (random.nextInt(4) > 0 || isRequired(schema, p.getKey()))) {
                    object.set(p.getKey(), value(p.getValue(), p.getKey(), random, depth + 1));
                  }
                });
        yield object;
      }
    };
  }

  private static boolean isRequired(JsonNode schema, String name) {
    return schema.path("required").valueStream().anyMatch(r -> r.asString().equals(name));
  }

  /** The same with one thing in it that is wrong. */
  private JsonNode mutated(JsonNode value, Random random) {
    var make = JSON.getNodeFactory();
    if (value instanceof ObjectNode object && !object.isEmpty() && random.nextInt(6) > 0) {
      List<String> names = new ArrayList<>(object.propertyNames());
      String name = names.get(random.nextInt(names.size()));
      ObjectNode copy = object.deepCopy();
      switch (random.nextInt(6)) {
        case 0 -> copy.remove(name);
        case 1 -> copy.putNull(name);
        case 2 -> copy.put("unknown", "part");
        default -> copy.set(name, mutated(object.get(name), random));
      }
      return copy;
    }
    return switch (random.nextInt(14)) {
      case 0 -> make.nullNode();
      case 1 -> make.numberNode(-1);
      case 2 -> make.numberNode(Long.MAX_VALUE);
      case 3 -> make.numberNode(1e300);
      case 4 -> make.booleanNode(true);
      case 5 -> make.stringNode(HUGE);
      case 6 -> make.stringNode("");
      case 7 -> make.stringNode("{no.such.token}");
      case 8 -> make.stringNode("../../<script>\u0000'\";drop table page;--");
      case 9 -> make.arrayNode().add(make.nullNode());
      case 10 -> make.objectNode();
      case 11 -> JSON.readTree("[".repeat(300) + "]".repeat(300));
      case 12 -> make.stringNode("\uD800 half a pair");
      default -> make.stringNode("no-such-id");
    };
  }

  private String address(Operation operation, Random random, boolean right) {
    String path = operation.path();
    StringBuilder query = new StringBuilder();
    for (JsonNode parameter : operation.said().path("parameters")) {
      String name = parameter.path("name").asString();
      List<String> known = KNOWN.getOrDefault(name, List.of(known(operation.path()), "1"));
      String value =
          right || random.nextInt(3) > 0
              ? any(random, known)
              : any(
                  random, List.of("no-such", "-1", "9".repeat(30), "%00", "%2e%2e%2f", "ä b", ""));
      String encoded =
          value.startsWith("%")
              ? value
              : java.net.URLEncoder.encode(value, StandardCharsets.UTF_8).replace("+", "%20");
      if (parameter.path("in").asString().equals("path")) {
        path = path.replace("{" + name + "}", encoded.isEmpty() ? "x" : encoded);
      } else if (right || random.nextInt(5) > 0) {
        query.append(query.isEmpty() ? '?' : '&').append(name).append('=').append(encoded);
      }
    }
    return path + query;
  }

  private static String known(String path) {
    if (path.startsWith("/api/pages")) {
      return "sf-home";
    } else if (path.startsWith("/api/pieces")) {
      return "opening-band";
    } else if (path.startsWith("/api/pictures")) {
      return "ferry-at-dusk";
    } else if (path.startsWith("/api/people")) {
      return "tom";
    }
    return "saltmarsh-ferries";
  }

  private MockHttpServletResponse send(MockHttpServletRequestBuilder request) throws Exception {
    return mvc.perform(request.with(csrf())).andReturn().getResponse();
  }

  private static MockHttpServletRequestBuilder at(Operation operation, String address) {
    return request(HttpMethod.valueOf(operation.method()), java.net.URI.create(address));
  }

  /** What would show that something was written. */
  private Map<String, Object> stored() {
    Map<String, Object> stored = new HashMap<>();
    for (String sql :
        List.of(
            "select sum(version), count(*) from page",
            "select sum(version), count(*) from piece",
            "select sum(edits), count(*) from finishes_draft",
            "select count(*), count(password_hash) from person",
            "select count(*), max(id) from edit_step",
            "select count(*), sum(revision) from adopted",
            "select count(*), count(taken_back) from rollout",
            "select count(*) from site",
            "select count(*) from picture",
            "select count(*) from client_font",
            "select count(*) from site_value",
            "select count(*) from revision")) {
      stored.put(sql, database.queryForMap(sql));
    }
    return stored;
  }

  /** Holds an answer to the rules; says what is wrong with it, or nothing. */
  private String fault(String what, MockHttpServletResponse answer) throws Exception {
    int status = answer.getStatus();
    if (status < 400) {
      return "";
    }
    String body = answer.getContentAsString(StandardCharsets.UTF_8);
    boolean words =
        String.valueOf(answer.getContentType()).startsWith("application/problem+json")
            && JSON.readTree(body).path("detail").asString("").length() > 8
            && !body.contains("Exception")
            && !body.contains("goodbones.")
            && !body.contains("java.");
    return status >= 500 || !words
        ? what
            + " was answered with "
            + status
            + ": "
            + body.substring(0, Math.min(300, body.length()))
        : "";
  }

  private void hold(String what, MockHttpServletRequestBuilder request, List<String> wrong)
      throws Exception {
    Map<String, Object> before = stored();
    MockHttpServletResponse answer = send(request);
    String fault = fault(what, answer);
    if (!fault.isEmpty()) {
      wrong.add(fault);
    } else if (answer.getStatus() >= 400 && !stored().equals(before)) {
      wrong.add(what + " was refused and still changed something");
    }
  }

  @Test
  void everyOperationRefusesInWordsWhatItDoesNotWant() throws Exception {
    List<String> wrong = new ArrayList<>();
    Random random = new Random(SEED);
    String deep = "{\"a\":".repeat(400) + "1" + "}".repeat(400);
    for (Operation operation : operations()) {
      String address = address(operation, random, true);
      hold(operation + " bare", at(operation, operation.path().replaceAll("\\{\\w+}", "x")), wrong);
      hold(
          operation + " for no media type that it has",
          at(operation, address).header("Accept", "image/webp"),
          wrong);
      if (operation.said().has("requestBody")) {
        for (String body : List.of("", "null", "[]", "{}", "3", "{\"a\":", "\u0000", deep)) {
          hold(
              operation + " with " + body.substring(0, Math.min(20, body.length())),
              at(operation, address).contentType("application/json").content(body),
              wrong);
        }
        hold(
            operation + " as XML",
            at(operation, address).contentType("application/xml").content("<a/>"),
            wrong);
        hold(
            operation + " with broken parts",
            at(operation, address)
                .contentType("multipart/form-data; boundary=b")
                .content("--b\r\nContent-Disposition: form-data; na"),
            wrong);
      }
      hold(
          operation + " by another method",
          request(HttpMethod.PUT, java.net.URI.create(address)).content("{}"),
          wrong);
    }
    assertThat(operations()).hasSizeGreaterThan(60);
    assertThat(wrong).isEmpty();
  }

  @Test
  void mutationsOfRightRequestsAreNeverAFault() throws Exception {
    List<String> wrong = new ArrayList<>();
    List<Operation> operations =
        operations().stream()
            .filter(o -> !o.path().contains("/session/"))
            .filter(o -> !o.path().equals("/api/people/{id}/end-sessions"))
            .toList();
    int refused = 0;
    for (int i = 0; i < MUTATIONS; i++) {
      Random random = new Random(SEED + i);
      Operation operation = operations.get(random.nextInt(operations.size()));
      JsonNode schema =
          operation
              .said()
              .path("requestBody")
              .path("content")
              .path("application/json")
              .path("schema");
      MockHttpServletRequestBuilder request =
          at(operation, address(operation, random, random.nextInt(4) > 0));
      String body = "";
      if (!schema.isMissingNode()) {
        JsonNode right = value(schema, "", random, 0);
        body = (random.nextInt(8) == 0 ? right : mutated(right, random)).toString();
        request.contentType("application/json").content(body);
      }
      Map<String, Object> before = stored();
      MockHttpServletResponse answer = send(request);
      String what =
          "seed "
              + (SEED + i)
              + ": "
              + operation
              + " "
              + body.substring(0, Math.min(400, body.length()));
      String fault = fault(what, answer);
      if (!fault.isEmpty()) {
        wrong.add(fault);
      } else if (answer.getStatus() >= 400) {
        refused++;
        if (!stored().equals(before)) {
          wrong.add(what + " was refused and still changed something");
        }
      }
    }
    assertThat(refused).isGreaterThan(MUTATIONS / 3);
    assertThat(wrong).isEmpty();
  }
}
