package goodbones.document;

import java.util.Optional;
import java.util.regex.Pattern;

/**
 * A content field of a kind.
 *
 * @param key its name in documents
 * @param label its name in the interface
 * @param slot whether a placement fills it for itself unless the piece says otherwise
 * @param limit the greatest number of characters (of the alternative text, for a picture)
 */
public record Field(String key, String label, Type type, boolean slot, int limit) {
  private static final int LINK_LIMIT = 2000;
  private static final Pattern LINK =
      Pattern.compile(
          "(https?://|mailto:|tel:)[^\\s\"<>]+|(page|role|file|detail|item):[^\\s\"<>]+"
              + "|[/#?][^\\s\"<>]*|");

  /** What a field holds. */
  public enum Type {
    WORDS(FieldValue.Words.class),
    PICTURE(FieldValue.Picture.class),
    LINK(FieldValue.Link.class),
    PAGE(FieldValue.Link.class),
    /** All pages filed under one, or of a kind. */
    PAGES(FieldValue.Link.class),
    LEVEL(FieldValue.Level.class),
    MENU(FieldValue.Menu.class),
    ICON(FieldValue.Icon.class);

    private final Class<? extends FieldValue> holds;

    Type(Class<? extends FieldValue> holds) {
      this.holds = holds;
    }
  }

  /**
   * Looks for what is wrong with a value for this field.
   *
   * @return a message that says how to mend it, or empty if the value fits
   */
  public Optional<String> faultOf(FieldValue value) {
    if (!type.holds.isInstance(value)) {
      return Optional.of(label + " holds " + type.name().toLowerCase() + ", not this");
    }
    if (value instanceof FieldValue.Words words) {
      return tooLong(words.text()).or(() -> markFault(words));
    }
    if (value instanceof FieldValue.Picture picture) {
      return tooLong(picture.alt());
    }
    if (value instanceof FieldValue.Level level) {
      return level.level() >= 1 && level.level() <= 6
          ? Optional.empty()
          : Optional.of("A heading's level is 1 to 6, not " + level.level());
    }
    if (value instanceof FieldValue.Menu menu) {
      return menu.name().isBlank()
          ? Optional.of("Choose one of the site's menus")
          : tooLong(menu.name());
    }
    if (value instanceof FieldValue.Icon icon) {
      return Icons.named(icon.name()).isPresent()
          ? Optional.empty()
          : Optional.of(
              "There is no icon “" + abbreviated(icon.name()) + "”; choose one of those shown");
    }
    String target = ((FieldValue.Link) value).target();
    return type == Type.PAGE && !target.startsWith(PageShown.PAGE)
        ? Optional.of("An item shows a page of the site: choose one of them")
        : type == Type.PAGES && !PageShown.isLot(target)
            ? Optional.of("A list is to show what is filed under a page, or all pages of a kind")
            : linkFault(target);
  }

  /** Whether something may be linked to: a page or section of the site, or outside, mail, phone. */
  public static boolean isLink(String target) {
    return target.length() <= LINK_LIMIT && LINK.matcher(target).matches();
  }

  private Optional<String> linkFault(String target) {
    if (!LINK.matcher(target).matches()) {
      return Optional.of(
          "“"
              + abbreviated(target)
              + "” is not an address to link to: begin with / for a page of the site, # for a"
              + " section, or https://, mailto:, tel:");
    }
    return target.length() <= LINK_LIMIT
        ? Optional.empty()
        : Optional.of("The link has " + target.length() + " characters; at most " + LINK_LIMIT);
  }

  private Optional<String> markFault(FieldValue.Words words) {
    for (Mark mark : words.marks()) {
      Optional<String> fault =
          switch (mark.type()) {
            case LINK ->
                mark.value().isEmpty()
                    ? Optional.of("A link in the words goes nowhere: give its address")
                    : linkFault(mark.value());
            case COLOUR -> colourFault(mark.value());
            case BOUND ->
                Bound.ofWord(mark.value()).isEmpty() && PageShown.words(mark.value()).isEmpty()
                    ? Optional.of(
                        "“" + abbreviated(mark.value()) + "” is nothing that words follow")
                    : Optional.empty();
            case LIST ->
                mark.value().isEmpty() || mark.value().equals(Mark.NUMBERED)
                    ? Optional.empty()
                    : Optional.of(
                        "“"
                            + abbreviated(mark.value())
                            + "” is no kind of list: it is numbered"
                            + " or has marks");
            case NEW_TAB, BOLD, ITALIC -> Optional.empty();
          };
      if (fault.isPresent()) {
        return fault;
      }
    }
    return Optional.empty();
  }

  private static Optional<String> colourFault(String colour) {
    return StyleValue.parse(colour) instanceof StyleValue.Literal literal
            && !ValueType.COLOUR.accepts(literal.css())
        ? Optional.of("“" + abbreviated(colour) + "” is no colour: give " + ValueType.COLOUR.form())
        : Optional.empty();
  }

  private Optional<String> tooLong(String text) {
    if (text.length() <= limit) {
      return Optional.empty();
    }
    return Optional.of(
        label
            + " has "
            + text.length()
            + " characters and at most "
            + limit
            + " fit: take out "
            + (text.length() - limit)
            + " (“"
            + abbreviated(text)
            + "”)");
  }

  private static String abbreviated(String text) {
    return text.length() <= 40 ? text : text.substring(0, 40) + "…";
  }
}
