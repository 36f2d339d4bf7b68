package goodbones.server.compositions;

import java.util.List;

/** Sets of pages that a client's site can start from, beside its home page. */
final class SiteSets {
  /** A page of a set: what it begins with, and its title. */
  record SetPage(String composition, String title) {}

  record SiteSet(String id, String name, List<SetPage> pages) {}

  static final List<SiteSet> ALL =
      List.of(
          new SiteSet(
              "small",
              "A small site",
              List.of(
                  new SetPage("co-about", "About"),
                  new SetPage("co-services", "Services"),
                  new SetPage("co-contact", "Contact"))),
          new SiteSet(
              "whole",
              "A whole site",
              List.of(
                  new SetPage("co-about", "About"),
                  new SetPage("co-services", "Services"),
                  new SetPage("co-service", "One service"),
                  new SetPage("co-prices", "Prices"),
                  new SetPage("co-news", "News"),
                  new SetPage("co-contact", "Contact"),
                  new SetPage("co-error", "Nothing here"))));

  private SiteSets() {}
}
