package goodbones.server.links;

import goodbones.document.Bound;
import java.util.Arrays;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class LinkController {
  private final LinkTargets targets;
  private final SectionAddresses addresses;

  LinkController(LinkTargets targets, SectionAddresses addresses) {
    this.targets = targets;
    this.addresses = addresses;
  }

  /**
   * What a link can lead to.
   *
   * @param words what is typed; matches come first that begin with it
   * @param page the page on which the link stands; its own sections are among the targets
   */
  @GetMapping("/sites/{id}/targets")
  List<LinkTargets.Target> targets(
      @PathVariable String id,
      @RequestParam(defaultValue = "") String words,
      @RequestParam(defaultValue = "") String page) {
    return targets.of(id, words, page);
  }

  /** Where a stored link leads, in words. */
  @GetMapping("/sites/{id}/target")
  LinkTargets.Target target(@PathVariable String id, @RequestParam String link) {
    return targets.target(id, link);
  }

  /**
   * The address of a section that stands straight on a page.
   *
   * @param node the section, or what of the page it comes from
   */
  @GetMapping("/pages/{id}/section-address")
  SectionAddresses.SectionAddress address(@PathVariable String id, @RequestParam String node) {
    return addresses.of(id, node);
  }

  /** Lets a section's address follow what it is called now. */
  @PostMapping("/pages/{id}/section-address")
  SectionAddresses.SectionAddress follow(
      @PathVariable String id, @RequestParam String node, @RequestParam String etag) {
    return addresses.follow(id, node, etag);
  }

  record BoundView(String word, String title) {}

  /** What words can follow of a client or a page. */
  @GetMapping("/bound")
  List<BoundView> bound() {
    return Arrays.stream(Bound.values())
        .map(each -> new BoundView(each.word(), each.title()))
        .toList();
  }
}
