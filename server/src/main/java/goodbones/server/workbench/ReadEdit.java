package goodbones.server.workbench;

import goodbones.document.Edit;
import goodbones.style.NamedStyle;
import java.util.Optional;

/**
 * An edit of the core and what to call it.
 *
 * @param made a named style that the edit needs and that is to be kept first
 */
record ReadEdit(Edit edit, String label, Optional<NamedStyle> made) {
  ReadEdit(Edit edit, String label) {
    this(edit, label, Optional.empty());
  }
}
