package goodbones.server.workbench;

import goodbones.document.Device;
import goodbones.document.Kind;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.server.history.History;
import goodbones.server.library.Pieces;
import goodbones.server.library.RevisionInfo;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class WorkbenchController {
  private final PageWorkbench pageWorkbench;
  private final PieceWorkbench pieceWorkbench;
  private final Pieces pieces;
  private final Sites sites;

  WorkbenchController(
      PageWorkbench pageWorkbench, PieceWorkbench pieceWorkbench, Pieces pieces, Sites sites) {
    this.pageWorkbench = pageWorkbench;
    this.pieceWorkbench = pieceWorkbench;
    this.pieces = pieces;
    this.sites = sites;
  }

  /** Which state of a document a request was made on. */
  record OnVersion(long version) {}

  record ReleaseRequest(long version, String note) {}

  @GetMapping("/pieces")
  List<Views.PieceCard> pieces() {
    return pieceWorkbench.cards();
  }

  @GetMapping("/pieces/{id}/revisions")
  List<RevisionInfo> revisions(@PathVariable String id) {
    return pieces.revisions(id);
  }

  @GetMapping(path = "/pieces/{id}/frame", produces = MediaType.TEXT_HTML_VALUE)
  String pieceFrame(@PathVariable String id, @RequestParam String site) {
    return pieceWorkbench.frame(id, site);
  }

  @GetMapping("/pieces/{id}/workbench")
  Views.Workbench piece(@PathVariable String id, @RequestParam String site) {
    return pieceWorkbench.view(id, site);
  }

  @GetMapping("/pieces/{id}/ladder")
  Views.Ladder pieceLadder(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam String node,
      @RequestParam String device,
      @RequestParam(defaultValue = "normal") String state) {
    return pieceWorkbench.ladder(
        id, site, NodeId.of(node), Device.ofWord(device), State.ofWord(state));
  }

  @PostMapping("/pieces/{id}/edits")
  Views.Workbench editPiece(
      @PathVariable String id, @RequestParam String site, @RequestBody EditRequest edit) {
    return pieceWorkbench.edit(id, site, edit);
  }

  @PostMapping("/pieces/{id}/undo")
  Views.Workbench undoPiece(
      @PathVariable String id, @RequestParam String site, @RequestBody OnVersion on) {
    return pieceWorkbench.turn(id, site, on.version(), History.Way.UNDO);
  }

  @PostMapping("/pieces/{id}/redo")
  Views.Workbench redoPiece(
      @PathVariable String id, @RequestParam String site, @RequestBody OnVersion on) {
    return pieceWorkbench.turn(id, site, on.version(), History.Way.REDO);
  }

  @PostMapping("/pieces/{id}/release")
  Views.Workbench release(
      @PathVariable String id, @RequestParam String site, @RequestBody ReleaseRequest release) {
    return pieceWorkbench.release(id, site, release.version(), release.note());
  }

  @GetMapping("/sites")
  List<Views.SiteView> sites() {
    return sites.all().stream()
        .map(
            site ->
                new Views.SiteView(
                    site.id(),
                    site.name(),
                    sites.pages(site.id()).stream().map(this::page).toList()))
        .toList();
  }

  private Views.PageView page(PageState page) {
    long placed = page.root().children().stream().filter(n -> n.kind() == Kind.PLACEMENT).count();
    return new Views.PageView(
        page.id(),
        page.title(),
        page.address(),
        page.changed(),
        page.root().children().size(),
        (int) placed);
  }

  @GetMapping("/pages/{id}/workbench")
  Views.Workbench page(@PathVariable String id) {
    return pageWorkbench.view(id);
  }

  @GetMapping("/pages/{id}/ladder")
  Views.Ladder pageLadder(
      @PathVariable String id,
      @RequestParam String node,
      @RequestParam String device,
      @RequestParam(defaultValue = "normal") String state) {
    return pageWorkbench.ladder(id, NodeId.of(node), Device.ofWord(device), State.ofWord(state));
  }

  @PostMapping("/pages/{id}/edits")
  Views.Workbench editPage(@PathVariable String id, @RequestBody EditRequest edit) {
    return pageWorkbench.edit(id, edit);
  }

  @PostMapping("/pages/{id}/undo")
  Views.Workbench undoPage(@PathVariable String id, @RequestBody OnVersion on) {
    return pageWorkbench.turn(id, on.version(), History.Way.UNDO);
  }

  @PostMapping("/pages/{id}/redo")
  Views.Workbench redoPage(@PathVariable String id, @RequestBody OnVersion on) {
    return pageWorkbench.turn(id, on.version(), History.Way.REDO);
  }
}
