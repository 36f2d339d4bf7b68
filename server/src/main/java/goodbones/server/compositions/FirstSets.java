package goodbones.server.compositions;

import java.util.List;

/** The sets of pages to start with, made of the compositions to start with. */
final class FirstSets {
  /** A page of a set: what it begins with, and its title. */
  record FirstPage(String composition, String title) {}

  record FirstSet(String id, String name, List<FirstPage> pages) {}

  static final List<FirstSet> ALL =
      List.of(
          new FirstSet(
              "small",
              "A small site",
              List.of(
                  new FirstPage("co-about", "About"),
                  new FirstPage("co-services", "Services"),
                  new FirstPage("co-contact", "Contact"))),
          new FirstSet(
              "whole",
              "A whole site",
              List.of(
                  new FirstPage("co-about", "About"),
                  new FirstPage("co-services", "Services"),
                  new FirstPage("co-service", "One service"),
                  new FirstPage("co-prices", "Prices"),
                  new FirstPage("co-news", "News"),
                  new FirstPage("co-contact", "Contact"),
                  new FirstPage("co-error", "Nothing here"))));

  private FirstSets() {}
}
