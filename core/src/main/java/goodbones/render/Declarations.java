package goodbones.render;

import goodbones.document.Catalogue;
import goodbones.document.Columns;
import goodbones.document.Composite;
import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.style.Candidate;
import goodbones.style.Cascade;
import goodbones.style.Finishes;
import goodbones.style.Flow;
import goodbones.style.Scheme;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;

/**
 * Flattens the first two steps of the cascade for one node into CSS: longhands only, what all
 * devices share first, then one rule for each device in exclusive ranges, states after.
 */
final class Declarations {
  private static final Pattern VH = Pattern.compile("(-?\\d*\\.?\\d+)vh\\b");

  /** Marks of lists that CSS has no keyword for (CSS Lists 3, 3.1: a string). */
  private static final Map<String, String> MARKS =
      Map.of("dash", "\"– \"", "arrow", "\"→ \"", "check", "\"✓ \"");

  private static final String OVERLAY = "--overlay";
  private static final String GRADIENT = "--gradient";
  private static final String CONTENT = "--content";
  private static final List<String> SIDES = List.of("top", "right", "bottom", "left");

  private final Cascade cascade;
  private final Finishes finishes;
  private final Properties tokens;
  private final Function<String, Pictured> pictures;
  private final Map<Likeness, String> rules = new HashMap<>();

  /**
   * @param tokens notes the custom properties that the declarations use
   */
  Declarations(
      Cascade cascade, Finishes finishes, Properties tokens, Function<String, Pictured> pictures) {
    this.cascade = cascade;
    this.finishes = finishes;
    this.tokens = tokens;
    this.pictures = pictures;
  }

  /** A place in a row: the row's grids, and the column's index among its siblings. */
  record Track(RowGrids row, int index) {}

  /** All that the rules of a node depend on; nodes alike in it share them. */
  private record Likeness(
      Kind kind,
      Map<StyleKey, StyleValue> styles,
      List<String> namedStyles,
      Optional<String> scheme,
      Optional<String> around,
      Set<Device> hiddenOn,
      Optional<FieldValue> picture,
      List<String> cells,
      Optional<RowGrids> grids) {}

  /**
   * The rules of a node with {@code &} in place of its selector.
   *
   * @return empty text if the node needs none
   */
  String rules(Node node, Optional<Track> track) {
    Likeness likeness =
        new Likeness(
            node.kind(),
            node.styles(),
            node.namedStyles(),
            node.scheme(),
            cascade.scope(node).scheme().map(Scheme::id),
            node.hiddenOn(),
            Optional.ofNullable(node.content().get("picture")),
            track.map(Declarations::cells).orElse(List.of()),
            node.kind() == Kind.ROW ? Optional.of(grids(node)) : Optional.empty());
    String known = rules.get(likeness);
    if (known == null) {
      known = fresh(node, track);
      rules.put(likeness, known);
    }
    return known;
  }

  private static List<String> cells(Track track) {
    return Arrays.stream(Device.values()).map(d -> track.row().cell(track.index(), d)).toList();
  }

  /** How a row's columns stand at each device. */
  RowGrids grids(Node row) {
    Map<Device, Columns.Grid> grids = new EnumMap<>(Device.class);
    for (Device device : Device.values()) {
      grids.put(device, Flow.grid(row, cascade, device));
    }
    return new RowGrids(grids);
  }

  boolean knows(StyleValue.TokenRef ref) {
    return tokens.knows(ref);
  }

  private String fresh(Node node, Optional<Track> track) {
    Map<Device, Map<String, String>> normal = new EnumMap<>(Device.class);
    for (Device device : Device.values()) {
      normal.put(device, normal(node, device, track));
    }
    StringBuilder css = new StringBuilder(split("&", normal));
    for (State state : List.of(State.CURRENT, State.HOVER, State.FOCUS)) {
      if (Catalogue.states(node.kind()).contains(state)) {
        Map<Device, Map<String, String>> differing = new EnumMap<>(Device.class);
        for (Device device : Device.values()) {
          differing.put(device, state(node, device, state));
        }
        css.append(split(selector(node.kind(), state), differing));
      }
    }
    return css.toString();
  }

  /** A picture is as wide as its place; its margins are to lie inside that. */
  private static void margins(Node node, Map<String, String> css) {
    String left = zero(css.getOrDefault("margin-left", "0"));
    String right = zero(css.getOrDefault("margin-right", "0"));
    boolean none = left.equals("0px") && right.equals("0px");
    boolean auto = left.equals("auto") || right.equals("auto");
    if (node.kind() == Kind.PICTURE && !none && !auto && !css.containsKey("width")) {
      css.put("width", "calc(100% - " + left + " - " + right + ")");
    }
  }

  /** The states of a menu are those of its links. */
  private static String selector(Kind kind, State state) {
    String links = kind == Kind.MENU && state != State.NORMAL ? "& a" : "&";
    return links
        + switch (state) {
          case CURRENT -> "[aria-current]";
          case HOVER -> ":hover";
          case FOCUS -> ":focus-visible";
          case NORMAL -> "";
        };
  }

  private String split(String selector, Map<Device, Map<String, String>> byDevice) {
    Map<String, String> shared =
        new LinkedHashMap<>(Objects.requireNonNull(byDevice.get(Device.DESKTOP)));
    byDevice.values().forEach(m -> shared.entrySet().retainAll(m.entrySet()));
    StringBuilder css = new StringBuilder(block(selector, shared));
    byDevice.forEach(
        (device, declarations) -> {
          Map<String, String> own = new LinkedHashMap<>(declarations);
          own.keySet().removeAll(shared.keySet());
          String block = block(selector, own);
          if (!block.isEmpty()) {
            css.append("@media ").append(range(device)).append('{').append(block).append('}');
          }
        });
    return css.toString();
  }

  private static String block(String selector, Map<String, String> declarations) {
    if (declarations.isEmpty()) {
      return "";
    }
    StringBuilder css = new StringBuilder(selector).append('{');
    declarations.forEach((name, value) -> css.append(name).append(':').append(value).append(';'));
    css.setCharAt(css.length() - 1, '}');
    return css.toString();
  }

  private String range(Device device) {
    int tablet = finishes.tabletLimit() + 1;
    int phone = finishes.phoneLimit() + 1;
    return switch (device) {
      case DESKTOP -> "(width >= " + tablet + "px)";
      case TABLET -> "(" + phone + "px <= width < " + tablet + "px)";
      case PHONE -> "(width < " + phone + "px)";
    };
  }

  private Map<String, String> normal(Node node, Device device, Optional<Track> track) {
    Map<String, String> css = new LinkedHashMap<>();
    if (node.hiddenOn().contains(device)) {
      css.put("display", "none");
      return css;
    }
    for (StyleProperty property : Catalogue.styles(node.kind())) {
      cascade
          .declared(node, property, device, State.NORMAL)
          .ifPresent(c -> declare(node, property, c, css));
    }
    background(node, css);
    if (node.kind() == Kind.PICTURE
        && node.content().get("picture") instanceof FieldValue.Picture picture) {
      focus(pictures.apply(picture.pictureId()), "object-position", css);
    }
    contentAlign(node, css);
    margins(node, css);
    if (node.kind() == Kind.ROW) {
      css.put("grid-template-columns", template(node, device));
    }
    track.ifPresent(t -> cell(t.row().cell(t.index(), device), css));
    return css;
  }

  private static void cell(String cell, Map<String, String> css) {
    String[] parts = cell.split("\\|");
    css.put("grid-column", parts[0]);
    if (parts.length > 1) {
      css.put("grid-row", parts[1]);
    }
  }

  /** The tracks of a row; Columns says how wide each is. */
  private String template(Node row, Device device) {
    List<Columns.Track> tracks = grids(row).of(device).tracks();
    if (tracks.stream().allMatch(Columns.Part.class::isInstance)) {
      return tracks.size() == 1 ? "minmax(0,1fr)" : "repeat(" + tracks.size() + ",minmax(0,1fr))";
    }
    String gap =
        cascade
            .declared(row, StyleProperty.COLUMN_GAP, device, State.NORMAL)
            .map(c -> value(StyleProperty.COLUMN_GAP, c))
            .filter(css -> !css.equals("0"))
            .orElse("0px");
    List<String> css = new ArrayList<>();
    for (Columns.Track track : tracks) {
      css.add(
          track instanceof Columns.OfTwelve twelve
              ? "calc((100% + " + gap + ")*" + twelve.twelfths() + "/12 - " + gap + ")"
              : "calc((100% - "
                  + gap
                  + "*"
                  + (tracks.size() - 1)
                  + ")*"
                  + ((Columns.OfHundred) track).percent()
                  + "/100)");
    }
    return String.join(" ", css);
  }

  private Map<String, String> state(Node node, Device device, State state) {
    Map<String, String> css = new LinkedHashMap<>();
    for (StyleProperty property : Catalogue.styles(node.kind())) {
      Optional<Candidate> normal = cascade.declared(node, property, device, State.NORMAL);
      Optional<Candidate> here = cascade.declared(node, property, device, state);
      boolean same = here.map(Candidate::value).equals(normal.map(Candidate::value));
      if (here.isPresent() && !same) {
        declare(node, property, here.get(), css);
      }
    }
    if (css.containsKey(GRADIENT) || css.containsKey(OVERLAY)) {
      background(node, css);
    }
    return css;
  }

  /** What a candidate is written as: literals as they are, tokens as custom properties. */
  private String value(StyleProperty property, Candidate candidate) {
    StyleValue stored = candidate.value().orElse(StyleValue.literal(candidate.css()));
    if (stored instanceof StyleValue.TokenRef ref) {
      return tokens.use(ref);
    } else if (stored instanceof StyleValue.Composed composed) {
      return viewportHeights(composed.filled(tokens::use));
    }
    return property == StyleProperty.FONT_FAMILY
        ? Families.css(candidate.css())
        : viewportHeights(candidate.css());
  }

  /** A canvas unrolls a page to its full height, so it says itself how high a screen is. */
  static String viewportHeights(String css) {
    return css.indexOf("vh") < 0 ? css : VH.matcher(css).replaceAll("calc(var(--vh,1vh)*$1)");
  }

  private void declare(
      Node node, StyleProperty property, Candidate candidate, Map<String, String> css) {
    switch (property) {
      case BORDER -> border(candidate, css);
      case TRANSITION -> transition(candidate, css);
      case COLUMNS -> {
        // Written as the row's tracks, and at the columns as their cells.
      }
      default -> declare(node, property, value(property, candidate), css);
    }
  }

  private static void declare(
      Node node, StyleProperty property, String value, Map<String, String> css) {
    switch (property) {
      case RADIUS -> {
        for (String corner : List.of("top-left", "top-right", "bottom-right", "bottom-left")) {
          css.put("border-" + corner + "-radius", value);
        }
      }
      case RULE_WIDTH -> {
        css.put("border-top-style", "solid");
        css.put("border-top-width", value);
      }
      case CONTENT_WIDTH -> contentWidth(node, value, css);
      case CONTENT_ALIGN -> css.put(CONTENT, value);
      case FLOW -> {
        if (node.kind() == Kind.MENU || node.kind() == Kind.SOCIAL) {
          css.put("flex-direction", value.equals("down") ? "column" : "row");
        } else if (value.equals("across")) {
          css.put("display", "flex");
          css.put("flex-wrap", "wrap");
          css.put("align-content", "stretch");
        }
      }
      case PADDING_LEFT, PADDING_RIGHT ->
          css.put(
              node.kind() == Kind.PAGE
                  ? property.key().replace("padding", "--page")
                  : property.key(),
              zero(value));
      case ORDER -> {
        if (!value.equals("0")) {
          css.put("order", value);
        }
      }
      case WIDTH -> {
        // A picture that says nothing of its width is as wide as its place.
        if (node.kind() != Kind.PICTURE || !value.equals("auto")) {
          css.put("width", value);
        }
      }
      case LIST_MARK -> css.put(property.key(), MARKS.getOrDefault(value, value));
      case PIN -> pin(value, css);
      case PLACE -> css.put("justify-self", value);
      case OVERLAY_COLOR -> css.put(OVERLAY, value);
      case GRADIENT -> css.put(GRADIENT, value);
      default -> css.put(property.key(), value);
    }
  }

  private static void contentWidth(Node node, String value, Map<String, String> css) {
    boolean none = value.equals("none") || value.equals("auto");
    if (node.kind() == Kind.PAGE) {
      css.put("--page-width", none ? "100%" : zero(value));
    } else {
      css.put("grid-template-columns", "minmax(0," + (none ? "1fr" : value) + ")");
    }
  }

  private static String zero(String value) {
    return value.equals("0") ? "0px" : value;
  }

  private static void pin(String corner, Map<String, String> css) {
    if (!corner.equals("none")) {
      css.put("position", "absolute");
      for (String side : corner.split("-")) {
        css.put(side, "0");
      }
      // On the page, things have a track of its grid; what is pinned refers to the page itself.
      css.put("grid-column", "auto");
    }
  }

  /** The content's height is said in another way where things stand side by side. */
  private static void contentAlign(Node node, Map<String, String> css) {
    String value = css.remove(CONTENT);
    boolean across = "flex".equals(css.get("display"));
    if (across && "space-between".equals(value)) {
      css.put("align-items", "start");
      css.put("align-content", value);
    } else if (across) {
      css.put("align-items", value == null ? "start" : value);
    } else if (value != null) {
      css.put(node.kind() == Kind.ROW ? "align-items" : "align-content", value);
    }
  }

  /** A part of a composite value: a custom property where a whole token is set. */
  private String part(StyleProperty property, Candidate candidate, String part) {
    Map<String, String> parts = Composite.parts(property.type(), candidate.css()).orElse(Map.of());
    String literal = parts.getOrDefault(part, "");
    return candidate.value().orElseThrow() instanceof StyleValue.TokenRef ref
            && ref.part().isEmpty()
            && !literal.isEmpty()
        ? tokens.use(new StyleValue.TokenRef(ref.tokenId(), part))
        : literal;
  }

  private void border(Candidate candidate, Map<String, String> css) {
    if (candidate.css().equals("none")) {
      SIDES.forEach(side -> css.put("border-" + side + "-style", "none"));
      return;
    }
    for (String side : SIDES) {
      for (String part : List.of("style", "width", "color")) {
        css.put("border-" + side + "-" + part, part(StyleProperty.BORDER, candidate, part));
      }
    }
  }

  private void transition(Candidate candidate, Map<String, String> css) {
    css.put("transition-property", "color,background-color,border-color,box-shadow");
    css.put("transition-duration", part(StyleProperty.TRANSITION, candidate, "duration"));
    css.put("transition-delay", orElse(part(StyleProperty.TRANSITION, candidate, "delay"), "0s"));
    css.put(
        "transition-timing-function",
        orElse(part(StyleProperty.TRANSITION, candidate, "timingFunction"), "ease"));
  }

  private static String orElse(String text, String otherwise) {
    return text.isEmpty() ? otherwise : text;
  }

  /** Puts the layers of a ground together, the upper first: overlay, gradient, picture. */
  private void background(Node node, Map<String, String> css) {
    String overlay = css.remove(OVERLAY);
    String gradient = css.remove(GRADIENT);
    List<String> layers = new ArrayList<>();
    if (overlay != null && !overlay.equals("transparent")) {
      layers.add("linear-gradient(" + overlay + "," + overlay + ")");
    }
    if (gradient != null && !gradient.equals("none")) {
      layers.add(gradient);
    }
    if (node.kind() == Kind.SECTION
        && node.content().get("picture") instanceof FieldValue.Picture picture) {
      Pictured known = pictures.apply(picture.pictureId());
      layers.add("url(" + quoted(known.url()) + ")");
      focus(known, "background-position", css);
    }
    if (!layers.isEmpty()) {
      css.put("background-image", String.join(",", layers));
    }
  }

  /** What matters in a picture is seen however it is cropped. */
  private static void focus(Pictured picture, String property, Map<String, String> css) {
    if (!picture.focus().equals(Pictured.Focus.CENTRE)) {
      css.put(property, picture.focus().css());
    }
  }

  /** A string that nothing in it can end (CSS Syntax 3, 4.3.7), also inside a style element. */
  private static String quoted(String text) {
    StringBuilder css = new StringBuilder("\"");
    text.codePoints()
        .forEach(
            c -> {
              if (c < ' ' || "\"\\<>&".indexOf(c) >= 0) {
                css.append('\\').append(Integer.toHexString(c)).append(' ');
              } else {
                css.appendCodePoint(c);
              }
            });
    return css.append('"').toString();
  }
}
