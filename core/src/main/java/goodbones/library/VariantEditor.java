package goodbones.library;

import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Editor;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.document.Variant;
import java.util.Optional;
import java.util.function.Function;

/**
 * Edits a piece in one of its named variants: what is done there becomes a change of that variant.
 * For that the variant is looked at as a placement of the piece.
 */
public final class VariantEditor {
  /** What the piece itself goes by, where it is looked at as placed. */
  public static final String PIECE = "*";

  private final Node piece;
  private final Variant variant;
  private final Library library;

  /**
   * @param piece the piece's document
   * @param variant the id of one of its variants
   * @throws Refused if it has no such variant
   */
  public VariantEditor(Node piece, String variant, Library library) {
    this.piece = piece;
    this.variant =
        piece
            .options()
            .named(variant)
            .orElseThrow(
                () -> Refused.at(piece, "This variant is not here any more; choose another one"));
    this.library = library;
  }

  /** The variant as a document: what it shows is addressed from inside it. */
  public Node document() {
    Placement placement = Placement.of(PIECE, 1).saying(variant.layer().layer(), 1);
    return Node.placing(NodeId.of(variant.id()), "", PIECE).withPlacement(placement);
  }

  /** Where the piece itself is found too, as that document places it. */
  public Library library() {
    return new Library() {
      @Override
      public Revision revision(String id, int number) {
        return id.equals(PIECE)
            ? new Revision(PIECE, number, piece, "", 0)
            : library.revision(id, number);
      }

      @Override
      public Expanded expanded(String id, int number) {
        return id.equals(PIECE) ? Library.super.expanded(id, number) : library.expanded(id, number);
      }
    };
  }

  /** The variant as it is shown. */
  public Shown shown() {
    return Shown.of(document(), Showing.BOUND, library());
  }

  /**
   * @param settler for what is placed in it, by the library that finds the piece
   * @return the piece with the variant changed, and the inverse
   * @throws Refused if the edit makes no sense; the piece given in is untouched
   */
  public Edited apply(Edit edit, Function<Library, Settler> settler) {
    Library here = library();
    Node changed =
        new PageEditor(Showing.BOUND, here, settler.apply(here)).apply(document(), edit).root();
    Placement layer = changed.placement().orElseThrow();
    Variant other = variant.withLayer(Placement.of("").saying(layer.layer(), 0));
    return Editor.apply(piece, new Edit.SetVariant(piece.id(), variant.id(), Optional.of(other)));
  }
}
