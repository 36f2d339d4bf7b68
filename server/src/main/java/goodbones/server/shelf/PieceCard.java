package goodbones.server.shelf;

import goodbones.server.library.Reach;
import java.util.List;

/**
 * A piece as the library lists it.
 *
 * @param root the kind of its outermost node, which says where it can stand
 * @param behind names of the sites that show an older revision
 */
record PieceCard(
    String id,
    String name,
    String purpose,
    String root,
    int current,
    boolean draft,
    Reach reach,
    List<String> behind) {}
