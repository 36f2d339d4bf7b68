package goodbones.server.fonts;

import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
class FontController {
  private final Fonts fonts;

  FontController(Fonts fonts) {
    this.fonts = fonts;
  }

  @GetMapping("/client-fonts/{file}")
  ResponseEntity<byte[]> font(@PathVariable String file) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(Fonts.mediaType(file)))
        .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePublic())
        .body(fonts.bytes(file));
  }
}
