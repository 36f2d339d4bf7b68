package goodbones.structure;

import goodbones.document.Node;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToIntBiFunction;

/** Two siblings of two lists that go together. */
record Match(Node here, Node there) {
  /**
   * The pairs that are most alike together, in the order of both lists: the heaviest common
   * subsequence.
   *
   * @param score how alike two are; 0 where they do not go together
   */
  static List<Match> of(List<Node> here, List<Node> there, ToIntBiFunction<Node, Node> score) {
    int[][] best = new int[here.size() + 1][there.size() + 1];
    int[][] scores = new int[here.size()][there.size()];
    for (int i = here.size() - 1; i >= 0; i--) {
      for (int j = there.size() - 1; j >= 0; j--) {
        scores[i][j] = score.applyAsInt(here.get(i), there.get(j));
        int with = scores[i][j] == 0 ? 0 : scores[i][j] + best[i + 1][j + 1];
        best[i][j] = Math.max(with, Math.max(best[i + 1][j], best[i][j + 1]));
      }
    }
    List<Match> matches = new ArrayList<>();
    int i = 0;
    int j = 0;
    while (i < here.size() && j < there.size()) {
      if (scores[i][j] > 0 && best[i][j] == scores[i][j] + best[i + 1][j + 1]) {
        matches.add(new Match(here.get(i++), there.get(j++)));
      } else if (best[i][j] == best[i + 1][j]) {
        i++;
      } else {
        j++;
      }
    }
    return matches;
  }
}
