package goodbones.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Somebody at the API; after a kill every request fails. */
final class Visitor {
  private static final JsonMapper JSON = new JsonMapper();
  private final String address;
  private final CookieManager cookies = new CookieManager();
  private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();

  Visitor(String address) throws IOException {
    this.address = address;
    read("/api/session");
    HttpResponse<String> in =
        send(
            at("/api/sign-in")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("username=iris&password=ridge-beam")));
    assertThat(in.statusCode()).isEqualTo(204);
  }

  private HttpRequest.Builder at(String path) {
    String token =
        cookies.getCookieStore().getCookies().stream()
            .filter(c -> c.getName().equals("XSRF-TOKEN"))
            .map(java.net.HttpCookie::getValue)
            .findFirst()
            .orElse("");
    return HttpRequest.newBuilder(URI.create(address + path)).header("X-XSRF-TOKEN", token);
  }

  private HttpResponse<String> send(HttpRequest.Builder request) throws IOException {
    try {
      return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
    } catch (InterruptedException e) {
      throw new IOException(e);
    }
  }

  HttpResponse<String> get(String path) throws IOException {
    return send(at(path));
  }

  JsonNode read(String path) throws IOException {
    return JSON.readTree(send(at(path)).body());
  }

  HttpResponse<String> write(String path, Object body) throws IOException {
    return send(
        at(path)
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body))));
  }

  /** Writes words into a node of a page as it is now. */
  HttpResponse<String> writes(String page, String node, String text) throws IOException {
    return write(
        "/api/pages/" + page + "/edits",
        Map.of(
            "version",
            read("/api/pages/" + page + "/workbench").path("version").asLong(),
            "edit",
            Map.of("type", "FIELD", "node", node, "field", "words", "value", text)));
  }

  /** The words that a node of a page shows. */
  String words(String page, String node) throws IOException {
    return words(read("/api/pages/" + page + "/workbench"), node);
  }

  static String words(JsonNode workbench, String node) {
    for (JsonNode block : workbench.path("blocks")) {
      String html = block.path("html").asString();
      int at = html.indexOf("data-node=\"" + node + "\"");
      if (at >= 0) {
        int from = html.indexOf('>', at) + 1;
        return html.substring(from, html.indexOf('<', from));
      }
    }
    return "";
  }
}
