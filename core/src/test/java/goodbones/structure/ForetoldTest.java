package goodbones.structure;

import static goodbones.testing.Benches.after;
import static goodbones.testing.Benches.bench;
import static goodbones.testing.Built.node;
import static goodbones.testing.Built.text;
import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Catalogue;
import goodbones.document.Composite;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import goodbones.document.ValueType;
import goodbones.structure.Landing.Brought;
import goodbones.structure.Landing.Carried;
import goodbones.style.Fluid;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * What the interface shows before the server answers is what the core does: every move, copy,
 * removal and new thing on one page, and what comes of it, is kept in the web module, whose tests
 * hold its own drawing against it. Run with {@code -Dforetold.write=true} to bring it up to the
 * core.
 */
class ForetoldTest {
  private static final Path KEPT = Path.of("../web/src/testing/foretold.json");

  /** The page of the interface's tests. */
  private static final Node PAGE =
      node(
          "page",
          Kind.PAGE,
          node(
              "map",
              Kind.SECTION,
              node("h", Kind.HEADING),
              node(
                  "row",
                  Kind.ROW,
                  node("left", Kind.COLUMN, text("t", "Words"), text("u", "More")),
                  node("right", Kind.COLUMN, node("p", Kind.PICTURE)))),
          node("notice", Kind.SECTION, text("n", "Notice")));

  private static final List<Kind> KINDS =
      List.of(Kind.TEXT, Kind.ROW, Kind.BOX, Kind.COLUMN, Kind.SECTION);

  private static final List<String> SHADOWS =
      List.of(
          "none",
          "1px 2px #203040",
          "0px 2px 4px 1px rgb(0 0 0 / 12%)",
          "inset 0 -1rem 6px oklch(60% 0.1 200)",
          "0px 2px 4px 0px rgb(0 0 0 / 12%), 0px 12px 32px -8px oklch(60% 0.1 200)");

  private static final List<String> GRADIENTS =
      List.of(
          "linear-gradient(#203040, #ffffff)",
          "linear-gradient(160deg, #1f6f63 0%, #22282b 100%)",
          "linear-gradient(-12.5deg, rgb(0 0 0 / 20%) 10%, #fff, #203040 90%)");

  private final List<String> lines = new ArrayList<>();

  @Test
  void theInterfaceForetellsWhatTheCoreDoes() throws IOException {
    deeds();
    String deeds = taken();
    nearest();
    String nearest = taken();
    may();
    String may = taken();
    fluid();
    String fluid = taken();
    parts(ValueType.SHADOW, SHADOWS);
    String shadows = taken();
    parts(ValueType.GRADIENT, GRADIENTS);
    String gradients = taken();
    divided();
    String json =
        "{\n\"deeds\": [\n%s\n],\n\"nearest\": [\n%s\n],\n\"may\": [\n%s\n],\n\"fluid\": [\n%s\n],\n\"shadows\": [\n%s\n],\n\"gradients\": [\n%s\n],\n\"divided\": [\n%s\n]\n}\n"
            .formatted(deeds, nearest, may, fluid, shadows, gradients, taken());
    if (Boolean.getBoolean("foretold.write")) {
      Files.writeString(KEPT, json);
    }
    assertThat(Files.readString(KEPT))
        .as("run mvn -pl core test -Dtest=ForetoldTest -Dforetold.write=true")
        .isEqualTo(json);
  }

  private String taken() {
    String all = String.join(",\n", lines);
    lines.clear();
    return all;
  }

  private void deeds() {
    List<NodeId> all = PAGE.all().stream().map(Node::id).toList();
    for (NodeId id : all.subList(1, all.size())) {
      deed("REMOVE", "\"nodes\":[\"" + id + "\"]", l -> l.remove(List.of(id)));
      deed("DUPLICATE", "\"nodes\":[\"" + id + "\"]", l -> l.duplicate(List.of(id)));
      for (NodeId target : all) {
        Carried carried = new Carried(List.of(id));
        for (boolean right : List.of(false, true)) {
          String named = "\"node\":\"%s\",\"nodes\":[\"%s\"],\"after\":%s";
          deed(
              "MOVE_BESIDE",
              named.formatted(target, id, right),
              l -> l.beside(target, right, carried));
        }
        for (Optional<NodeId> before : gaps(target)) {
          deed(
              "MOVE",
              "\"node\":\"%s\",\"nodes\":[\"%s\"],\"before\":\"%s\""
                  .formatted(target, id, before.map(NodeId::value).orElse("")),
              l -> l.into(target, before, carried));
        }
      }
    }
    for (NodeId target : all) {
      for (Kind kind : KINDS) {
        Brought brought = new Brought(List.of(node("fresh", kind)));
        String word = kind.word();
        for (boolean right : List.of(false, true)) {
          deed(
              "ADD_BESIDE",
              "\"node\":\"%s\",\"kind\":\"%s\",\"after\":%s".formatted(target, word, right),
              l -> l.beside(target, right, brought));
        }
        for (Optional<NodeId> before : gaps(target)) {
          deed(
              "ADD",
              "\"node\":\"%s\",\"kind\":\"%s\",\"before\":\"%s\""
                  .formatted(target, word, before.map(NodeId::value).orElse("")),
              l -> l.into(target, before, brought));
        }
      }
    }
  }

  private static List<Optional<NodeId>> gaps(NodeId parent) {
    List<Optional<NodeId>> gaps = new ArrayList<>();
    PAGE.find(parent).orElseThrow().children().forEach(c -> gaps.add(Optional.of(c.id())));
    gaps.add(Optional.empty());
    return gaps;
  }

  private interface Deed {
    Edit of(Landing landing);
  }

  private void deed(String type, String parts, Deed deed) {
    String shown =
        orRefused(
            () ->
                after(PAGE, deed.of(new Landing(bench(PAGE)))).children().stream()
                    .map(ForetoldTest::shape)
                    .collect(Collectors.joining(" ")));
    lines.add("[{\"type\":\"%s\",%s},\"%s\"]".formatted(type, parts, shown));
  }

  private static String orRefused(Supplier<String> done) {
    try {
      return done.get();
    } catch (Refused refused) {
      return "";
    }
  }

  /** New things are told by their kind: they have no id yet that the interface knows. */
  private static String shape(Node node) {
    String own = PAGE.find(node.id()).isPresent() ? node.id().value() : "new " + node.kind().word();
    return node.children().isEmpty()
        ? own
        : own
            + node.children().stream()
                .map(ForetoldTest::shape)
                .collect(Collectors.joining(" ", "(", ")"));
  }

  private void nearest() {
    for (Node hand : PAGE.all()) {
      for (Kind kind : KINDS) {
        String shown =
            orRefused(
                () ->
                    after(
                            PAGE,
                            new Landing(bench(PAGE))
                                .near(
                                    hand.id(),
                                    Optional.empty(),
                                    new Brought(List.of(node("fresh", kind)))))
                        .children()
                        .stream()
                        .map(ForetoldTest::shape)
                        .collect(Collectors.joining(" ")));
        lines.add("[\"%s\",\"%s\",\"%s\"]".formatted(hand.id(), kind.word(), shown));
      }
    }
  }

  private void may() {
    for (Kind kind : Kind.values()) {
      String children =
          Catalogue.children(kind).stream()
              .filter(child -> !child.isMember())
              .map(child -> "\"" + child.word() + "\"")
              .collect(Collectors.joining(","));
      lines.add("[\"%s\",[%s]]".formatted(kind.word(), children));
    }
  }

  /** Values of several parts, as the core takes them apart. */
  private void parts(ValueType type, List<String> values) {
    for (String css : values) {
      String parts =
          Composite.parts(type, css).orElseThrow().entrySet().stream()
              .map(part -> "\"" + part.getKey() + "\":\"" + part.getValue() + "\"")
              .collect(Collectors.joining(","));
      lines.add("[\"%s\",{%s}]".formatted(css, parts));
    }
  }

  /** The line between two columns, drawn to everywhere between and past its ends. */
  private void divided() {
    for (RowEdits.Unit unit : RowEdits.Unit.values()) {
      for (double both : new double[] {0.8, 1, 1.9, 6, 7.5, 12, 33.34, 100}) {
        for (int step = -1; step <= 9; step++) {
          double wanted = both * step / 8;
          for (boolean free : List.of(false, true)) {
            lines.add(
                "[\"%s\",%s,%s,%s,%s]"
                    .formatted(unit.name(), both, wanted, free, unit.divided(both, wanted, free)));
          }
        }
      }
    }
  }

  private void fluid() {
    double[][] sizes = {
      {16, 20, 390, 1280},
      {32, 72, 390, 1280},
      {17.5, 18.25, 320, 1920},
      {1, 400, 640, 641},
      {12, 13, 333, 1111}
    };
    for (double[] s : sizes) {
      lines.add(
          "[%s,%s,%s,%s,\"%s\"]"
              .formatted(s[0], s[1], s[2], s[3], Fluid.css(s[0], s[1], s[2], s[3])));
    }
  }
}
