package goodbones.server.workbench;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Field;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Refused;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.library.Origin;
import goodbones.library.Shown;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.BadInput;
import goodbones.style.SiteFinishes;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Reads what the interface sends into an edit of the core, aimed at what is shown. */
final class EditReader {
  /** An edit and what to call it. */
  record Read(Edit edit, String label) {}

  private final Shown shown;
  private final SiteFinishes finishes;
  private final Pictures pictures;

  EditReader(Shown shown, SiteFinishes finishes, Pictures pictures) {
    this.shown = shown;
    this.finishes = finishes;
    this.pictures = pictures;
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
      case STYLE -> style(request, node);
      case HIDE -> {
        Device device = Device.ofWord(need(request.device(), "device"));
        Set<Device> hidden = EnumSet.noneOf(Device.class);
        hidden.addAll(node.hiddenOn());
        boolean on = need(request.on(), "on");
        if (on) {
          hidden.add(device);
        } else {
          hidden.remove(device);
        }
        yield new Read(
            new Edit.SetVisibility(id, hidden),
            (on ? "hide " : "show ") + title + " on " + device.word());
      }
      case RENAME ->
          new Read(new Edit.Rename(id, need(request.value(), "value")), "rename " + title);
      case ADD -> {
        Kind kind = Kind.ofWord(need(request.kind(), "kind"));
        yield new Read(
            new Edit.Insert(id, need(request.index(), "index"), fresh(kind)), "add " + kind.word());
      }
      case REMOVE -> new Read(new Edit.Remove(id), "remove " + title);
      case MOVE ->
          new Read(
              new Edit.Move(
                  id, NodeId.of(need(request.parent(), "parent")), need(request.index(), "index")),
              "move " + title);
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
    };
  }

  private Read field(EditRequest request, Node node) {
    String key = need(request.field(), "field");
    Field field =
        Catalogue.field(node.kind(), key)
            .orElseThrow(
                () -> Refused.at(node, "A " + node.kind().word() + " has no field “" + key + "”"));
    String value = need(request.value(), "value");
    Optional<FieldValue> content = content(field, value, request.alt());
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

  private Optional<FieldValue> content(Field field, String value, @Nullable String alt) {
    return switch (field.type()) {
      case WORDS -> Optional.of(new FieldValue.Words(value.replace("\r\n", "\n")));
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

  private static int level(String value) {
    try {
      return Integer.parseInt(value.strip());
    } catch (NumberFormatException e) {
      throw new BadInput("value", "A heading's level is a number from 1 to 6, not “" + value + "”");
    }
  }

  private Read style(EditRequest request, Node node) {
    StyleProperty property = StyleProperty.ofKey(need(request.property(), "property"));
    Device device = Device.ofWord(need(request.device(), "device"));
    String typed = need(request.value(), "value").strip();
    Optional<StyleValue> value =
        typed.isEmpty() ? Optional.empty() : Optional.of(finishes.read(typed));
    value.ifPresent(v -> finishes.require(property, v));
    StyleKey key = new StyleKey(property, device, State.NORMAL);
    Edit edit = new Edit.SetStyle(node.id(), key, value);
    return new Read(
        stacksUnlessSaid(node, key) ? new Edit.Group(List.of(edit, stacked(node))) : edit,
        (value.isEmpty() ? "clear " : "set ")
            + Wording.label(node.kind(), Aspect.style(key)).toLowerCase());
  }

  /** Column widths set for a wide device would reach the phone, where columns are to stack. */
  private static boolean stacksUnlessSaid(Node node, StyleKey key) {
    return key.property() == StyleProperty.COLUMNS
        && key.device() != Device.PHONE
        && !node.styles().containsKey(StyleKey.of(StyleProperty.COLUMNS, Device.PHONE));
  }

  private static Edit stacked(Node row) {
    return new Edit.SetStyle(
        row.id(),
        StyleKey.of(StyleProperty.COLUMNS, Device.PHONE),
        Optional.of(StyleValue.literal("12")));
  }

  private static Node fresh(Kind kind) {
    Node node = Node.of(NodeId.of(UUID.randomUUID().toString()), kind, "");
    return switch (kind) {
      case HEADING ->
          node.withContent("words", new FieldValue.Words("A new heading"))
              .withContent("level", new FieldValue.Level(2));
      case TEXT -> node.withContent("words", new FieldValue.Words("A new line of text."));
      case LABEL -> node.withContent("words", new FieldValue.Words("Small label"));
      case BUTTON ->
          node.withContent("words", new FieldValue.Words("Button"))
              .withContent("link", new FieldValue.Link("/"));
      case ROW -> node.withChildren(List.of(fresh(Kind.COLUMN), fresh(Kind.COLUMN)));
      default -> node;
    };
  }

  private static <T> T need(@Nullable T value, String name) {
    if (value == null) {
      throw new BadInput(name, "The edit says no “" + name + "”");
    }
    return value;
  }
}
