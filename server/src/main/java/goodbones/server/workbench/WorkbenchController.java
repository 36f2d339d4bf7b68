package goodbones.server.workbench;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Icons;
import goodbones.document.Kind;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.server.history.History;
import goodbones.server.problems.BadInput;
import goodbones.server.shelf.Shelf;
import goodbones.server.workbench.Workbenches.Which;
import goodbones.structure.Samples;
import jakarta.validation.Valid;
import java.security.Principal;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
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
  private final Workbenches workbenches;
  private final Shelf shelf;
  private final Desks desks;
  private final Presence presence;
  private final FitReport fit;
  private final Clips clips;

  WorkbenchController(
      Workbenches workbenches,
      Shelf shelf,
      Desks desks,
      Presence presence,
      FitReport fit,
      Clips clips) {
    this.workbenches = workbenches;
    this.shelf = shelf;
    this.desks = desks;
    this.presence = presence;
    this.fit = fit;
    this.clips = clips;
  }

  record ReleaseRequest(long version, String note) {}

  /** A tab that has a document open, and what is in hand there. */
  record Here(String tab, String node, boolean leaving) {}

  /** Words on the clipboard, to be cleaned. */
  record Dirty(String html) {}

  record Clean(String html) {}

  /** What may stand where. */
  @GetMapping("/kinds")
  List<Views.KindView> kinds() {
    return Arrays.stream(Kind.values())
        .filter(kind -> kind == Kind.PLACEMENT || !kind.isMember())
        .map(
            kind ->
                new Views.KindView(
                    kind.word(),
                    kind.title(),
                    Catalogue.children(kind).stream()
                        .filter(child -> !child.isMember())
                        .map(Kind::word)
                        .toList()))
        .toList();
  }

  /** The icons that there are, by name. */
  @GetMapping("/icons")
  Collection<Icons.Icon> icons() {
    return Icons.all();
  }

  @GetMapping("/pieces/{id}/workbench")
  Views.Workbench piece(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam(defaultValue = "") String variant) {
    return workbenches.view(Which.piece(id, site, variant));
  }

  @GetMapping("/pieces/{id}/ladder")
  Views.Ladder pieceLadder(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam(defaultValue = "") String variant,
      @RequestParam List<String> node,
      @RequestParam String device,
      @RequestParam(defaultValue = "normal") String state) {
    return workbenches.ladder(
        Which.piece(id, site, variant), ids(node), Device.ofWord(device), State.ofWord(state));
  }

  /** What is guessed of a thing that might be kept as a piece. */
  @GetMapping("/pieces/{id}/guess")
  Views.Guessed guessOfPiece(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam(defaultValue = "") String variant,
      @RequestParam String node) {
    return workbenches.guess(Which.piece(id, site, variant), NodeId.of(node));
  }

  /** What is guessed of a thing that might be kept as a piece. */
  @GetMapping("/pages/{id}/guess")
  Views.Guessed guessOfPage(@PathVariable String id, @RequestParam String node) {
    return workbenches.guess(Which.page(id), NodeId.of(node));
  }

  /** The pieces that a part of the draft could be tied to. */
  @GetMapping("/pieces/{id}/ties")
  List<Views.TieView> tiesOfPiece(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam(defaultValue = "") String variant,
      @RequestParam String node) {
    return workbenches.ties(Which.piece(id, site, variant), NodeId.of(node));
  }

  /** The pieces that a part of the page could be tied to. */
  @GetMapping("/pages/{id}/ties")
  List<Views.TieView> tiesOfPage(@PathVariable String id, @RequestParam String node) {
    return workbenches.ties(Which.page(id), NodeId.of(node));
  }

  /**
   * What the piece makes of short, long or no words.
   *
   * @param words {@code short}, {@code long} or {@code none}
   */
  @GetMapping("/pieces/{id}/sampled")
  Views.Workbench sampled(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam(defaultValue = "") String variant,
      @RequestParam String words) {
    return workbenches.sampled(
        Which.piece(id, site, variant), BadInput.known("words", words, Samples.Length::ofWord));
  }

  /** What an edit would come to; nothing is kept. */
  @PostMapping("/pieces/{id}/tried")
  Views.Workbench tryOnPiece(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam(defaultValue = "") String variant,
      @Valid @RequestBody EditRequest edit) {
    return workbenches.tried(Which.piece(id, site, variant), edit);
  }

  /** What an edit would come to; nothing is kept. */
  @PostMapping("/pages/{id}/tried")
  Views.Workbench tryOnPage(@PathVariable String id, @Valid @RequestBody EditRequest edit) {
    return workbenches.tried(Which.page(id), edit);
  }

  @PostMapping("/pieces/{id}/edits")
  Views.Workbench editPiece(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam(defaultValue = "") String variant,
      @Valid @RequestBody EditRequest edit,
      Principal user) {
    return workbenches.edit(Which.piece(id, site, variant), edit, user.getName());
  }

  @PostMapping("/pieces/{id}/undo")
  Views.Workbench undoPiece(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam(defaultValue = "") String variant,
      @RequestBody TurnRequest turn,
      Principal user) {
    return workbenches.turn(Which.piece(id, site, variant), turn, History.Way.UNDO, user.getName());
  }

  @PostMapping("/pieces/{id}/redo")
  Views.Workbench redoPiece(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam(defaultValue = "") String variant,
      @RequestBody TurnRequest turn,
      Principal user) {
    return workbenches.turn(Which.piece(id, site, variant), turn, History.Way.REDO, user.getName());
  }

  private static List<NodeId> ids(List<String> nodes) {
    return nodes.stream().map(NodeId::of).toList();
  }

  @PostMapping("/pieces/{id}/release")
  Views.Workbench release(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam(defaultValue = "") String variant,
      @RequestBody ReleaseRequest release) {
    return workbenches.release(
        Which.piece(id, site, variant), () -> shelf.release(id, release.version(), release.note()));
  }

  @PostMapping("/pieces/{id}/here")
  Views.Pulse herePiece(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam(defaultValue = "") String variant,
      @RequestBody Here here,
      Principal user) {
    return pulse(Which.piece(id, site, variant), "piece:" + id, here, user);
  }

  @PostMapping("/pieces/{id}/fit")
  List<Views.FitView> fitPiece(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam(defaultValue = "") String variant,
      @RequestBody FitReport.Asked asked) {
    return workbenches.read(Which.piece(id, site, variant), desk -> fit.of(desk, asked));
  }

  @GetMapping("/pieces/{id}/clip")
  Views.ClipView clipPiece(
      @PathVariable String id,
      @RequestParam String site,
      @RequestParam(defaultValue = "") String variant,
      @RequestParam List<String> node) {
    return workbenches.read(Which.piece(id, site, variant), desk -> clips.of(desk, ids(node)));
  }

  @PostMapping("/pages/{id}/here")
  Views.Pulse herePage(@PathVariable String id, @RequestBody Here here, Principal user) {
    return pulse(Which.page(id), "page:" + id, here, user);
  }

  private Views.Pulse pulse(Which which, String document, Here here, Principal user) {
    if (here.leaving()) {
      presence.left(document, here.tab());
      return new Views.Pulse(0, 0, List.of());
    }
    Desks.Now now = desks.now(which.key());
    return new Views.Pulse(
        now.version(),
        now.stamp(),
        presence.here(document, here.tab(), user.getName(), here.node()));
  }

  @PostMapping("/pages/{id}/fit")
  List<Views.FitView> fitPage(@PathVariable String id, @RequestBody FitReport.Asked asked) {
    return workbenches.read(Which.page(id), desk -> fit.of(desk, asked));
  }

  @GetMapping("/pages/{id}/clip")
  Views.ClipView clipPage(@PathVariable String id, @RequestParam List<String> node) {
    return workbenches.read(Which.page(id), desk -> clips.of(desk, ids(node)));
  }

  /** What is left of pasted words when they are cleaned, as HTML. */
  @PostMapping("/clean")
  Clean clean(@RequestBody Dirty dirty) {
    return new Clean(Clips.cleaned(dirty.html()));
  }

  @GetMapping("/pages/{id}/workbench")
  Views.Workbench page(@PathVariable String id) {
    return workbenches.view(Which.page(id));
  }

  @GetMapping("/pages/{id}/ladder")
  Views.Ladder pageLadder(
      @PathVariable String id,
      @RequestParam List<String> node,
      @RequestParam String device,
      @RequestParam(defaultValue = "normal") String state) {
    return workbenches.ladder(
        Which.page(id), ids(node), Device.ofWord(device), State.ofWord(state));
  }

  @PostMapping("/pages/{id}/edits")
  Views.Workbench editPage(
      @PathVariable String id, @Valid @RequestBody EditRequest edit, Principal user) {
    return workbenches.edit(Which.page(id), edit, user.getName());
  }

  @PostMapping("/pages/{id}/undo")
  Views.Workbench undoPage(@PathVariable String id, @RequestBody TurnRequest turn, Principal user) {
    return workbenches.turn(Which.page(id), turn, History.Way.UNDO, user.getName());
  }

  @PostMapping("/pages/{id}/redo")
  Views.Workbench redoPage(@PathVariable String id, @RequestBody TurnRequest turn, Principal user) {
    return workbenches.turn(Which.page(id), turn, History.Way.REDO, user.getName());
  }
}
