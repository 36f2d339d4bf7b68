package goodbones.render;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.State;
import goodbones.document.StyleProperty;
import goodbones.fonts.FontFace;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import goodbones.style.SiteFinishes;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * Turns a shown page into semantic HTML and CSS. The same input gives the same bytes; equal styles
 * share one class, on one page and over all pages of a site.
 */
public final class Renderer {
  private static final int NORMAL_WEIGHT = 400;
  private final Surroundings surroundings;
  private final Cascade cascade;
  private final Declarations declarations;
  private final SortedMap<String, String> rules = new TreeMap<>();
  private final Properties tokens;
  private final SortedSet<FontFace> faces = new TreeSet<>();
  private final Set<String> setIn = new HashSet<>();
  private final Map<String, String> classes = new HashMap<>();
  private final SortedSet<String> pictures = new TreeSet<>();
  private final StringBuilder html = new StringBuilder();

  private Renderer(Shown page, SiteFinishes finishes, Surroundings surroundings) {
    this.surroundings = surroundings;
    this.tokens = new Properties(finishes);
    this.cascade = new Cascade(page.root(), page, finishes);
    this.declarations =
        new Declarations(
            cascade,
            finishes.house(),
            tokens,
            id -> {
              pictures.add(id);
              return surroundings.pictureUrl().apply(id);
            });
  }

  /**
   * @param page its root is of kind page
   */
  public static Rendered render(Shown page, SiteFinishes finishes, Surroundings surroundings) {
    Renderer renderer = new Renderer(page, finishes, surroundings);
    Node root = page.root();
    renderer.open("body", root, Optional.empty(), "");
    renderer.html.append("<main>");
    root.children().forEach(child -> renderer.visit(child, Optional.empty()));
    renderer.html.append("</main></body>");
    return new Rendered(
        renderer.html.toString(),
        Collections.unmodifiableSortedMap(renderer.rules),
        renderer.tokens.root(),
        renderer.tokens.scopes(),
        Collections.unmodifiableSortedSet(renderer.faces),
        Set.copyOf(renderer.pictures));
  }

  private void visit(Node node, Optional<Declarations.Track> track) {
    switch (node.kind()) {
      case SECTION -> container("section", node, track);
      case ROW, COLUMN -> container("div", node, track);
      case HEADING -> words("h" + level(node), node, "");
      case TEXT, LABEL -> words("p", node, "");
      case BUTTON -> words("a", node, href(node));
      case PICTURE -> picture(node);
      case PAGE, PLACEMENT ->
          throw new IllegalArgumentException(
              "a shown page holds no " + node.kind().word() + ": " + node.id());
    }
  }

  private void container(String tag, Node node, Optional<Declarations.Track> track) {
    open(tag, node, track, "");
    for (int i = 0; i < node.children().size(); i++) {
      visit(
          node.children().get(i),
          node.kind() == Kind.ROW
              ? Optional.of(new Declarations.Track(node, i))
              : Optional.empty());
    }
    html.append("</").append(tag).append('>');
  }

  private void words(String tag, Node node, String attributes) {
    String text = node.content().get("words") instanceof FieldValue.Words words ? words.text() : "";
    if (text.isBlank() && !surroundings.withIds()) {
      return;
    }
    collectFaces(node);
    open(tag, node, Optional.empty(), attributes);
    html.append(Html.lines(text)).append("</").append(tag).append('>');
  }

  private static int level(Node node) {
    return node.content().get("level") instanceof FieldValue.Level level ? level.level() : 2;
  }

  private String href(Node node) {
    String target = node.content().get("link") instanceof FieldValue.Link link ? link.target() : "";
    return target.isEmpty()
        ? ""
        : " href=\"" + Html.escape(surroundings.linkUrl().apply(target)) + "\"";
  }

  private void picture(Node node) {
    if (!(node.content().get("picture") instanceof FieldValue.Picture picture)) {
      if (surroundings.withIds()) {
        open("div", node, Optional.empty(), "");
        html.append("</div>");
      }
      return;
    }
    pictures.add(picture.pictureId());
    String url = surroundings.base() + surroundings.pictureUrl().apply(picture.pictureId());
    open(
        "img",
        node,
        Optional.empty(),
        " src=\"" + Html.escape(url) + "\" alt=\"" + Html.escape(picture.alt()) + "\"");
  }

  private void open(String tag, Node node, Optional<Declarations.Track> track, String attributes) {
    html.append('<').append(tag).append(" class=\"").append(node.kind().word());
    String css = declarations.rules(node, track);
    if (!css.isEmpty()) {
      String name =
          classes.computeIfAbsent(
              css,
              text -> {
                String fresh = "g" + hash(text);
                rules.put(fresh, text.replace("&", "." + fresh) + "\n");
                return fresh;
              });
      html.append(' ').append(name);
    }
    node.scheme()
        .ifPresent(
            scheme -> {
              tokens.useScheme(scheme);
              html.append(' ').append(tokens.className(scheme));
            });
    html.append('"');
    if (surroundings.withIds()) {
      html.append(" data-node=\"").append(node.id()).append('"');
    }
    html.append(attributes).append('>');
  }

  /** Notes the font files that a text is set in, at every device and in every state. */
  private void collectFaces(Node node) {
    for (Device device : Device.values()) {
      for (State state : Catalogue.states(node.kind())) {
        String stack = cascade.won(node, StyleProperty.FONT_FAMILY, device, state).css();
        String weight = cascade.won(node, StyleProperty.FONT_WEIGHT, device, state).css();
        if (setIn.add(stack + '|' + weight)) {
          collectFace(stack, weight);
        }
      }
    }
  }

  private void collectFace(String stack, String weight) {
    int wanted = weight.matches("\\d+") ? Integer.parseInt(weight) : NORMAL_WEIGHT;
    Stream.of(stack.split(","))
        .map(family -> FontFace.matching(surroundings.faces(), family.strip(), wanted))
        .flatMap(Optional::stream)
        .findFirst()
        .ifPresent(faces::add);
  }

  private static String hash(String text) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(digest, 0, 5);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has SHA-256", e);
    }
  }
}
