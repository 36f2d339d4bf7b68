package goodbones.render;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.library.Shown;
import goodbones.style.SiteFinishes;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Nodes as plain semantic HTML, for other programs: no classes, no styles. */
public final class PlainHtml {
  private static final Pattern CLASS = Pattern.compile(" class=\"[^\"]*\"");

  private PlainHtml() {}

  /** Some nodes of a shown page, one after the other. */
  public static String of(Shown page, SiteFinishes finishes, List<Node> nodes) {
    List<Node> columns =
        nodes.stream()
            .map(node -> node.kind() == Kind.PAGE ? node.children() : List.of(node))
            .flatMap(List::stream)
            .toList();
    Shown some = page.withRoot(Node.of(NodeId.of("clip"), Kind.PAGE, "").withChildren(columns));
    Surroundings plain =
        new Surroundings(
            id -> "/api/pictures/" + id + "/file", UnaryOperator.identity(), List.of(), "", false);
    String html =
        Renderer.render(some, finishes, plain).blocks().stream()
            .map(Rendered.Block::html)
            .collect(Collectors.joining("\n"));
    return CLASS.matcher(html).replaceAll("");
  }

  /** Words with their marks, as they stand inside an element; colours carry what is stored. */
  public static String inside(FieldValue.Words words) {
    return Marked.html(
        words,
        UnaryOperator.identity(),
        colour -> " data-colour=\"" + Html.escape(colour) + "\"",
        Marked::kept);
  }
}
