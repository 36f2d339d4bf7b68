package goodbones.server.workbench;

import goodbones.server.workbench.Views.FitView;
import java.util.List;

/**
 * What came of an edit besides the document.
 *
 * @param merged what others changed meanwhile, in words
 * @param made the nodes that it put down
 * @param unfit what could not come along with what was put down
 * @param note what came of it and is not seen at once; empty if nothing
 */
record Outcome(List<String> merged, List<String> made, List<FitView> unfit, String note) {
  static final Outcome NONE = new Outcome(List.of(), List.of(), List.of(), "");
}
