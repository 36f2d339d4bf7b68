package goodbones.server.workbench;

import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.library.PageEditor;
import goodbones.library.Shown;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.history.History;
import goodbones.server.library.Pieces;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.Stale;
import goodbones.server.sites.PageState;
import goodbones.server.sites.SiteInfo;
import goodbones.server.sites.Sites;
import goodbones.style.FinishesStep;
import goodbones.style.SiteFinishes;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A page on the workbench: what it shows, and the edits made there. */
@Service
class PageWorkbench {
  private final Sites sites;
  private final Pieces pieces;
  private final FinishesStore finishes;
  private final Pictures pictures;
  private final History history;
  private final Frames frames;
  private final WorkbenchViews views;

  PageWorkbench(
      Sites sites,
      Pieces pieces,
      FinishesStore finishes,
      Pictures pictures,
      History history,
      Frames frames,
      WorkbenchViews views) {
    this.sites = sites;
    this.pieces = pieces;
    this.finishes = finishes;
    this.pictures = pictures;
    this.history = history;
    this.frames = frames;
    this.views = views;
  }

  @Transactional(readOnly = true)
  Views.Workbench view(String pageId) {
    return view(sites.page(pageId));
  }

  private Views.Workbench view(PageState page) {
    SiteInfo site = sites.get(page.siteId());
    SiteFinishes look = finishes.forSite(site.id());
    Shown shown = sites.shown(page);
    return new Views.Workbench(
        page.id(),
        page.title(),
        site.id(),
        site.name(),
        page.version(),
        history.toUndo(historyId(page.id())).orElse(""),
        history.toRedo(historyId(page.id())).orElse(""),
        frames.html(shown, look, site, page.title()),
        views.nodes(shown),
        views.placements(page.root(), sites.adopted(site.id()), look),
        null);
  }

  @Transactional(readOnly = true)
  Views.Ladder ladder(String pageId, NodeId node, Device device, State state) {
    PageState page = sites.page(pageId);
    return new Ladders(
            sites.shown(page), finishes.forSite(page.siteId()), id -> pieces.get(id).name(), false)
        .of(node, device, state);
  }

  @Transactional
  Views.Workbench edit(String pageId, EditRequest request) {
    PageState page = current(pageId, request.version());
    PageEditor editor = sites.editor(page.siteId());
    SiteFinishes look = finishes.forSite(page.siteId());
    EditReader.Read read =
        new EditReader(editor.shown(page.root()), look, look.namedStyles(), pictures).read(request);
    String siteId = page.siteId();
    read.made()
        .ifPresent(
            style ->
                finishes.edit(
                    FinishesStep.style(siteId, style.id(), Optional.of(style)),
                    "add the style " + style.name()));
    Edited edited = editor.apply(page.root(), read.edit());
    if (!edited.root().equals(page.root())) {
      history.made(historyId(pageId), read.label(), edited.inverse());
      page = sites.write(pageId, request.version(), edited.root());
    }
    return view(page);
  }

  @Transactional
  Views.Workbench turn(String pageId, long version, History.Way way) {
    PageState page = current(pageId, version);
    PageEditor editor = sites.editor(page.siteId());
    AtomicReference<Node> root = new AtomicReference<>(page.root());
    history.turn(
        way,
        historyId(pageId),
        Edit.class,
        edit -> {
          Edited edited = editor.reapply(page.root(), edit);
          root.set(edited.root());
          return edited.inverse();
        });
    return view(sites.write(pageId, version, root.get()));
  }

  private PageState current(String pageId, long version) {
    PageState page = sites.page(pageId);
    if (page.version() != version) {
      throw new Stale("“" + page.title() + "”");
    }
    return page;
  }

  private static String historyId(String pageId) {
    return "page:" + pageId;
  }
}
