package goodbones.survey;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
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
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;

/** What does not fit where it was put down: heights, padding, text sizes and pictures' ratios. */
public final class Fit {
  /** What is looked at. */
  public enum Check {
    HEIGHT,
    PADDING,
    TEXT_SIZE,
    PICTURE_RATIO
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
  private final List<Finding> findings = new ArrayList<>();

  private Fit(
      Node page,
      Cascade cascade,
      SiteFinishes finishes,
      Map<Device, Screen> screens,
      Function<Device, Measured> measured) {
    this.page = page;
    this.cascade = cascade;
    this.finishes = finishes;
    this.screens = screens;
    this.measured = measured.apply(Device.DESKTOP);
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
    Fit fit = new Fit(page, cascade, finishes, screens, measured);
    for (NodeId id : put) {
      page.find(id).ifPresent(node -> fit.look(node, new HashSet<>(put)));
    }
    return List.copyOf(fit.findings);
  }

  private void look(Node root, Set<NodeId> put) {
    height(root);
    if (root.kind() == Kind.SECTION) {
      padding(root, put);
    }
    for (Node node : root.all()) {
      if (node.content().get("words") instanceof FieldValue.Words) {
        textSize(node);
      } else if (node.kind() == Kind.PICTURE) {
        ratio(root, node);
      }
    }
  }

  private String css(Node node, StyleProperty property, Device device) {
    return cascade.won(node, property, device, State.NORMAL).css();
  }

  /** A thing that was as high as a screen elsewhere may go past the first screen here. */
  private void height(Node node) {
    for (Device device : Device.values()) {
      Box box = boxes.getOrDefault(device, Map.of()).get(node.id());
      Screen screen = screens.get(device);
      if (box == null || screen == null || box.height() <= screen.height()) {
        continue;
      }
      List<Setting> settings = new ArrayList<>();
      if (Catalogue.hasStyle(node.kind(), StyleProperty.MIN_HEIGHT)) {
        String least = css(node, StyleProperty.MIN_HEIGHT, device);
        boolean stretched =
            least.endsWith("px")
                && Double.parseDouble(least.substring(0, least.length() - 2)) > screen.height();
        boolean tooManyScreens =
            least.endsWith("vh")
                && Double.parseDouble(least.substring(0, least.length() - 2)) > 100;
        if (stretched || tooManyScreens) {
          settings.add(
              new Setting(
                  node.id(),
                  StyleKey.of(StyleProperty.MIN_HEIGHT, device),
                  Optional.of(StyleValue.literal("100vh"))));
        }
      }
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
              settings.isEmpty() ? "" : "Make it at least one screen high, no more",
              settings));
    }
  }

  /** Sections of a page mostly breathe alike; the neighbours' padding is the measure. */
  private void padding(Node section, Set<NodeId> put) {
    for (StyleProperty side : List.of(StyleProperty.PADDING_TOP, StyleProperty.PADDING_BOTTOM)) {
      for (Device device : Device.values()) {
        String here = css(section, side, device);
        Optional<Candidate> usual = usual(side, device, put);
        boolean saidWider =
            device != Device.DESKTOP && here.equals(css(section, side, Device.DESKTOP));
        if (usual.isEmpty() || usual.get().css().equals(here) || saidWider) {
          continue;
        }
        findings.add(
            new Finding(
                section.id(),
                Check.PADDING,
                device,
                side.label() + " is " + here + "; its neighbours have " + usual.get().css(),
                "Take the neighbours’ " + usual.get().css(),
                List.of(
                    new Setting(section.id(), StyleKey.of(side, device), usual.get().value()))));
      }
    }
  }

  /** What most of the other sections have, if more than half of them agree. */
  private Optional<Candidate> usual(StyleProperty side, Device device, Set<NodeId> put) {
    Map<String, List<Candidate>> counts = new TreeMap<>();
    int others = 0;
    for (Node section : page.children()) {
      if (section.kind() == Kind.SECTION && !put.contains(section.id())) {
        Candidate won = cascade.won(section, side, device, State.NORMAL);
        counts.computeIfAbsent(won.css(), css -> new ArrayList<>()).add(won);
        others++;
      }
    }
    int half = others / 2;
    return counts.values().stream()
        .filter(list -> list.size() > half)
        .map(list -> list.get(0))
        .findFirst();
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

  /** Pictures that stand near each other mostly have one ratio. */
  private void ratio(Node root, Node picture) {
    Optional<Double> here = ratioOf(picture);
    Optional<Node> around = page.parentOf(root.id());
    if (here.isEmpty() || around.isEmpty()) {
      return;
    }
    for (Node sibling : around.get().all()) {
      boolean other = sibling.kind() == Kind.PICTURE && root.find(sibling.id()).isEmpty();
      Optional<Double> there = other ? ratioOf(sibling) : Optional.empty();
      if (there.isPresent() && Math.abs(there.get() - here.get()) > SAME_RATIO * here.get()) {
        String css = written(sibling, there.get());
        findings.add(
            new Finding(
                picture.id(),
                Check.PICTURE_RATIO,
                Device.DESKTOP,
                "The picture has another ratio than the one near it",
                "Crop it to " + css,
                List.of(
                    new Setting(
                        picture.id(),
                        StyleKey.of(StyleProperty.PICTURE_RATIO),
                        Optional.of(StyleValue.literal(css))))));
        return;
      }
    }
  }

  private String written(Node picture, double ratio) {
    String css = css(picture, StyleProperty.PICTURE_RATIO, Device.DESKTOP);
    return css.equals("auto") ? Math.round(ratio * 100) + " / 100" : css;
  }

  private Optional<Double> ratioOf(Node picture) {
    String css = css(picture, StyleProperty.PICTURE_RATIO, Device.DESKTOP);
    if (!css.equals("auto")) {
      String[] parts = css.split("/");
      return Optional.of(
          Double.parseDouble(parts[0].strip()) / Double.parseDouble(parts[1].strip()));
    }
    return picture.content().containsKey("picture")
        ? Optional.of(measured.ratio(picture))
        : Optional.empty();
  }
}
