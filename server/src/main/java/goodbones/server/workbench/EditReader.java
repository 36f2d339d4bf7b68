package goodbones.server.workbench;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Field;
import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.Look;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Refused;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.exchange.MarkedHtml;
import goodbones.library.Origin;
import goodbones.library.Shown;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.BadInput;
import goodbones.structure.RowEdits;
import goodbones.structure.Sieve;
import goodbones.style.Candidate;
import goodbones.style.Cascade;
import goodbones.style.Layer;
import goodbones.style.NamedStyle;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Reads what the interface sends into an edit of the core, aimed at what is shown. */
final class EditReader {
  /**
   * An edit and what to call it.
   *
   * @param made a named style that the edit needs and that is to be kept first
   */
  record Read(Edit edit, String label, Optional<NamedStyle> made) {
    Read(Edit edit, String label) {
      this(edit, label, Optional.empty());
    }
  }

  private final Desk desk;
  private final Shown shown;
  private final SiteFinishes finishes;
  private final Pictures pictures;
  private final Hands hands;

  EditReader(Desk desk, Pictures pictures, Sieve.Known known) {
    this.desk = desk;
    this.shown = desk.shown();
    this.finishes = desk.look();
    this.pictures = pictures;
    this.hands = new Hands(desk, known);
  }

  /**
   * @throws BadInput if a part is missing
   * @throws Refused if the node is not there
   * @throws goodbones.style.TokenProblem if a value names an unknown or unfitting token
   */
  Read read(EditRequest request) {
    NodeId id = NodeId.of(request.node());
    Node node = shown.root().find(id).orElseThrow(() -> Refused.gone(id));
    String title = Wording.title(node);
    return switch (request.type()) {
      case FIELD -> field(request, node);
      case MARKED -> marked(request, node);
      case STYLE -> style(request, node);
      case SETTINGS -> settings(need(request.settings(), "settings"));
      case BACK -> back(request, node);
      case NAMED_STYLES -> {
        List<String> ids = need(request.ids(), "ids");
        ids.forEach(this::requireNamedStyle);
        yield new Read(new Edit.SetNamedStyles(id, ids), "set the named styles of " + title);
      }
      case MAKE_STYLE -> made(need(request.value(), "value").strip(), node);
      case LAY_LOOK -> layLook(request);
      case SCHEME -> scheme(request, node);
      case HIDE -> hide(request, node);
      case RENAME ->
          new Read(new Edit.Rename(id, need(request.value(), "value")), "rename " + title);
      case SLOT -> {
        boolean on = need(request.on(), "on");
        String field = need(request.field(), "field");
        yield new Read(
            new Edit.SetSlot(id, field, on),
            (on ? "make a slot of " : "fix ") + field + " of " + title);
      }
      case RESET -> {
        Aspect aspect = Aspect.parse(need(request.aspect(), "aspect"));
        Origin origin =
            shown
                .origin(id)
                .orElseThrow(
                    () ->
                        Refused.at(node, "It comes from no piece; there is nothing to go back to"));
        yield new Read(
            new Edit.SetLocal(
                origin.placement(), new LocalKey(id.inner(), aspect), Optional.empty()),
            "back to the library’s " + Wording.label(node.kind(), aspect).toLowerCase());
      }
      case HOLD -> {
        Origin origin =
            shown.origin(id).orElseThrow(() -> Refused.at(node, "Only a placement can be held"));
        boolean on = need(request.on(), "on");
        yield new Read(
            new Edit.SetPin(
                origin.placement(),
                on ? Optional.of(new Pin(origin.revision(), Pin.Reason.HELD)) : Optional.empty()),
            on ? "hold at revision " + origin.revision() : "let it follow");
      }
      default -> hands.read(request, node);
    };
  }

  private Read layLook(EditRequest request) {
    List<String> ids = need(request.ids(), "ids");
    ids.forEach(this::requireNamedStyle);
    TreeMap<StyleKey, StyleValue> styles = new TreeMap<>();
    need(request.look(), "look")
        .forEach(
            (key, value) -> {
              StyleKey at = StyleKey.parse(key);
              StyleValue read = finishes.read(value);
              finishes.require(at.property(), read);
              styles.put(at, read);
            });
    Look look = new Look(styles, ids);
    List<Node> nodes = nodes(request);
    return new Read(group(nodes, look::on), "lay a look on " + Wording.titles(nodes));
  }

  private Read scheme(EditRequest request, Node node) {
    String scheme = need(request.value(), "value");
    if (!scheme.isEmpty() && finishes.house().scheme(scheme).isEmpty()) {
      throw new BadInput("value", "There is no colour scheme “" + scheme + "” here");
    }
    return new Read(
        new Edit.SetScheme(node.id(), Optional.of(scheme).filter(s -> !s.isEmpty())),
        "set the colour scheme of " + Wording.title(node));
  }

  private Read hide(EditRequest request, Node node) {
    Device device = Device.ofWord(need(request.device(), "device"));
    boolean on = need(request.on(), "on");
    List<Node> nodes = nodes(request);
    return new Read(
        group(
            nodes,
            each -> {
              Set<Device> hidden = EnumSet.noneOf(Device.class);
              hidden.addAll(each.hiddenOn());
              if (on) {
                hidden.add(device);
              } else {
                hidden.remove(device);
              }
              return new Edit.SetVisibility(each.id(), hidden);
            }),
        (on ? "hide " : "show ") + Wording.titles(nodes) + " on " + device.word());
  }

  /** The nodes that an edit is for, the one that it names if it names no others. */
  private List<Node> nodes(EditRequest request) {
    return Hands.ids(request).stream()
        .map(id -> shown.root().find(id).orElseThrow(() -> Refused.gone(id)))
        .toList();
  }

  private static Edit group(List<Node> nodes, Function<Node, Edit> edit) {
    return nodes.size() == 1
        ? edit.apply(nodes.get(0))
        : new Edit.Group(nodes.stream().map(edit).toList());
  }

  /** Words that were edited on the canvas. */
  private Read marked(EditRequest request, Node node) {
    String key = need(request.field(), "field");
    FieldValue.Words words = MarkedHtml.words(need(request.value(), "value"));
    Field field =
        Catalogue.field(node.kind(), key)
            .orElseThrow(() -> Refused.at(node, "A " + node.kind().word() + " has no words"));
    field
        .faultOf(words)
        .ifPresent(
            fault -> {
              throw Refused.at(node, fault);
            });
    return new Read(
        new Edit.SetContent(node.id(), key, Optional.of(words)),
        "change " + field.label().toLowerCase() + " of " + node.kind().word());
  }

  private Read settings(List<Views.Setting> settings) {
    List<Edit> edits = new ArrayList<>();
    Set<String> labels = new LinkedHashSet<>();
    for (Views.Setting setting : settings) {
      NodeId id = NodeId.of(setting.node());
      Node node = shown.root().find(id).orElseThrow(() -> Refused.gone(id));
      StyleKey key =
          new StyleKey(
              StyleProperty.ofKey(setting.property()),
              Device.ofWord(setting.device()),
              State.ofWord(setting.state()));
      edits.add(setting(node, key, setting.value()));
      labels.add(Wording.label(node.kind(), Aspect.style(key)).toLowerCase());
    }
    if (edits.isEmpty()) {
      throw new BadInput("settings", "There is nothing to set");
    }
    return new Read(new Edit.Group(edits), "set " + String.join(", ", labels));
  }

  private Edit setting(Node node, StyleKey key, String text) {
    String typed = text.strip();
    Optional<StyleValue> value =
        typed.isEmpty() ? Optional.empty() : Optional.of(finishes.read(typed));
    value.ifPresent(v -> finishes.require(key.property(), v));
    Edit edit = new Edit.SetStyle(node.id(), key, value);
    Optional<Edit> stacked =
        key.property() == StyleProperty.COLUMNS
            ? RowEdits.stacked(node, key.device())
            : Optional.empty();
    return stacked.map(s -> (Edit) new Edit.Group(List.of(edit, s))).orElse(edit);
  }

  private Read field(EditRequest request, Node node) {
    String key = need(request.field(), "field");
    Field field =
        Catalogue.field(node.kind(), key)
            .orElseThrow(
                () -> Refused.at(node, "A " + node.kind().word() + " has no field “" + key + "”"));
    String value = need(request.value(), "value");
    FieldValue before = node.content().get(key);
    Optional<FieldValue> content = content(field, before, value, request.alt());
    content
        .flatMap(field::faultOf)
        .ifPresent(
            fault -> {
              throw Refused.at(node, fault);
            });
    return new Read(
        new Edit.SetContent(node.id(), key, content),
        "change " + field.label().toLowerCase() + " of " + node.kind().word());
  }

  private Optional<FieldValue> content(
      Field field, @Nullable FieldValue before, String value, @Nullable String alt) {
    return switch (field.type()) {
      case WORDS -> Optional.of(words(before, value.replace("\r\n", "\n")));
      case LINK -> Optional.of(new FieldValue.Link(value.strip()));
      case LEVEL -> Optional.of(new FieldValue.Level(level(value)));
      case PICTURE -> {
        if (value.isBlank()) {
          yield Optional.empty();
        }
        if (!pictures.exists(value)) {
          throw new BadInput(
              "value", "There is no picture “" + value + "”; choose one from the list");
        }
        yield Optional.of(new FieldValue.Picture(value, alt == null ? "" : alt));
      }
    };
  }

  private static FieldValue words(@Nullable FieldValue before, String text) {
    return before instanceof FieldValue.Words words
        ? words.retyped(text)
        : new FieldValue.Words(text);
  }

  private static int level(String value) {
    try {
      return Integer.parseInt(value.strip());
    } catch (NumberFormatException e) {
      throw new BadInput("value", "A heading's level is a number from 1 to 6, not “" + value + "”");
    }
  }

  private void requireNamedStyle(String id) {
    if (desk.namedStyles().stream().noneMatch(style -> style.id().equals(id))) {
      throw new BadInput(
          "ids",
          "That named style is not to be had here"
              + finishes
                  .namedStyle(id)
                  .map(style -> ": “" + style.name() + "” is this client’s own")
                  .orElse("")
              + "; choose one from the list");
    }
  }

  private static StyleKey key(EditRequest request) {
    return new StyleKey(
        StyleProperty.ofKey(need(request.property(), "property")),
        Device.ofWord(need(request.device(), "device")),
        request.state() == null ? State.NORMAL : State.ofWord(request.state()));
  }

  private Read style(EditRequest request, Node node) {
    StyleKey key = key(request);
    String typed = need(request.value(), "value").strip();
    List<Node> nodes = nodes(request);
    return new Read(
        group(nodes, each -> setting(each, key, typed)),
        (typed.isEmpty() ? "clear " : "set ")
            + Wording.label(node.kind(), Aspect.style(key)).toLowerCase()
            + (nodes.size() > 1 ? " of " + nodes.size() : ""));
  }

  /** Takes the value that is shown away, where the node itself gives it. */
  private Read back(EditRequest request, Node node) {
    StyleKey asked = key(request);
    Candidate won =
        new Cascade(shown.root(), shown, finishes)
            .won(node, asked.property(), asked.device(), asked.state());
    if (!Ladders.goesBack(won)) {
      throw Refused.at(
          node, "It does not set this itself; change it where the trail says it comes from");
    }
    StyleKey key = new StyleKey(asked.property(), won.device(), won.state());
    String label = "back: " + Wording.label(node.kind(), Aspect.style(key)).toLowerCase();
    if (won.source() == Layer.Source.LOCAL) {
      Origin origin = shown.origin(node.id()).orElseThrow();
      LocalKey local = new LocalKey(node.id().inner(), Aspect.style(key));
      if (origin.changed().contains(local)) {
        return new Read(new Edit.SetLocal(origin.placement(), local, Optional.empty()), label);
      }
    }
    return new Read(new Edit.SetStyle(node.id(), key, Optional.empty()), label);
  }

  /** A named style of the node's own settings, put on the node in place of them. */
  private Read made(String name, Node node) {
    if (name.isEmpty() || name.length() > Catalogue.NAME_LIMIT) {
      throw new BadInput(
          "value", "Give the style a name of 1 to " + Catalogue.NAME_LIMIT + " characters");
    }
    if (finishes.namedStyles().stream().anyMatch(s -> s.name().equalsIgnoreCase(name))) {
      throw new BadInput(
          "value", "There is a named style “" + name + "” already; give another name");
    }
    Look look = Look.of(node);
    if (look.styles().isEmpty()) {
      throw Refused.at(node, "It has no settings of its own to make a named style of");
    }
    NamedStyle style = new NamedStyle(UUID.randomUUID().toString(), name, look.styles());
    List<Edit> edits = new ArrayList<>();
    look.styles()
        .keySet()
        .forEach(key -> edits.add(new Edit.SetStyle(node.id(), key, Optional.empty())));
    List<String> ids = new ArrayList<>(node.namedStyles());
    ids.add(style.id());
    edits.add(new Edit.SetNamedStyles(node.id(), ids));
    return new Read(new Edit.Group(edits), "make the style “" + name + "”", Optional.of(style));
  }

  static <T> T need(@Nullable T value, String name) {
    if (value == null) {
      throw new BadInput(name, "The edit says no “" + name + "”");
    }
    return value;
  }
}
