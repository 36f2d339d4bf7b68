package goodbones.server.workbench;

import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.library.Shown;
import goodbones.server.sites.SiteInfo;
import goodbones.server.workbench.Views.PieceDraft;
import goodbones.server.workbench.Views.PlacementView;
import goodbones.structure.Bench;
import goodbones.style.NamedStyle;
import goodbones.style.SiteFinishes;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A document that is worked on, a page or a piece in a client's look, as it stands now. */
interface Desk {
  String id();

  String title();

  SiteInfo site();

  long version();

  /** What its history is kept under. */
  String historyId();

  Node stored();

  Shown shown();

  SiteFinishes look();

  /** The named styles that it can have. */
  List<NamedStyle> namedStyles();

  /** Applies an edit that is aimed at what is shown. Nothing is kept yet. */
  Edited apply(Edit edit);

  /** Applies an inverse of an earlier edit. Nothing is kept yet. */
  Edited reapply(Edit inverse);

  /** Keeps what an edit led to; the desk shows that from then on. */
  Desk write(Node root);

  /** Keeps a named style that an edit made. */
  void keep(NamedStyle style);

  List<PlacementView> placements();

  /** Where a piece stands; null for a page. */
  @Nullable PieceDraft piece();

  /** What is kept of its last drawing. */
  DeskMemo memo();

  default Bench bench() {
    return new Bench(stored(), shown(), look(), () -> NodeId.of(UUID.randomUUID().toString()));
  }
}
