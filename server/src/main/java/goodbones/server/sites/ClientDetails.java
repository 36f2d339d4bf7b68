package goodbones.server.sites;

import goodbones.document.FieldValue;
import goodbones.document.Icons;
import goodbones.server.problems.BadInput;
import goodbones.site.Details;
import goodbones.site.Menu;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is known of each client, and the menus of its site. */
@Service
public class ClientDetails {
  private static final String DETAILS = "details";
  private static final String WEB = "https?://[^\\s\"<>?#]{1,200}";
  private static final int NAME_LIMIT = 80;
  private static final int LINE_LIMIT = 400;
  private static final int MENU_LIMIT = 40;
  private static final Menu[] MAIN = {new Menu(Menu.MAIN, List.of())};

  private final SiteSheets sheets;
  private final SiteRepository repository;

  ClientDetails(SiteSheets sheets, SiteRepository repository) {
    this.sheets = sheets;
    this.repository = repository;
  }

  @Transactional(readOnly = true)
  public Details of(String siteId) {
    return kept(siteId).said();
  }

  @Transactional(readOnly = true)
  public List<Menu> menus(String siteId) {
    return List.of(keptMenus(siteId).said());
  }

  /** The small pictures of all clients that have one, by their ids. */
  @Transactional(readOnly = true)
  public List<String> icons() {
    return sheets.all(DETAILS, Details.class).stream()
        .map(Details::icon)
        .filter(icon -> !icon.isEmpty())
        .toList();
  }

  SiteSheets.Kept<Details> kept(String siteId) {
    return sheets.read(siteId, DETAILS, Details.class, Details.NONE);
  }

  SiteSheets.Kept<Menu[]> keptMenus(String siteId) {
    return sheets.read(siteId, "menus", Menu[].class, MAIN);
  }

  /**
   * @param about the client's name, language and logo
   * @throws BadInput saying what is wrong
   */
  @Transactional
  public void put(SiteInfo about, long version, Details details) {
    BadInput.require(!about.name().isBlank(), "name", "Give the client a name");
    BadInput.require(
        about.name().length() <= NAME_LIMIT,
        "name",
        "The name has more than " + NAME_LIMIT + " characters; shorten it");
    BadInput.require(
        !Locale.forLanguageTag(about.language()).getLanguage().isEmpty(),
        "language",
        "“" + about.language() + "” is no language: give a tag such as en-GB or de");
    for (String line :
        List.of(details.phone(), details.mail(), details.address(), details.hours())) {
      BadInput.require(
          line.length() <= LINE_LIMIT,
          "details",
          "“" + line.substring(0, Math.min(line.length(), 40)) + "…” is longer than " + LINE_LIMIT);
    }
    BadInput.require(
        details.mail().isBlank() || details.mail().strip().matches("[^\\s@<>\"]+@[^\\s@<>\"]+"),
        "mail",
        "“" + details.mail() + "” is no mail address: it reads like name@example.org");
    BadInput.require(
        details.phone().isBlank() || details.phone().matches(".*\\d.*"),
        "phone",
        "“" + details.phone() + "” is no phone number: give its digits");
    BadInput.require(
        details.web().isEmpty() || details.web().matches(WEB),
        "web",
        "“" + details.web() + "” is no address of a site: it reads like https://example.org");
    for (Details.Social social : details.social()) {
      BadInput.require(!social.name().isBlank(), "social", "Say what the service is called");
      BadInput.require(
          social.address().matches("https?://[^\\s\"<>]+"),
          "social",
          "“" + social.address() + "” is no address: it begins with https://");
      String icon = FieldValue.Icon.of(social.icon()).name();
      BadInput.require(
          icon.isEmpty() || Icons.named(icon).isPresent(),
          "social",
          "There is no icon “" + icon + "”; choose one of those that there are");
    }
    SiteEntity site = repository.findById(about.id()).orElseThrow();
    site.describe(about);
    repository.save(site);
    sheets.write(about.id(), DETAILS, version, details, "The client’s details");
  }

  /**
   * @throws BadInput if two menus go by one name, one has none, or one is too deep
   */
  @Transactional
  public void put(String siteId, long version, List<Menu> menus) {
    Set<String> names = new HashSet<>();
    for (Menu menu : menus) {
      BadInput.require(
          !menu.name().isBlank() && menu.name().length() <= MENU_LIMIT,
          "menus",
          "Give every menu a name of 1 to " + MENU_LIMIT + " characters");
      BadInput.require(
          names.add(menu.name()), "menus", "Two menus are called “" + menu.name() + "”");
      BadInput.require(
          !menu.isTooDeep(),
          "menus",
          "A menu is at most "
              + Menu.DEPTH_LIMIT
              + " deep; move links of “"
              + menu.name()
              + "” up");
      menu.walk(
          item ->
              BadInput.require(
                  goodbones.document.Field.isLink(item.link())
                      && item.words().length() <= NAME_LIMIT,
                  "menus",
                  "“" + item.words() + "” leads nowhere: choose a page or an address for it"));
    }
    sheets.write(siteId, "menus", version, menus, "The menus");
  }

  /** Puts a menu in place where a site is made. */
  @Transactional
  public void begin(String siteId, Details details, Menu... menus) {
    sheets.write(siteId, DETAILS, 0, details, "The client’s details");
    sheets.write(siteId, "menus", 0, Arrays.asList(menus), "The menus");
  }
}
