package goodbones.propagation;

import goodbones.document.Node;
import goodbones.library.Library;
import goodbones.library.Revision;
import java.util.List;
import java.util.stream.IntStream;

/** The revisions between two of a piece, both included. */
final class Way {
  private Way() {}

  /**
   * @return in order, backwards if the second is the older one
   */
  static List<Node> between(Library library, String pieceId, int from, int to) {
    int step = from <= to ? 1 : -1;
    return IntStream.iterate(from, n -> n != to + step, n -> n + step)
        .mapToObj(number -> library.revision(pieceId, number))
        .map(Revision::root)
        .toList();
  }
}
