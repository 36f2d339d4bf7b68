package goodbones.render;

import goodbones.document.Bound;
import goodbones.document.FieldValue;
import goodbones.document.PageShown;
import goodbones.site.Links;
import goodbones.site.Menu;
import goodbones.site.SitePage;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is known of a client and of the page that is rendered: what bound words, the logo, menus and
 * social links show.
 *
 * @param words by what is bound; what is not set is left out
 * @param logo the id of a picture; empty if the client has none
 * @param menus the menus of the site, by name
 * @param social the client's addresses at other services, each by what it is called
 * @param sections the addresses of what stands straight on the page, by its node or placement
 * @param links what links of the site lead to, and so the pages that others can be shown as
 */
public record Facts(
    Map<Bound, String> words,
    String logo,
    Map<String, List<Entry>> menus,
    List<Entry> social,
    Map<String, String> sections,
    Links links) {
  /** Nothing is known. */
  public static final Facts NONE =
      new Facts(Map.of(), "", Map.of(), List.of(), Map.of(), Links.NONE);

  public Facts {
    words = Map.copyOf(words);
    menus = Map.copyOf(menus);
    social = List.copyOf(social);
    sections = Map.copyOf(sections);
  }

  /**
   * @param addresses of what stands straight on the page, by its node or placement
   */
  public Facts withSections(Map<String, String> addresses) {
    return new Facts(words, logo, menus, social, addresses, links);
  }

  /**
   * A link of a menu.
   *
   * @param link as it is stored, for {@link Surroundings#linkUrl}
   * @param current whether it leads to the page itself
   * @param newTab whether it opens beside the page that it stands on
   * @param below the links that are filed under it
   * @param icon the icon before its words, as {@code FieldValue.Icon} says it; empty for none
   */
  public record Entry(
      String words, String link, boolean current, boolean newTab, List<Entry> below, String icon) {
    public Entry {
      below = List.copyOf(below);
    }
  }

  /**
   * What a client's site knows.
   *
   * @param name the client's
   * @param logo the id of a picture; empty if the client has none
   * @param page the id of the page that is rendered; empty for none
   * @param year to be written where the year is bound
   */
  public static Facts of(
      String name, String logo, List<Menu> menus, Links links, String page, int year) {
    Map<Bound, String> words = new EnumMap<>(Bound.class);
    words.putAll(links.details().words());
    words.put(Bound.NAME, name);
    words.put(Bound.YEAR, String.valueOf(year));
    links.tree().find(page).ifPresent(here -> words.put(Bound.PAGE, here.title()));
    Map<String, List<Entry>> byName = new LinkedHashMap<>();
    for (Menu menu : menus) {
      byName.put(menu.name(), entries(menu.items(), links, page));
    }
    return new Facts(
        words,
        logo,
        byName,
        links.details().social().stream()
            .map(
                each ->
                    new Entry(each.name(), each.address(), false, false, List.of(), each.icon()))
            .toList(),
        Map.of(),
        links);
  }

  /** A page of the site, or the one that stands in the place of one that was taken away. */
  Optional<SitePage> page(String id) {
    return links.page(Links.PAGE + id);
  }

  /** What leads nowhere is left out, and so is what is below it. */
  private static List<Entry> entries(List<Menu.Item> items, Links links, String page) {
    List<Entry> entries = new ArrayList<>();
    for (Menu.Item item : items) {
      Optional<SitePage> to = links.page(item.link());
      boolean leads = links.address(item.link()).isPresent();
      if (leads) {
        String words =
            item.words().isBlank() ? to.map(SitePage::title).orElse(item.link()) : item.words();
        entries.add(
            new Entry(
                words,
                item.link(),
                to.filter(there -> there.id().equals(page)).isPresent(),
                item.newTab(),
                entries(item.below(), links, page),
                ""));
      }
    }
    return entries;
  }

  Optional<String> of(String what) {
    return PageShown.words(what)
        .flatMap(of -> page(of.page()).map(of.summary() ? SitePage::description : SitePage::title))
        .or(() -> Bound.ofWord(what).map(words::get))
        .filter(value -> !value.isBlank());
  }

  /** The picture to be drawn; one that stands in where a page is to be shown that has none. */
  String picture(String id) {
    if (!PageShown.isPicture(id)) {
      return id;
    }
    return PageShown.picture(id)
        .flatMap(this::page)
        .map(SitePage::picture)
        .filter(picture -> !picture.isEmpty())
        .orElse(FieldValue.Picture.STAND_IN_ID);
  }

  /** Whether a picture only shows where a real one goes. */
  boolean standsIn(FieldValue.Picture picture) {
    return picture(picture.pictureId()).equals(FieldValue.Picture.STAND_IN_ID);
  }

  List<Entry> menu(String name) {
    return menus.getOrDefault(name, List.of());
  }
}
