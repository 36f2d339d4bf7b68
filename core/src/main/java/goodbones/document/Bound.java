package goodbones.document;

import java.util.Arrays;
import java.util.Optional;

/** What words can follow, so that they are written once and right everywhere. */
public enum Bound {
  NAME("name", "Client’s name"),
  ADDRESS("address", "Address"),
  PHONE("phone", "Phone number"),
  MAIL("mail", "Mail address"),
  HOURS("hours", "Opening hours"),
  PAGE("page", "Title of the page"),
  ITEM_TITLE("item-title", "Title of the page shown"),
  ITEM_SUMMARY("item-summary", "Summary of the page shown"),
  YEAR("year", "Year");

  private final String word;
  private final String title;

  Bound(String word, String title) {
    this.word = word;
    this.title = title;
  }

  public String word() {
    return word;
  }

  public String title() {
    return title;
  }

  /** Whether it is of the page that an item of a list shows. */
  public boolean isOfItem() {
    return this == ITEM_TITLE || this == ITEM_SUMMARY;
  }

  public static Optional<Bound> ofWord(String word) {
    return Arrays.stream(values()).filter(each -> each.word.equals(word)).findFirst();
  }
}
