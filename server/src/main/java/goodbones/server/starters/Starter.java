package goodbones.server.starters;

import goodbones.document.Node;
import goodbones.library.Described;
import goodbones.library.PieceKind;
import goodbones.library.Purpose;
import java.util.List;

/** A piece to start with. */
record Starter(String id, Described said, Node root) {
  /** A section for a page. */
  static Starter template(Purpose purpose, String notes, Node root, String... tags) {
    return of(PieceKind.SECTION_TEMPLATE, purpose, notes, root, tags);
  }

  /** A small part that stands in sections. */
  static Starter block(String notes, Node root, String... tags) {
    return of(PieceKind.SAVED_BLOCK, Purpose.SMALL_PART, notes, root, tags);
  }

  static Starter of(PieceKind kind, Purpose purpose, String notes, Node root, String... tags) {
    return new Starter(
        root.id().value(),
        Described.of(root.name(), kind, purpose).withNotes(notes).withTags(List.of(tags)),
        root);
  }
}
