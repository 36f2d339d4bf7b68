package goodbones.server.workbench;

import static goodbones.server.workbench.EditReader.need;

import goodbones.document.Columns;
import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.exchange.PastedHtml;
import goodbones.server.documents.DocumentJson;
import goodbones.server.problems.BadInput;
import goodbones.server.workbench.EditReader.Read;
import goodbones.structure.Bench;
import goodbones.structure.Clip;
import goodbones.structure.Fresh;
import goodbones.structure.Landing;
import goodbones.structure.Mirror;
import goodbones.structure.RowEdits;
import goodbones.structure.Settings;
import goodbones.structure.Sieve;
import goodbones.structure.Wrapping;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Reads what hands do with a page: add, move, put beside, wrap, mirror, share columns. */
final class Hands {
  private static final int CLIP_LIMIT = 4_000_000;
  private final Bench bench;
  private final Sieve.Known known;

  Hands(Desk desk, Sieve.Known known) {
    this.bench = desk.bench();
    this.known = known;
  }

  /** The nodes that an edit is for, the one that it names if it names no others. */
  static List<NodeId> ids(EditRequest request) {
    List<String> several = request.nodes();
    return several == null || several.isEmpty()
        ? List.of(NodeId.of(request.node()))
        : several.stream().map(NodeId::of).toList();
  }

  private String titles(EditRequest request) {
    List<NodeId> ids = ids(request);
    return ids.size() == 1
        ? bench.shown().root().find(ids.get(0)).map(Wording::title).orElse("it")
        : ids.size() + " things";
  }

  private static Optional<NodeId> before(EditRequest request) {
    return Optional.ofNullable(request.before()).filter(id -> !id.isEmpty()).map(NodeId::of);
  }

  Read read(EditRequest request, Node node) {
    NodeId id = node.id();
    Landing landing = new Landing(bench);
    String title = Wording.title(node);
    return switch (request.type()) {
      case ADD -> {
        Node fresh = fresh(request);
        yield new Read(
            landing.into(id, before(request), new Landing.Brought(List.of(fresh))),
            "add " + fresh.kind().word());
      }
      case ADD_BESIDE -> {
        Node fresh = fresh(request);
        yield new Read(
            landing.beside(id, need(request.on(), "on"), new Landing.Brought(List.of(fresh))),
            "add " + fresh.kind().word() + " beside " + title);
      }
      case PLACE -> place(request, id, landing);
      case MOVE ->
          new Read(
              landing.into(id, before(request), new Landing.Carried(ids(request))),
              "move " + titles(request));
      case MOVE_BESIDE ->
          new Read(
              landing.beside(id, need(request.on(), "on"), new Landing.Carried(ids(request))),
              "move " + titles(request) + " beside " + title);
      case REMOVE -> new Read(landing.remove(ids(request)), "remove " + titles(request));
      case DUPLICATE -> new Read(landing.duplicate(ids(request)), "duplicate " + titles(request));
      case UNLINK -> new Read(landing.unlink(id), "unlink " + title);
      case PASTE -> paste(request, node, landing);
      case PASTE_HTML -> pasteHtml(request, node, landing);
      case WRAP -> {
        Kind kind = Kind.ofWord(need(request.kind(), "kind"));
        yield new Read(
            new Wrapping(bench).wrap(ids(request), kind),
            "put a " + kind.word() + " around " + titles(request));
      }
      case UNWRAP ->
          new Read(new Wrapping(bench).unwrap(id), "take the " + node.kind().word() + " away");
      case MIRROR -> new Read(new Mirror(bench).mirror(id), "mirror " + title);
      case COLUMNS ->
          new Read(
              new RowEdits(bench).share(id, device(request), need(request.value(), "value")),
              "set column widths");
      case LAYOUT ->
          new Read(
              new RowEdits(bench)
                  .layOut(
                      id,
                      Columns.parse(need(request.value(), "value")),
                      need(request.count(), "count")),
              "lay the row out anew");
      case RESIZE ->
          new Read(
              new RowEdits(bench)
                  .resize(
                      id,
                      device(request),
                      need(request.width(), "width"),
                      need(request.on(), "on")),
              "resize columns");
      case SHARE ->
          new Read(
              new RowEdits(bench).own(id, device(request), need(request.value(), "value").strip()),
              "set the column’s width");
      case GATHER -> gather(request, node);
      case CARRY -> {
        StyleKey key = key(request);
        Settings settings = new Settings(bench);
        boolean down = need(request.on(), "on");
        yield new Read(
            down ? settings.down(id, key) : settings.up(id, key),
            "carry " + key.property().label().toLowerCase() + (down ? " down" : " up"));
      }
      default -> throw new BadInput("type", "“" + request.type() + "” is no edit of a page");
    };
  }

  private static Device device(EditRequest request) {
    return Device.ofWord(need(request.device(), "device"));
  }

  private static StyleKey key(EditRequest request) {
    return new StyleKey(
        StyleProperty.ofKey(need(request.property(), "property")),
        device(request),
        request.state() == null ? State.NORMAL : State.ofWord(request.state()));
  }

  private Node fresh(EditRequest request) {
    Kind kind = Kind.ofWord(need(request.kind(), "kind"));
    Fresh fresh = new Fresh(bench.ids());
    Integer count = request.count();
    if (kind == Kind.ROW && count != null) {
      if (count < 1 || count > Columns.TWELFTHS) {
        throw new BadInput("count", "A row has 1 to 12 columns, not " + count);
      }
      String value = request.value();
      return fresh.row(
          value == null || value.isEmpty() ? Columns.EQUAL : Columns.parse(value), count);
    }
    return fresh.of(kind);
  }

  private Read place(EditRequest request, NodeId parent, Landing landing) {
    String piece = need(request.value(), "value");
    if (!known.piece(piece)) {
      throw new BadInput(
          "value", "This site shows no revision of the piece “" + piece + "”; choose another one");
    }
    Node placement = Node.placing(bench.ids().get(), "", piece);
    return new Read(
        landing.into(parent, before(request), new Landing.Brought(List.of(placement))),
        "place a piece");
  }

  private Read paste(EditRequest request, Node node, Landing landing) {
    String data = need(request.value(), "value");
    if (data.length() > CLIP_LIMIT) {
      throw new BadInput("value", "What was copied is too large; copy less of it at a time");
    }
    Clip clip;
    try {
      clip = DocumentJson.read(data, Clip.class);
    } catch (IllegalStateException unreadable) {
      throw new BadInput("value", "What was copied cannot be read here; copy it again");
    }
    List<Node> nodes = clip.at(bench, known);
    if (nodes.isEmpty()) {
      throw Refused.at(node, "Nothing of what was copied can stand here; it may be another site’s");
    }
    return new Read(
        landing.near(node.id(), before(request), new Landing.Brought(nodes)),
        "paste " + Wording.titles(nodes));
  }

  private Read pasteHtml(EditRequest request, Node node, Landing landing) {
    Sieve sieve = new Sieve(bench.finishes(), known);
    List<Node> nodes =
        PastedHtml.nodes(need(request.value(), "value"), bench.ids()).stream()
            .flatMap(read -> sieve.sifted(read).stream())
            .toList();
    if (nodes.isEmpty()) {
      throw Refused.at(node, "There are no words in what was copied");
    }
    return new Read(
        landing.near(node.id(), before(request), new Landing.Brought(nodes)),
        "paste " + Wording.titles(nodes));
  }

  private Read gather(EditRequest request, Node node) {
    String property = need(request.property(), "property");
    List<Settings.Gathered> found =
        new Settings(bench)
            .gatherable(node.id()).stream()
                .filter(gathered -> gathered.property().key().equals(property))
                .toList();
    if (found.isEmpty()) {
      throw Refused.at(
          node,
          "What is in it does not share this setting any more, or gathering it would change how it"
              + " looks");
    }
    return new Read(
        new Edit.Group(found.stream().map(Settings.Gathered::edit).toList()),
        "gather "
            + found.stream()
                .map(gathered -> gathered.property().label().toLowerCase())
                .collect(Collectors.joining(", ")));
  }
}
