package goodbones.server.workbench;

import goodbones.document.Edit;
import goodbones.document.Node;
import goodbones.library.Described;
import goodbones.structure.GaveWay;
import goodbones.style.NamedStyle;
import java.util.List;
import java.util.Optional;

/**
 * An edit of the core and what to call it.
 *
 * @param made a named style that the edit needs and that is to be kept first
 * @param kept a piece that the edit places and that is to be kept first
 * @param gaveWay named styles of what is put in that are not known here
 */
record ReadEdit(
    Edit edit,
    String label,
    Optional<NamedStyle> made,
    Optional<Kept> kept,
    List<GaveWay> gaveWay) {
  ReadEdit(Edit edit, String label) {
    this(edit, label, Optional.empty());
  }

  ReadEdit(Edit edit, String label, Optional<NamedStyle> made) {
    this(edit, label, made, Optional.empty(), List.of());
  }

  ReadEdit(Edit edit, String label, Kept kept) {
    this(edit, label, Optional.empty(), Optional.of(kept), List.of());
  }

  ReadEdit with(List<GaveWay> styles) {
    return new ReadEdit(edit, label, made, kept, styles);
  }

  /**
   * A part of a document that becomes a piece.
   *
   * @param told what came of it, for whoever kept it
   */
  record Kept(String id, Described said, Node root, String told) {}
}
