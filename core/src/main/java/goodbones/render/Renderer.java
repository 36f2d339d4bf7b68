package goodbones.render;

import goodbones.document.Bound;
import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.FamilyNames;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.State;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.fonts.FontFace;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import goodbones.style.SiteFinishes;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Turns a shown page into semantic HTML and CSS. The same input gives the same bytes; equal styles
 * share one class, on one page and over all pages of a site.
 */
public final class Renderer {
  private static final int NORMAL_WEIGHT = 400;

  /** Where the home page is, as a stored link. */
  private static final String HOME = "role:home";

  private static final String BOLD_WEIGHT = "700";
  private final Surroundings surroundings;
  private final Cascade cascade;
  private final Declarations declarations;
  private final RenderMemo memo;
  private final Properties tokens;
  private final PictureSizes sizes;
  private Set<String> classes = new TreeSet<>();
  private Set<String> schemes = new TreeSet<>();
  private Set<FontFace> faces = new TreeSet<>();
  private Set<String> pictures = new TreeSet<>();
  private Set<String> setIn = new HashSet<>();
  private StringBuilder html = new StringBuilder();

  /** What stands straight on the page and is written now. */
  private @Nullable Node straight;

  private Renderer(Shown page, SiteFinishes finishes, Surroundings surroundings, RenderMemo memo) {
    this.surroundings = surroundings;
    this.memo = memo;
    this.tokens = new Properties(finishes, memo.refs());
    this.cascade = new Cascade(page.root(), page, finishes);
    this.sizes = new PictureSizes(page.root(), cascade, finishes.house(), surroundings.room());
    this.declarations = new Declarations(cascade, finishes.house(), tokens, this::pictured);
  }

  /**
   * @param page its root is of kind page
   */
  public static Rendered render(Shown page, SiteFinishes finishes, Surroundings surroundings) {
    return render(page, finishes, surroundings, new RenderMemo());
  }

  /**
   * @param page its root is of kind page
   * @param memo of the same page in the same surroundings
   */
  public static Rendered render(
      Shown page, SiteFinishes finishes, Surroundings surroundings, RenderMemo memo) {
    Node root = page.root();
    memo.begin(root, finishes);
    Renderer renderer = new Renderer(page, finishes, surroundings, memo);
    renderer.open("body", root, Optional.empty(), "");
    RenderMemo.Fragment body = renderer.taken();
    List<RenderMemo.Fragment> fragments = new ArrayList<>();
    List<Rendered.Block> blocks = new ArrayList<>();
    fragments.add(body);
    for (Node child : root.children()) {
      RenderMemo.Fragment fragment = memo.known(child).orElseGet(() -> renderer.fragment(child));
      fragments.add(fragment);
      blocks.add(new Rendered.Block(child.id(), fragment.html()));
    }
    return renderer.together(body.html(), blocks, fragments);
  }

  private RenderMemo.Fragment fragment(Node node) {
    straight = node;
    visit(node, Optional.empty());
    RenderMemo.Fragment fragment = taken();
    memo.keep(node, fragment);
    return fragment;
  }

  /** What was written since the last time, and what it uses. */
  private RenderMemo.Fragment taken() {
    RenderMemo.Fragment fragment =
        new RenderMemo.Fragment(html.toString(), classes, schemes, faces, pictures);
    html = new StringBuilder();
    classes = new TreeSet<>();
    schemes = new TreeSet<>();
    faces = new TreeSet<>();
    pictures = new TreeSet<>();
    setIn = new HashSet<>();
    return fragment;
  }

  private Rendered together(
      String open, List<Rendered.Block> blocks, List<RenderMemo.Fragment> fragments) {
    SortedMap<String, String> rules = new TreeMap<>();
    Set<String> usedSchemes = new TreeSet<>();
    SortedSet<FontFace> usedFaces = new TreeSet<>();
    Set<String> usedPictures = new TreeSet<>();
    for (RenderMemo.Fragment fragment : fragments) {
      fragment.classes().forEach(name -> rules.put(name, rule(name)));
      usedSchemes.addAll(fragment.schemes());
      usedFaces.addAll(fragment.faces());
      usedPictures.addAll(fragment.pictures());
    }
    SortedMap<String, StyleValue.TokenRef> used = tokens.usedIn(rules.values());
    return new Rendered(
        open,
        blocks,
        Collections.unmodifiableSortedMap(rules),
        tokens.root(used),
        tokens.scopes(used, usedSchemes),
        Collections.unmodifiableSortedSet(usedFaces),
        Set.copyOf(usedPictures));
  }

  private String rule(String name) {
    return java.util.Objects.requireNonNull(memo.rules().get(name));
  }

  private void visit(Node node, Optional<Declarations.Track> track) {
    switch (node.kind()) {
      case SECTION -> container("section", node, track);
      case ROW, COLUMN, BOX -> container("div", node, track);
      case HEADING -> words("h" + level(node), node, "");
      case TEXT, LABEL -> words(Marked.hasList(wordsOf(node)) ? "div" : "p", node, "");
      case BUTTON -> words("a", node, href(node));
      case PICTURE -> picture(node);
      case ICON -> icon(node);
      case LOGO -> logo(node);
      case MENU -> menu(node);
      case SOCIAL -> social(node);
      case DIVIDER -> open("hr", node, Optional.empty(), "");
      case PAGE, PLACEMENT ->
          throw new IllegalArgumentException(
              "a shown page holds no " + node.kind().word() + ": " + node.id());
    }
  }

  private void container(String tag, Node node, Optional<Declarations.Track> track) {
    open(tag, node, track, "");
    if (node.kind() == Kind.ROW) {
      RowGrids grids = declarations.grids(node);
      for (int i = 0; i < node.children().size(); i++) {
        visit(node.children().get(i), Optional.of(new Declarations.Track(grids, i)));
      }
    } else {
      node.children().forEach(child -> visit(child, Optional.empty()));
    }
    html.append("</").append(tag).append('>');
  }

  private void words(String tag, Node node, String attributes) {
    FieldValue.Words words = wordsOf(node);
    if (isBlank(words) && !surroundings.withIds()) {
      return;
    }
    collectFaces(node, words);
    open(tag, node, Optional.empty(), attributes + standIn(words));
    html.append(Marked.html(words, surroundings.linkUrl(), this::colour, this::bound))
        .append("</")
        .append(tag)
        .append('>');
  }

  /**
   * Words that follow something; published is what it is worth, and nothing while it is not set.
   */
  private String bound(String what, String stored) {
    Optional<String> worth = surroundings.facts().of(what);
    if (!surroundings.withIds()) {
      return worth.map(Html::lines).orElse("");
    }
    return "<span data-bound=\""
        + Html.escape(what)
        + "\" contenteditable=\"false\""
        + (worth.isEmpty() ? " data-unset" : "")
        + ">"
        + Html.lines(worth.orElse(stored))
        + "</span>";
  }

  /** Whether nothing would be read, also where what is bound is not set. */
  private boolean isBlank(FieldValue.Words words) {
    if (words.text().isBlank()) {
      return true;
    }
    StringBuilder left = new StringBuilder(words.text());
    for (int i = words.marks().size() - 1; i >= 0; i--) {
      Mark mark = words.marks().get(i);
      if (mark.type() == Mark.Type.BOUND && surroundings.facts().of(mark.value()).isEmpty()) {
        left.replace(mark.from(), mark.to(), "");
      }
    }
    return left.toString().isBlank();
  }

  private void icon(Node node) {
    Optional<String> svg =
        node.content().get("icon") instanceof FieldValue.Icon icon
            ? IconSvg.of(icon)
            : Optional.empty();
    if (svg.isPresent() || surroundings.withIds()) {
      open("div", node, Optional.empty(), "");
      html.append(svg.orElse(IconSvg.NONE)).append("</div>");
    }
  }

  private void logo(Node node) {
    String name = surroundings.facts().words().getOrDefault(Bound.NAME, "");
    String logo = surroundings.facts().logo();
    if (name.isBlank() && logo.isEmpty() && !surroundings.withIds()) {
      return;
    }
    collectFaces(node, new FieldValue.Words(name));
    open("a", node, Optional.empty(), href(HOME) + unset(name + logo));
    if (logo.isEmpty()) {
      html.append(Html.escape(name.isBlank() ? "Client’s name" : name));
    } else {
      html.append("<img src=\"")
          .append(Html.escape(surroundings.base() + pictured(logo).url()))
          .append("\" alt=\"")
          .append(Html.escape(name))
          .append("\">");
    }
    html.append("</a>");
  }

  private String unset(String value) {
    return value.isEmpty() ? " data-unset" : "";
  }

  /** A menu is one list of links; on a small screen its button opens the same list. */
  private void menu(Node node) {
    String name = node.content().get("menu") instanceof FieldValue.Menu menu ? menu.name() : "";
    List<Facts.Entry> entries = surroundings.facts().menu(name);
    if (entries.isEmpty() && !surroundings.withIds()) {
      return;
    }
    String label = wordsOf(node).text().isBlank() ? "Menu" : wordsOf(node).text();
    collectFaces(node, new FieldValue.Words(label));
    String id = "menu-" + hash(node.id().value());
    open(
        "nav",
        node,
        Optional.empty(),
        " aria-label=\"" + Html.escape(label) + "\"" + (entries.isEmpty() ? " data-unset" : ""));
    html.append("<button type=\"button\" class=\"menu-open\" popovertarget=\"")
        .append(id)
        .append("\">")
        .append(Html.escape(label))
        .append("</button><ul class=\"menu-list\" id=\"")
        .append(id)
        .append("\" popover>");
    entries.forEach(this::entry);
    html.append("</ul></nav>");
  }

  private void entry(Facts.Entry entry) {
    html.append("<li><a")
        .append(href(new FieldValue.Link(entry.link(), entry.newTab())))
        .append(entry.current() ? " aria-current=\"page\"" : "")
        .append('>')
        .append(IconSvg.of(FieldValue.Icon.of(entry.icon())).orElse(""))
        .append(Html.escape(entry.words()))
        .append("</a>");
    if (!entry.below().isEmpty()) {
      html.append("<ul>");
      entry.below().forEach(this::entry);
      html.append("</ul>");
    }
    html.append("</li>");
  }

  private void social(Node node) {
    List<Facts.Entry> entries = surroundings.facts().social();
    if (entries.isEmpty() && !surroundings.withIds()) {
      return;
    }
    collectFaces(node, new FieldValue.Words("a"));
    open("ul", node, Optional.empty(), entries.isEmpty() ? " data-unset" : "");
    entries.forEach(this::entry);
    html.append("</ul>");
  }

  private static FieldValue.Words wordsOf(Node node) {
    return node.content().get("words") instanceof FieldValue.Words words
        ? words
        : new FieldValue.Words("");
  }

  /** The attributes of words in a colour of their own; none for a token that is not known here. */
  private String colour(String stored) {
    StyleValue value = StyleValue.parse(stored);
    boolean known =
        value.refs().stream()
            .allMatch(ref -> declarations.knows(ref) && !(value instanceof StyleValue.Composed));
    if (!known) {
      return "";
    }
    String css = value instanceof StyleValue.TokenRef ref ? tokens.use(ref) : value.toString();
    return " class=\""
        + className("&{color:" + css + "}")
        + '"'
        + (surroundings.withIds() ? " data-colour=\"" + Html.escape(stored) + '"' : "");
  }

  private String className(String css) {
    String name =
        memo.classes()
            .computeIfAbsent(
                css,
                text -> {
                  String fresh = "g" + hash(text);
                  memo.rules().put(fresh, text.replace("&", "." + fresh) + "\n");
                  return fresh;
                });
    classes.add(name);
    return name;
  }

  private static int level(Node node) {
    return node.content().get("level") instanceof FieldValue.Level level ? level.level() : 2;
  }

  private String href(Node node) {
    if (!(node.content().get("link") instanceof FieldValue.Link link)) {
      return "";
    }
    return href(link);
  }

  private String href(FieldValue.Link link) {
    String href = href(link.target());
    return href.isEmpty() || !link.newTab() ? href : href + " target=\"_blank\" rel=\"noopener\"";
  }

  /** What leads nowhere is no link. */
  private String href(String target) {
    String address = target.isEmpty() ? "" : surroundings.linkUrl().apply(target);
    return address.isEmpty() ? "" : " href=\"" + Html.escape(address) + "\"";
  }

  private void picture(Node node) {
    if (!(node.content().get("picture") instanceof FieldValue.Picture picture)) {
      if (surroundings.withIds()) {
        open("div", node, Optional.empty(), "");
        html.append("</div>");
      }
      return;
    }
    boolean unset = surroundings.facts().standsIn(picture);
    if (unset && !picture.standIn() && !surroundings.withIds()) {
      return;
    }
    Pictured known = pictured(picture.pictureId());
    open(
        "img",
        node,
        Optional.empty(),
        " src=\""
            + Html.escape(surroundings.base() + known.url())
            + "\" alt=\""
            + Html.escape(picture.says(known.alt()))
            + "\""
            + (surroundings.withIds() ? (unset ? " data-stand-in" : "") : chosen(known, node)));
  }

  /** A picture that is used, as it is drawn. */
  private Pictured pictured(String id) {
    String drawn = surroundings.facts().picture(id);
    pictures.add(drawn);
    return surroundings.pictures().apply(drawn);
  }

  /** What a browser needs to know to fetch the file that fits, and to keep its place free. */
  private String chosen(Pictured known, Node node) {
    String own =
        known.width() > 0
            ? " width=\"" + known.width() + "\" height=\"" + known.height() + "\""
            : "";
    return known.sizes().isEmpty()
        ? own
        : own
            + " srcset=\""
            + known.sizes().stream()
                .map(
                    size ->
                        Html.escape(surroundings.base() + size.url()) + " " + size.width() + "w")
                .collect(Collectors.joining(", "))
            + "\" sizes=\""
            + sizes.of(node)
            + "\"";
  }

  /** Marks what nobody shall take for the real thing, where a page is worked on. */
  private String standIn(FieldValue value) {
    return value.standIn() && surroundings.withIds() ? " data-stand-in" : "";
  }

  private void open(String tag, Node node, Optional<Declarations.Track> track, String attributes) {
    html.append('<').append(tag).append(" class=\"").append(node.kind().word());
    String css = declarations.rules(node, track);
    if (!css.isEmpty()) {
      html.append(' ').append(className(css));
    }
    node.scheme()
        .ifPresent(
            scheme -> {
              schemes.add(scheme);
              html.append(' ').append(tokens.className(scheme));
            });
    html.append('"');
    if (surroundings.withIds()) {
      html.append(" data-node=\"").append(node.id()).append('"');
    } else if (node == straight) {
      String address = surroundings.facts().sections().get(node.id().outer().value());
      if (address != null) {
        html.append(" id=\"").append(Html.escape(address)).append('"');
      }
    }
    html.append(attributes).append('>');
  }

  /** Notes the font files that a text is set in, at every device and in every state. */
  private void collectFaces(Node node, FieldValue.Words words) {
    boolean bold = words.marks().stream().anyMatch(mark -> mark.type() == Mark.Type.BOLD);
    for (Device device : Device.values()) {
      for (State state : Catalogue.states(node.kind())) {
        String stack = cascade.won(node, StyleProperty.FONT_FAMILY, device, state).css();
        String weight = cascade.won(node, StyleProperty.FONT_WEIGHT, device, state).css();
        if (setIn.add(stack + '|' + weight)) {
          collectFace(stack, weight);
        }
        if (bold && setIn.add(stack + '|' + BOLD_WEIGHT)) {
          collectFace(stack, BOLD_WEIGHT);
        }
      }
    }
  }

  private void collectFace(String stack, String weight) {
    int wanted = weight.matches("\\d+") ? Integer.parseInt(weight) : NORMAL_WEIGHT;
    FamilyNames.of(stack).stream()
        .map(family -> FontFace.matching(surroundings.faces(), family, wanted))
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
