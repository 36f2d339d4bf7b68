package goodbones.server.publishing;

import goodbones.server.problems.NotFound;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
class PublishingController {
  private final Publishing publishing;

  PublishingController(Publishing publishing) {
    this.publishing = publishing;
  }

  @GetMapping("/api/sites/{id}/publication")
  Publishing.PublicationView state(@PathVariable String id) {
    return publishing.state(id);
  }

  @GetMapping("/api/sites/{id}/publication/files")
  List<String> files(@PathVariable String id) {
    return publishing.paths(id);
  }

  @PostMapping("/api/sites/{id}/publication")
  Publishing.PublicationView publish(@PathVariable String id) {
    return publishing.publish(id);
  }

  /** The simulated host. */
  @GetMapping("/hosted/{site}/**")
  ResponseEntity<byte[]> hosted(@PathVariable String site, HttpServletRequest request) {
    String prefix = "/hosted/" + site + "/";
    String uri = request.getRequestURI();
    if (uri.length() < prefix.length()) {
      return ResponseEntity.status(HttpStatus.FOUND).location(URI.create(prefix)).build();
    }
    String path = uri.substring(prefix.length());
    String wanted = path.isEmpty() || path.endsWith("/") ? path + "index.html" : path;
    return publishing
        .file(site, wanted)
        .map(
            file ->
                ResponseEntity.ok()
                    .contentType(MediaType.parseMediaType(file.mediaType()))
                    .header("Cache-Control", "no-cache")
                    .header("Content-Security-Policy", "script-src 'none'")
                    .body(file.bytes()))
        .orElseGet(
            () -> {
              if (publishing.file(site, path + "/index.html").isEmpty()) {
                throw new NotFound("published page", path);
              }
              return ResponseEntity.status(HttpStatus.FOUND)
                  .location(URI.create(uri + "/"))
                  .build();
            });
  }
}
