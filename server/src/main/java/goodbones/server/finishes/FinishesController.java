package goodbones.server.finishes;

import goodbones.document.StyleValue;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/sites/{siteId}/tokens")
class FinishesController {
  private final FinishesStore finishes;

  FinishesController(FinishesStore finishes) {
    this.finishes = finishes;
  }

  /**
   * A token as a site sees it.
   *
   * @param value what is stored, as a designer reads it
   * @param house the house's value
   * @param own whether the site has a value of its own
   * @param css what it is worth
   */
  record TokenView(
      String id,
      String name,
      String type,
      String description,
      String value,
      String house,
      boolean own,
      String css) {}

  /**
   * @param value empty to go back to the house's
   */
  record TokenValue(@Nullable String value) {}

  @GetMapping
  List<TokenView> tokens(@PathVariable String siteId) {
    SiteFinishes site = finishes.forSite(siteId);
    return site.tokens().stream().map(token -> view(site, token)).toList();
  }

  @PutMapping("/{tokenId}")
  List<TokenView> set(
      @PathVariable String siteId, @PathVariable String tokenId, @RequestBody TokenValue body) {
    finishes.setValue(siteId, tokenId, Optional.ofNullable(body.value()).filter(v -> !v.isBlank()));
    return tokens(siteId);
  }

  private static TokenView view(SiteFinishes site, Token token) {
    Optional<StyleValue> own = site.ownValue(token.id());
    return new TokenView(
        token.id(),
        token.name(),
        token.type().word(),
        token.description(),
        site.written(own.orElse(token.value())),
        site.written(token.value()),
        own.isPresent(),
        site.worth(token.id()).css());
  }
}
