package goodbones.site;

import goodbones.document.Bound;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * What is known of a client, written once for all pages.
 *
 * @param phone as it is to be read
 * @param address lines are divided by {@code \n}
 * @param hours when somebody is there; lines are divided by {@code \n}
 * @param social the client's addresses at other services
 * @param icon the id of the small picture that browsers show beside the title; empty for none
 * @param web where the site is, such as {@code https://example.org}; empty while that is not known
 */
public record Details(
    String phone,
    String mail,
    String address,
    String hours,
    List<Social> social,
    String icon,
    String web) {
  /** Nothing is known yet. */
  public static final Details NONE = new Details("", "", "", "", List.of());

  /**
   * @param name what the service is called
   * @param address begins with {@code https://}
   * @param icon the icon that stands before it, as {@code FieldValue.Icon} says it; empty for none
   */
  public record Social(String name, String address, String icon) {
    public Social {
      // What was kept before icons were asked for does not say one.
      icon = icon == null ? "" : icon;
    }

    /** Without an icon. */
    public Social(String name, String address) {
      this(name, address, "");
    }
  }

  public Details {
    social = social == null ? List.of() : List.copyOf(social);
    // What was kept before these were asked for does not say them.
    icon = icon == null ? "" : icon;
    web = web == null ? "" : web;
  }

  /** Without a small icon, at an address that is not known yet. */
  public Details(String phone, String mail, String address, String hours, List<Social> social) {
    this(phone, mail, address, hours, social, "", "");
  }

  /** What bound words are worth; what is not set is left out. */
  public Map<Bound, String> words() {
    Map<Bound, String> words = new EnumMap<>(Bound.class);
    put(words, Bound.PHONE, phone);
    put(words, Bound.MAIL, mail);
    put(words, Bound.ADDRESS, address);
    put(words, Bound.HOURS, hours);
    return words;
  }

  private static void put(Map<Bound, String> words, Bound what, String value) {
    if (!value.isBlank()) {
      words.put(what, value);
    }
  }
}
