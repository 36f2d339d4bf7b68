package goodbones.server.sites;

import goodbones.site.Details;
import goodbones.site.Menu;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/sites/{id}")
class ClientDetailsController {
  private final ClientDetails details;
  private final Sites sites;

  ClientDetailsController(ClientDetails details, Sites sites) {
    this.details = details;
    this.sites = sites;
  }

  /**
   * @param logo the id of a picture; empty if there is none
   * @param icon the id of the small picture beside the title; empty if there is none
   * @param web where the site is, such as https://example.org; empty while that is not known
   */
  record DetailsView(
      long version,
      @NotNull String name,
      @NotNull String language,
      @NotNull String logo,
      @NotNull String icon,
      @NotNull String web,
      @NotNull String phone,
      @NotNull String mail,
      @NotNull String address,
      @NotNull String hours,
      @NotNull List<Details.Social> social) {}

  record MenusView(long version, @NotNull List<Menu> menus) {}

  @GetMapping("/details")
  DetailsView details(@PathVariable String id) {
    SiteInfo site = sites.get(id);
    SiteSheets.Kept<Details> kept = details.kept(id);
    Details said = kept.said();
    return new DetailsView(
        kept.version(),
        site.name(),
        site.language(),
        site.logo(),
        said.icon(),
        said.web(),
        said.phone(),
        said.mail(),
        said.address(),
        said.hours(),
        said.social());
  }

  @PutMapping("/details")
  DetailsView putDetails(
      @PathVariable String id, @jakarta.validation.Valid @RequestBody DetailsView asked) {
    sites.get(id);
    details.put(
        new SiteInfo(id, asked.name().strip(), asked.language().strip(), asked.logo()),
        asked.version(),
        new Details(
            asked.phone().strip(),
            asked.mail().strip(),
            asked.address().strip(),
            asked.hours().strip(),
            asked.social(),
            asked.icon(),
            asked.web().strip().replaceAll("/+$", "")));
    return details(id);
  }

  @GetMapping("/menus")
  MenusView menus(@PathVariable String id) {
    sites.get(id);
    SiteSheets.Kept<Menu[]> kept = details.keptMenus(id);
    return new MenusView(kept.version(), List.of(kept.said()));
  }

  @PutMapping("/menus")
  MenusView putMenus(
      @PathVariable String id, @jakarta.validation.Valid @RequestBody MenusView asked) {
    sites.get(id);
    details.put(id, asked.version(), asked.menus());
    return menus(id);
  }
}
