package goodbones.server.library;

import goodbones.document.Node;
import goodbones.document.References;
import goodbones.document.Uses;
import goodbones.library.Placements;
import java.util.Collection;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** What documents refer to, besides the pieces that are placed in them. */
public enum Referred {
  TOKEN,
  STYLE,
  SCHEME,
  /** Shown, or linked to. */
  PICTURE,
  /** A picture or another file that a link leads to. */
  FILE,
  /** A revision that something in a revision is bound to, as {@code piece@number}. */
  BOUND;

  /**
   * @throws IllegalArgumentException if it is none of the words {@code token}, {@code style},
   *     {@code scheme}, {@code picture}, {@code file}
   */
  public static Referred ofWord(String word) {
    for (Referred kind : values()) {
      if (kind != BOUND && kind.word().equals(word)) {
        return kind;
      }
    }
    throw new IllegalArgumentException("“" + word + "” is nothing that documents refer to");
  }

  /**
   * What a document refers to in its nodes and local changes.
   *
   * @return ids; for {@link #BOUND} those of the revisions that its placements are settled on
   */
  Collection<String> in(Node root) {
    return switch (this) {
      case TOKEN -> References.of(root).tokens();
      case STYLE -> References.of(root).namedStyles();
      case SCHEME -> References.of(root).schemes();
      case PICTURE -> both(Uses.of(root));
      case FILE -> Uses.of(root).files();
      case BOUND ->
          Placements.of(root).values().stream()
              .map(one -> BoundIn.name(one.pieceId(), one.bound()))
              .collect(Collectors.toCollection(TreeSet::new));
    };
  }

  private static Collection<String> both(Uses uses) {
    Collection<String> ids = new TreeSet<>(uses.pictures());
    ids.addAll(uses.files());
    return ids;
  }

  /** The innermost of the nodes, in reading order, in which something is first referred to. */
  public Optional<Node> first(Node root, String id) {
    return root.innermost(node -> in(node).contains(id));
  }

  String word() {
    return name().toLowerCase();
  }
}
