package goodbones.server;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Talks to the API as the interface does. */
final class Api {
  private static final JsonMapper JSON = new JsonMapper();
  private final MockMvc mvc;
  private final JustSeen seen = new JustSeen(path -> read(path).body());

  /** An answer: its status and its body, an empty object if there is none. */
  record Answer(int status, JsonNode body) {
    String detail() {
      return body.path("detail").asString();
    }
  }

  Api(MockMvc mvc) {
    this.mvc = mvc;
  }

  Answer read(String path) {
    return send(get(path));
  }

  Answer write(String path, Object body) {
    return send(
        json(
            post(seen.at(path)),
            seen.body(path, body, planned -> write(path + "/plan", planned).body())));
  }

  Answer put(String path, Object body) {
    return send(
        json(
            org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put(seen.at(path)),
            body));
  }

  Answer patch(String path, Object body) {
    return send(
        json(
            org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch(
                seen.at(path)),
            body));
  }

  Answer delete(String path) {
    return send(
        org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete(path)
            .with(csrf()));
  }

  private static MockHttpServletRequestBuilder json(MockHttpServletRequestBuilder at, Object body) {
    return at.with(csrf())
        .contentType(MediaType.APPLICATION_JSON)
        .content(JSON.writeValueAsString(body));
  }

  /** Sends a text as it is, such as a file's. */
  Answer writeText(String path, String text) {
    return send(
        post(seen.at(path))
            .with(csrf())
            .contentType(MediaType.TEXT_PLAIN)
            .content(text.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
  }

  /** The address with what somebody names in a write who has just looked. */
  String seen(String path) {
    return seen.at(path);
  }

  /** The answer as text. */
  String text(String path) {
    try {
      return mvc.perform(get(path))
          .andReturn()
          .getResponse()
          .getContentAsString(java.nio.charset.StandardCharsets.UTF_8);
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * Edits the finishes.
   *
   * @param parts the parts of the edit, names and values in turn
   */
  Answer finish(Object... parts) {
    return write("/api/finishes/edits", parts(parts));
  }

  static Map<String, Object> parts(Object... parts) {
    Map<String, Object> map = new LinkedHashMap<>();
    for (int i = 0; i < parts.length; i += 2) {
      map.put((String) parts[i], parts[i + 1]);
    }
    return map;
  }

  private Answer send(MockHttpServletRequestBuilder request) {
    try {
      MockHttpServletResponse response = mvc.perform(request).andReturn().getResponse();
      String text = response.getContentAsString(java.nio.charset.StandardCharsets.UTF_8);
      boolean json = text.startsWith("{") || text.startsWith("[");
      return new Answer(response.getStatus(), JSON.readTree(json ? text : "{}"));
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }

  /** The style sheet of a whole view, and the HTML of everything that stands on its page. */
  static String html(JsonNode view) {
    StringBuilder html = new StringBuilder(view.path("css").asString());
    view.path("blocks").forEach(block -> html.append(block.path("html").asString()));
    return html.toString();
  }

  JsonNode page(String id) {
    return read("/api/pages/" + id + "/workbench").body();
  }

  JsonNode piece(String id) {
    return read("/api/pieces/" + id + "/workbench?site=saltmarsh-ferries").body();
  }

  /**
   * @param parts the parts of the edit besides its version, names and values in turn
   */
  Answer editPage(String page, Object... parts) {
    return write("/api/pages/" + page + "/edits", edit(page(page).path("version").asLong(), parts));
  }

  Answer editPiece(String piece, Object... parts) {
    return write(
        "/api/pieces/" + piece + "/edits?site=saltmarsh-ferries",
        edit(piece(piece).path("version").asLong(), parts));
  }

  /**
   * What applying a plan is asked with.
   *
   * @param decisions each with its {@code key} and how it is settled
   */
  static Map<String, Object> rollout(
      JsonNode plan, List<Map<String, Object>> decisions, List<String> siteIds) {
    List<Map<String, Object>> pages = new ArrayList<>();
    List<Map<String, Object>> stamps = new ArrayList<>();
    for (JsonNode site : plan.path("sites")) {
      stamps.add(
          Map.of("siteId", site.path("id").asString(), "stamp", site.path("stamp").asLong()));
      for (JsonNode p : site.path("placements")) {
        pages.add(
            Map.of(
                "pageId", p.path("pageId").asString(), "version", p.path("pageVersion").asLong()));
      }
    }
    return parts(
        "pieceId",
        plan.path("pieceId").asString(),
        "revision",
        plan.path("revision").asInt(),
        "sites",
        siteIds,
        "decisions",
        decisions,
        "accepted",
        List.of(),
        "pages",
        pages,
        "stamps",
        stamps);
  }

  static Map<String, Object> edit(long version, Object... parts) {
    return parts("version", version, "edit", parts(parts));
  }

  /** Changes the piece's radius and heading, adds a line, and releases it. */
  int releaseOpeningBand() {
    style("ob-button", "border-radius", "{radius.button}");
    style("ob-heading", "font-size", "72px");
    editPiece("opening-band", "type", "ADD", "node", "ob-section", "kind", "text");
    Answer released =
        write(
            "/api/pieces/opening-band/release?site=saltmarsh-ferries",
            Map.of("version", piece("opening-band").path("version").asLong(), "note", "Roomier"));
    return released.body().path("piece").path("current").asInt();
  }

  void style(String node, String property, String value) {
    editPiece(
        "opening-band",
        "type",
        "STYLE",
        "nodes",
        List.of(node),
        "property",
        property,
        "device",
        "desktop",
        "value",
        value);
  }

  /**
   * @param way {@code undo} or {@code redo}
   */
  Answer turn(String pageId, String way) {
    return write(
        "/api/pages/" + pageId + "/" + way,
        parts("version", page(pageId).path("version").asLong()));
  }

  void localRadius(String value) {
    editPage(
        "om-home",
        "type",
        "STYLE",
        "nodes",
        List.of("om-opening/ob-button"),
        "property",
        "border-radius",
        "device",
        "desktop",
        "value",
        value);
  }

  JsonNode coverage(String site) {
    return read("/api/sites/" + site + "/coverage").body();
  }

  Answer rules(String site, List<Map<String, Object>> rules) {
    return put(
        "/api/sites/" + site + "/coverage",
        parts("version", coverage(site).path("version").asLong(), "rules", rules));
  }

  static Map<String, Object> rule(
      String id,
      String region,
      String band,
      String scope,
      String of,
      List<String> except,
      String part,
      String piece) {
    return parts(
        "id", id, "region", region, "band", band, "scope", scope, "of", of, "except", except,
        "part", part, "piece", piece);
  }

  static Map<String, Object> ruleWith(
      String region, String band, String scope, String of, String piece) {
    return rule("", region, band, scope, of, List.of(), "", piece);
  }

  Answer say(String page, String title, String address, String kind, boolean ready) {
    return put(
        "/api/pages/" + page + "/said",
        parts(
            "title",
            title,
            "address",
            address,
            "description",
            "",
            "picture",
            "",
            "kind",
            kind,
            "ready",
            ready));
  }

  Answer field(String page, String node, String field, String value) {
    return editPage(page, "type", "FIELD", "node", node, "field", field, "value", value);
  }

  static Map<String, Object> menu(String name, Object... items) {
    return parts("name", name, "items", List.of(items));
  }

  static Map<String, Object> item(String page, Object... below) {
    return parts("words", "", "link", "page:" + page, "newTab", false, "below", List.of(below));
  }
}
