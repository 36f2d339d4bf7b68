package goodbones.server.sites;

import goodbones.server.problems.BadInput;
import goodbones.site.PageKind;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.security.Principal;
import java.util.Arrays;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class PageSettingsController {
  private final PageSettings settings;
  private final GonePages gone;

  PageSettingsController(PageSettings settings, GonePages gone) {
    this.settings = settings;
    this.gone = gone;
  }

  /**
   * @param picture the id of the one that stands for the page; empty for none
   * @param kind by its word
   */
  record SaidRequest(
      @NotNull String title,
      @NotNull String address,
      @NotNull String description,
      @NotNull String picture,
      @NotNull String kind,
      boolean ready) {}

  record FiledRequest(@NotNull List<PageSettings.Filed> pages) {}

  record KindOfPage(String word, String title) {}

  /** The kinds of pages that there are. */
  @GetMapping("/page-kinds")
  List<KindOfPage> kinds() {
    return Arrays.stream(PageKind.values())
        .map(kind -> new KindOfPage(kind.word(), kind.title()))
        .toList();
  }

  @PutMapping("/pages/{id}/said")
  void describe(
      @PathVariable String id,
      @RequestParam String etag,
      @Valid @RequestBody SaidRequest said,
      Principal who) {
    settings.describe(
        id,
        etag,
        new PageSaid(
            said.title().strip(),
            said.address().strip(),
            said.description().strip(),
            said.picture(),
            BadInput.known("kind", said.kind(), PageKind::ofWord),
            said.ready()),
        who.getName());
  }

  /**
   * @param leadsTo the page to which links and addresses of it lead; empty for none
   * @param version of the page as it was seen
   */
  record TakenAway(@NotNull String leadsTo, long version) {}

  /** Takes a page away; it can be brought back. */
  @PostMapping("/pages/{id}/take-away")
  void takeAway(@PathVariable String id, @Valid @RequestBody TakenAway request) {
    gone.takeAway(id, request.version(), request.leadsTo());
  }

  /** The pages of a site that were taken away, the last one first. */
  @GetMapping("/sites/{id}/gone")
  List<GonePages.GoneView> gone(@PathVariable String id) {
    return gone.of(id);
  }

  @PostMapping("/sites/{id}/gone/{page}/bring-back")
  void bringBack(@PathVariable String id, @PathVariable String page) {
    gone.bringBack(id, page);
  }

  /** Files the pages of a site under each other, in an order. */
  @PutMapping("/sites/{id}/filed")
  void file(
      @PathVariable String id,
      @RequestParam String etag,
      @Valid @RequestBody FiledRequest request,
      Principal who) {
    settings.file(id, etag, request.pages(), who.getName());
  }
}
