package goodbones.server.workbench;

import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.library.PageEditor;
import goodbones.library.Showing;
import goodbones.propagation.Rebasing;
import goodbones.server.sites.SiteInfo;
import goodbones.style.SiteFinishes;

/**
 * What a page and a piece on the desk have alike: a client's look, an editor, what is kept of it.
 */
abstract class OpenDesk implements Desk {
  private final Desks desks;
  private final SiteInfo site;
  private final SiteFinishes look;
  private final Showing showing;
  private final DeskMemo memo;
  private final PageEditor editor;

  /**
   * @param key what is kept of its last drawing goes by it
   * @param showing which revisions the placements in it show
   */
  OpenDesk(Desks desks, String key, SiteInfo site, SiteFinishes look, Showing showing) {
    this.desks = desks;
    this.site = site;
    this.look = look;
    this.showing = showing;
    this.memo = desks.memo(key);
    this.editor =
        new PageEditor(
            showing, desks.pieces(), new Rebasing(desks.pieces(), showing), memo.fillings());
  }

  final PageEditor editor(boolean own) {
    return own ? editor.withPagesOwn() : editor;
  }

  @Override
  public final SiteInfo site() {
    return site;
  }

  @Override
  public final SiteFinishes look() {
    return look;
  }

  @Override
  public final Showing showing() {
    return showing;
  }

  @Override
  public final DeskMemo memo() {
    return memo;
  }

  @Override
  public final Edited reapply(Edit inverse, boolean own) {
    return editor(own).reapply(kept(), inverse);
  }

  @Override
  public final void keep(ReadEdit.Kept piece) {
    desks.keep(piece);
  }
}
