package goodbones.server.workbench;

import goodbones.document.Edit;
import goodbones.document.Node;
import goodbones.library.Described;
import goodbones.site.Region;
import goodbones.structure.GaveWay;
import goodbones.style.NamedStyle;
import java.util.List;
import java.util.Optional;

/**
 * An edit of the core and what to call it.
 *
 * @param made a named style that the edit needs and that is to be kept first
 * @param kept a piece that the edit places and that is to be kept first
 * @param shared what comes to stand around the content of all pages, and is to be kept first
 * @param gaveWay named styles of what is put in that are not known here
 */
record ReadEdit(
    Edit edit,
    String label,
    Optional<NamedStyle> made,
    Optional<Kept> kept,
    Optional<Shared> shared,
    List<GaveWay> gaveWay) {
  ReadEdit(Edit edit, String label) {
    this(edit, label, Optional.empty());
  }

  ReadEdit(Edit edit, String label, Optional<NamedStyle> made) {
    this(edit, label, made, Optional.empty(), Optional.empty(), List.of());
  }

  ReadEdit(Edit edit, String label, Kept kept) {
    this(edit, label, Optional.empty(), Optional.of(kept), Optional.empty(), List.of());
  }

  ReadEdit(Edit edit, String label, Shared shared) {
    this(edit, label, Optional.empty(), Optional.empty(), Optional.of(shared), List.of());
  }

  ReadEdit with(List<GaveWay> styles) {
    return new ReadEdit(edit, label, made, kept, shared, styles);
  }

  /**
   * A part of a document that becomes a piece.
   *
   * @param told what came of it, for whoever kept it
   */
  record Kept(String id, Described said, Node root, String told) {}

  /** What stood on a page and is given to a region of all of them. */
  record Shared(String title, Region region, List<Node> stands) {}
}
