package goodbones.server.workbench;

import goodbones.document.Field;
import goodbones.document.FieldValue;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.exchange.MarkedHtml;
import goodbones.render.PlainHtml;
import goodbones.server.documents.DocumentJson;
import goodbones.server.drawing.Wording;
import goodbones.server.workbench.Views.ClipView;
import goodbones.structure.Clip;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What is put on the clipboard when things are copied. */
@Component
class Clips {

  ClipView of(Desk desk, List<NodeId> ids) {
    Clip clip = Clip.of(desk.bench(), ids);
    List<Node> shown = ids.stream().flatMap(id -> desk.shown().root().find(id).stream()).toList();
    return new ClipView(
        DocumentJson.write(clip), PlainHtml.of(desk.shown(), desk.look(), shown), text(shown));
  }

  private static String text(List<Node> nodes) {
    return nodes.stream()
        .flatMap(node -> node.all().stream())
        .map(node -> Wording.text(node.content().get("words")))
        .filter(words -> !words.isBlank())
        .collect(Collectors.joining("\n"));
  }

  /** What is left of HTML when only words and their marks are kept. */
  static String cleaned(String html) {
    FieldValue.Words words = MarkedHtml.words(html);
    List<Mark> harmless =
        words.marks().stream()
            .filter(mark -> mark.type() != Mark.Type.LINK || Field.isLink(mark.value()))
            .toList();
    return PlainHtml.inside(new FieldValue.Words(words.text(), harmless));
  }
}
