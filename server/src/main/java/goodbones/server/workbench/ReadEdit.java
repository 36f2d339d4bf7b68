package goodbones.server.workbench;

import goodbones.document.Edit;
import goodbones.document.Node;
import goodbones.style.NamedStyle;
import java.util.Optional;

/**
 * An edit of the core and what to call it.
 *
 * @param made a named style that the edit needs and that is to be kept first
 * @param kept a piece that the edit places and that is to be kept first
 */
record ReadEdit(Edit edit, String label, Optional<NamedStyle> made, Optional<Kept> kept) {
  ReadEdit(Edit edit, String label) {
    this(edit, label, Optional.empty(), Optional.empty());
  }

  ReadEdit(Edit edit, String label, Optional<NamedStyle> made) {
    this(edit, label, made, Optional.empty());
  }

  /** A part of a document that becomes a piece. */
  record Kept(String id, String name, String purpose, Node root) {}
}
