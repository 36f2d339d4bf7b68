package goodbones.server;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;

/**
 * Names in a write what its maker has just seen, as the interface does; a write that names
 * something itself is left as it is.
 */
final class JustSeen {
  private static final Pattern FINISHES =
      Pattern.compile("/api/finishes/(undo|redo|release|adopt|tokens|token-files)");

  private final Function<String, JsonNode> read;

  JustSeen(Function<String, JsonNode> read) {
    this.read = read;
  }

  /** The address with what it has to name. */
  String at(String path) {
    String bare = path.replaceFirst("\\?.*", "");
    if (path.contains("etag=") || path.contains("version=")) {
      return path;
    }
    String and = path.contains("?") ? "&" : "?";
    if (FINISHES.matcher(bare).matches()) {
      return path + and + "version=" + read.apply("/api/finishes").path("stamp").asLong();
    }
    String etag = etag(path, bare.split("/"), bare);
    return etag.isEmpty() ? path : path + and + "etag=" + etag;
  }

  private String etag(String path, String[] parts, String bare) {
    if (bare.matches("/api/pages/[^/]+/said")) {
      return page(parts[3]).path("etag").asString("none");
    } else if (bare.matches("/api/sites/[^/]+/filed")) {
      return read.apply("/api/sites/" + parts[3]).path("etag").asString("none");
    } else if (bare.matches("/api/pieces/[^/]+/description")) {
      return of(read.apply("/api/pieces"), parts[3]);
    } else if (bare.matches("/api/pictures/[^/]+(/file|/earlier)?")) {
      List<JsonNode> pictures = new ArrayList<>();
      read.apply("/api/pictures").forEach(card -> pictures.add(card.path("picture")));
      return of(pictures, parts[3]);
    } else if (bare.matches("/api/files/[^/]+(/file)?")) {
      List<JsonNode> files = new ArrayList<>();
      for (JsonNode site : read.apply("/api/sites")) {
        read.apply("/api/sites/" + site.path("id").asString() + "/files")
            .forEach(card -> files.add(card.path("file")));
      }
      return of(files, parts[3]);
    } else if (bare.matches("/api/people/[^/]+/name")) {
      return of(read.apply("/api/people"), parts[3]);
    } else if (bare.matches("/api/pages/[^/]+/section-address")) {
      return read.apply(path).path("etag").asString("none");
    }
    return "";
  }

  private static String of(Iterable<JsonNode> all, String id) {
    for (JsonNode one : all) {
      if (one.path("id").asString().equals(id)) {
        return one.path("etag").asString();
      }
    }
    return "none";
  }

  private JsonNode page(String id) {
    for (JsonNode site : read.apply("/api/sites")) {
      for (JsonNode page : read.apply("/api/sites/" + site.path("id").asString()).path("pages")) {
        if (page.path("id").asString().equals(id)) {
          return page;
        }
      }
    }
    return tools.jackson.databind.node.MissingNode.getInstance();
  }

  /** The body with what it has to name. */
  Object body(String path, Object body, Function<Object, JsonNode> planned) {
    if (!(body instanceof Map<?, ?> map)) {
      return body;
    }
    Map<Object, Object> with = new LinkedHashMap<>(map);
    Matcher away = Pattern.compile("/api/pages/([^/]+)/take-away").matcher(path);
    if (path.matches("/api/rollouts/\\d+/take-back")) {
      with.computeIfAbsent("etag", key -> planned.apply(body).path("etag").asString("none"));
    } else if (path.equals("/api/rollouts/answers")) {
      with.computeIfAbsent("etag", key -> inside(String.valueOf(map.get("pieceId"))));
    } else if (away.matches()) {
      with.computeIfAbsent("version", key -> page(away.group(1)).path("version").asLong());
    } else if (path.equals("/api/pieces/released") && map.get("pieces") instanceof List<?> ids) {
      with.put("pieces", ids.stream().map(this::draft).toList());
    }
    return with;
  }

  private Object draft(Object id) {
    for (JsonNode card : read.apply("/api/pieces")) {
      if (card.path("id").asString().equals(id)) {
        return Map.of("id", id, "changed", card.path("changed").asString());
      }
    }
    return id instanceof String ? Map.of("id", id, "changed", "2026-01-01T00:00:00Z") : id;
  }

  private String inside(String piece) {
    for (JsonNode one : read.apply("/api/rollouts").path("inside")) {
      if (one.path("pieceId").asString().equals(piece)) {
        return one.path("etag").asString();
      }
    }
    return "none";
  }
}
