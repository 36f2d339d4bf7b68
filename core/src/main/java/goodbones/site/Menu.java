package goodbones.site;

import java.util.List;
import java.util.function.Consumer;

/**
 * One of a site's menus: a tree of links.
 *
 * @param name by which documents know it, such as {@code Main}
 */
public record Menu(String name, List<Item> items) {
  /** The menu that every site has. */
  public static final String MAIN = "Main";

  /** Deeper menus cannot be read on a small screen. */
  public static final int DEPTH_LIMIT = 3;

  /**
   * @param words what it says; empty for the title of the page that it leads to
   * @param link as it is stored, see {@link Links}
   * @param newTab whether it opens beside the page that it stands on
   * @param below the links that are filed under it
   */
  public record Item(String words, String link, boolean newTab, List<Item> below) {
    /** In the tab of the page that it stands on. */
    public Item(String words, String link, List<Item> below) {
      this(words, link, false, below);
    }

    public Item {
      below = below == null ? List.of() : List.copyOf(below);
    }

    /** Visits it and all that is below it. */
    void walk(Consumer<Item> visitor) {
      visitor.accept(this);
      below.forEach(item -> item.walk(visitor));
    }

    private int depth() {
      return 1 + below.stream().mapToInt(Item::depth).max().orElse(0);
    }
  }

  public Menu {
    items = List.copyOf(items);
  }

  /** Visits every link, each before those that are filed under it. */
  public void walk(Consumer<Item> visitor) {
    items.forEach(item -> item.walk(visitor));
  }

  public boolean isTooDeep() {
    return items.stream().mapToInt(Item::depth).max().orElse(0) > DEPTH_LIMIT;
  }
}
