package goodbones.survey;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.SlotWant;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.layout.Arithmetic;
import goodbones.layout.Box;
import goodbones.layout.Measured;
import goodbones.layout.Screen;
import goodbones.style.Candidate;
import goodbones.style.Cascade;
import goodbones.style.Nearest;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenType;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiPredicate;
import java.util.function.Function;
import java.util.function.ToLongFunction;
import java.util.stream.IntStream;

/** What does not fit where it was put down: heights, padding, text sizes and pictures' ratios. */
public final class Fit {
  /** What is looked at. */
  public enum Check {
    HEIGHT,
    PADDING,
    TEXT_SIZE,
    PICTURE_RATIO,
    LENGTH
  }

  /**
   * One setting that mends a finding.
   *
   * @param value empty takes the setting away
   */
  public record Setting(NodeId node, StyleKey key, Optional<StyleValue> value) {}

  /**
   * One thing that does not fit.
   *
   * @param says what is wrong, in words
   * @param mend what would be done, in words; empty where no setting can mend it
   */
  public record Finding(
      NodeId node, Check check, Device device, String says, String mend, List<Setting> settings) {
    public Finding {
      settings = List.copyOf(settings);
    }
  }

  private static final double SAME_RATIO = 0.02;
  private final Node page;
  private final Cascade cascade;
  private final SiteFinishes finishes;
  private final Map<Device, Map<NodeId, Box>> boxes = new HashMap<>();
  private final Map<Device, Screen> screens;
  private final Measured measured;

  /** All that was put down, with what is in it. */
  private final Set<NodeId> put = new HashSet<>();

  private final List<Finding> findings = new ArrayList<>();

  private Fit(
      Node page,
      Cascade cascade,
      SiteFinishes finishes,
      List<NodeId> put,
      Map<Device, Screen> screens,
      Function<Device, Measured> measured) {
    this.page = page;
    this.cascade = cascade;
    this.finishes = finishes;
    this.screens = screens;
    this.measured = measured.apply(Device.DESKTOP);
    put.forEach(id -> page.find(id).ifPresent(root -> root.walk(node -> this.put.add(node.id()))));
    screens.forEach(
        (device, screen) ->
            boxes.put(device, Arithmetic.boxes(page, cascade, screen, measured.apply(device))));
  }

  /**
   * Looks at what was put down.
   *
   * @param page as shown
   * @param put the nodes that were put down
   * @param screens what the page is looked at on
   * @param measured the sizes of words at each device
   */
  public static List<Finding> of(
      Node page,
      Cascade cascade,
      SiteFinishes finishes,
      List<NodeId> put,
      Map<Device, Screen> screens,
      Function<Device, Measured> measured) {
    Fit fit = new Fit(page, cascade, finishes, put, screens, measured);
    for (NodeId id : put) {
      page.find(id).ifPresent(fit::look);
    }
    return List.copyOf(fit.findings);
  }

  private void look(Node root) {
    height(root);
    if (root.kind() == Kind.SECTION) {
      padding(root);
    }
    for (Node node : root.all()) {
      if (node.content().get("words") instanceof FieldValue.Words) {
        textSize(node);
        length(node);
      } else if (node.kind() == Kind.PICTURE && !missesWanted(node)) {
        ratio(root, node);
      }
    }
  }

  private String css(Node node, StyleProperty property, Device device) {
    return cascade.won(node, property, device, State.NORMAL).css();
  }

  /**
   * A thing that was as high as a screen elsewhere may go past the first screen here. What a mend
   * for a wider device mends too is not said again.
   */
  private void height(Node node) {
    Set<Device> mended = EnumSet.noneOf(Device.class);
    for (Device device : Device.values()) {
      Box box = boxes.getOrDefault(device, Map.of()).get(node.id());
      Screen screen = screens.get(device);
      if (box == null || screen == null || box.height() <= screen.height()) {
        continue;
      }
      Optional<Candidate> least = stretching(node, device, screen);
      if (least.isPresent() && mended.contains(least.get().device())) {
        continue;
      }
      least.ifPresent(candidate -> mended.add(device));
      findings.add(
          new Finding(
              node.id(),
              Check.HEIGHT,
              device,
              "It is "
                  + Math.round(box.height())
                  + " px high and goes past one screen of "
                  + Math.round(screen.height())
                  + " px",
              least.isEmpty() ? "" : "Make it at least one screen high, no more",
              least.stream()
                  .map(
                      candidate ->
                          new Setting(
                              node.id(),
                              StyleKey.of(StyleProperty.MIN_HEIGHT, device),
                              Optional.of(StyleValue.literal("100vh"))))
                  .toList()));
    }
  }

  /** The least height, if it is more than a screen. */
  private Optional<Candidate> stretching(Node node, Device device, Screen screen) {
    if (!Catalogue.hasStyle(node.kind(), StyleProperty.MIN_HEIGHT)) {
      return Optional.empty();
    }
    return Optional.of(cascade.won(node, StyleProperty.MIN_HEIGHT, device, State.NORMAL))
        .filter(
            least -> isMore(least.css(), "px", screen.height()) || isMore(least.css(), "vh", 100));
  }

  private static boolean isMore(String css, String unit, double than) {
    return css.endsWith(unit)
        && Double.parseDouble(css.substring(0, css.length() - unit.length())) > than;
  }

  /** Sections of a page mostly breathe alike; the other sections' padding is the measure. */
  private void padding(Node section) {
    List<Node> sections = nearestFirst(page.children(), section, Kind.SECTION);
    for (StyleProperty side : List.of(StyleProperty.PADDING_TOP, StyleProperty.PADDING_BOTTOM)) {
      for (Device device : Device.values()) {
        String here = css(section, side, device);
        if (device != Device.DESKTOP && here.equals(css(section, side, Device.DESKTOP))) {
          continue;
        }
        Function<Node, Candidate> of = node -> cascade.won(node, side, device, State.NORMAL);
        usual(
                of.apply(section),
                sections.stream().map(of).toList(),
                (one, other) -> one.css().equals(other.css()))
            .ifPresent(
                other ->
                    findings.add(
                        new Finding(
                            section.id(),
                            Check.PADDING,
                            device,
                            side.label() + " is " + here + "; its neighbours have " + other.css(),
                            "Take the neighbours’ " + other.css(),
                            List.of(
                                new Setting(
                                    section.id(), StyleKey.of(side, device), other.value())))));
      }
    }
  }

  /**
   * What is usual among others, if it is more usual than what is here; of what is equally usual the
   * nearest.
   *
   * @param others the nearest first
   */
  private static <T> Optional<T> usual(T here, List<T> others, BiPredicate<T, T> alike) {
    ToLongFunction<T> howMany =
        one -> others.stream().filter(other -> alike.test(one, other)).count();
    long most = howMany.applyAsLong(here);
    Optional<T> usual = Optional.empty();
    for (T other : others) {
      if (howMany.applyAsLong(other) > most) {
        most = howMany.applyAsLong(other);
        usual = Optional.of(other);
      }
    }
    return usual;
  }

  /** The others of a kind that were here before. */
  private List<Node> nearestFirst(List<Node> nodes, Node here, Kind kind) {
    int at = nodes.indexOf(here);
    return IntStream.range(0, nodes.size())
        .boxed()
        .sorted(Comparator.comparingInt(other -> Math.abs(other - at)))
        .map(nodes::get)
        .filter(other -> other.kind() == kind && !put.contains(other.id()))
        .toList();
  }

  private void textSize(Node node) {
    Map<String, Token> scale = new TreeMap<>();
    for (Token token : finishes.tokens()) {
      boolean size = token.type() == TokenType.DIMENSION && token.name().startsWith("size.");
      if (size && !token.retired()) {
        scale.put(finishes.worth(token.id()).css(), token);
      }
    }
    for (Device device : Device.values()) {
      Candidate won = cascade.won(node, StyleProperty.FONT_SIZE, device, State.NORMAL);
      boolean own = won.node().equals(node.id()) && won.device() == device;
      boolean free = won.chain().isEmpty() && won.value().isPresent();
      if (!own || !free || scale.isEmpty() || scale.containsKey(won.css())) {
        continue;
      }
      Optional<Token> nearest =
          Nearest.tokens(finishes, StyleProperty.FONT_SIZE, won.css()).stream()
              .filter(token -> token.name().startsWith("size."))
              .findFirst();
      nearest.ifPresent(
          token ->
              findings.add(
                  new Finding(
                      node.id(),
                      Check.TEXT_SIZE,
                      device,
                      "Text size " + won.css() + " is not one of this client’s",
                      "Take " + token.name() + ", " + finishes.worth(token.id()).css(),
                      List.of(
                          new Setting(
                              node.id(),
                              StyleKey.of(StyleProperty.FONT_SIZE, device),
                              Optional.of(StyleValue.token(token.id())))))));
    }
  }

  /** Words that are shorter or longer than the piece wants; what only stands in is neither. */
  private void length(Node node) {
    SlotWant want = node.options().wants().get("words");
    if (want != null
        && node.content().get("words") instanceof FieldValue.Words words
        && !words.standIn()) {
      want.missedBy(words.text())
          .ifPresent(
              missed ->
                  findings.add(
                      new Finding(
                          node.id(),
                          Check.LENGTH,
                          Device.DESKTOP,
                          "It has " + missed + about(want),
                          "",
                          List.of())));
    }
  }

  private static String about(SlotWant want) {
    return want.purpose().isEmpty() ? "" : " (" + want.purpose() + ")";
  }

  /** A picture of another ratio than the piece wants is cropped to that. */
  private boolean missesWanted(Node picture) {
    SlotWant want = picture.options().wants().get("picture");
    FieldValue filled = picture.content().get("picture");
    if (want == null || filled == null || filled.standIn()) {
      return false;
    }
    boolean missed = shapeOf(picture).filter(shape -> want.isMissedBy(shape.ratio())).isPresent();
    if (missed) {
      findings.add(
          new Finding(
              picture.id(),
              Check.PICTURE_RATIO,
              Device.DESKTOP,
              "The piece wants a picture of " + want.ratio() + about(want),
              "Crop it to " + want.ratio(),
              List.of(
                  new Setting(
                      picture.id(),
                      StyleKey.of(StyleProperty.PICTURE_RATIO),
                      Optional.of(StyleValue.literal(want.ratio()))))));
    }
    return missed;
  }

  /** Pictures that stand in one thing mostly have one ratio. */
  private void ratio(Node root, Node picture) {
    Optional<Shape> here = shapeOf(picture);
    if (here.isEmpty()) {
      return;
    }
    usual(here.get(), shapesAround(root, picture), Shape::isLike)
        .ifPresent(
            other -> {
              String css = written(other);
              findings.add(
                  new Finding(
                      picture.id(),
                      Check.PICTURE_RATIO,
                      Device.DESKTOP,
                      "The picture has another ratio than those near it",
                      "Crop it to " + css,
                      List.of(
                          new Setting(
                              picture.id(),
                              StyleKey.of(StyleProperty.PICTURE_RATIO),
                              Optional.of(StyleValue.literal(css))))));
            });
  }

  /** The other pictures of the narrowest thing around what was put down that has any. */
  private List<Shape> shapesAround(Node root, Node picture) {
    Optional<Node> around = page.parentOf(root.id());
    while (around.isPresent()) {
      List<Shape> shapes =
          nearestFirst(around.get().all(), picture, Kind.PICTURE).stream()
              .flatMap(other -> shapeOf(other).stream())
              .toList();
      if (!shapes.isEmpty()) {
        return shapes;
      }
      around = page.parentOf(around.get().id());
    }
    return List.of();
  }

  private String written(Shape shape) {
    String css = css(shape.picture(), StyleProperty.PICTURE_RATIO, Device.DESKTOP);
    return css.equals("auto") ? Math.round(shape.ratio() * 100) + " / 100" : css;
  }

  private Optional<Shape> shapeOf(Node picture) {
    String css = css(picture, StyleProperty.PICTURE_RATIO, Device.DESKTOP);
    if (!css.equals("auto")) {
      String[] parts = css.split("/");
      return Optional.of(
          new Shape(
              picture,
              Double.parseDouble(parts[0].strip()) / Double.parseDouble(parts[1].strip())));
    }
    return picture.content().containsKey("picture")
        ? Optional.of(new Shape(picture, measured.ratio(picture)))
        : Optional.empty();
  }

  /** A picture and its width by its height. */
  private record Shape(Node picture, double ratio) {
    boolean isLike(Shape other) {
      return Math.abs(other.ratio - ratio) <= SAME_RATIO * ratio;
    }
  }
}
