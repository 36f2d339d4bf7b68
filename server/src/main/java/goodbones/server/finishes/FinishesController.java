package goodbones.server.finishes;

import goodbones.exchange.CssVariables;
import goodbones.exchange.TokensFile;
import goodbones.exchange.TokensImport;
import goodbones.exchange.Unreadable;
import goodbones.server.history.History;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.BadInput;
import goodbones.server.reach.ReachViews;
import goodbones.server.reach.WhereUsed;
import goodbones.server.sites.Sites;
import goodbones.style.FinishesStep;
import jakarta.validation.Valid;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/finishes")
class FinishesController {
  /** Of a tokens file; ten thousand tokens take about two of them. */
  private static final int MOST_BYTES = 8 * 1024 * 1024;

  private final FinishesArea area;
  private final FinishesTable table;
  private final Trying trying;
  private final WhereUsed whereUsed;
  private final FinishesStore store;
  private final Sites sites;
  private final Pictures pictures;

  FinishesController(
      FinishesArea area,
      FinishesTable table,
      Trying trying,
      WhereUsed whereUsed,
      FinishesStore store,
      Sites sites,
      Pictures pictures) {
    this.area = area;
    this.table = table;
    this.trying = trying;
    this.whereUsed = whereUsed;
    this.store = store;
    this.sites = sites;
    this.pictures = pictures;
  }

  record Stamp(long stamp) {}

  record AdoptRequest(String site, int revision) {}

  @GetMapping
  FinishesViews.Table table(@RequestParam(defaultValue = "") String had) {
    return table.now(had);
  }

  /** Asked for every few seconds by each tab, to learn of changes made elsewhere. */
  @GetMapping("/stamp")
  Stamp stamp() {
    return new Stamp(store.stamp());
  }

  @PostMapping("/edits")
  FinishesViews.Table edit(
      @Valid @RequestBody AskedStep edit, @RequestParam(defaultValue = "") String had) {
    return area.edit(edit, had);
  }

  @PostMapping("/undo")
  FinishesViews.Table undo(
      @RequestParam long version, @RequestParam(defaultValue = "") String had) {
    store.requireVersion(version);
    return area.turn(History.Way.UNDO, had);
  }

  @PostMapping("/redo")
  FinishesViews.Table redo(
      @RequestParam long version, @RequestParam(defaultValue = "") String had) {
    store.requireVersion(version);
    return area.turn(History.Way.REDO, had);
  }

  @PostMapping("/try")
  FinishesViews.Tried tried(@Valid @RequestBody FinishesViews.TryRequest request) {
    return pictures.withPixels(() -> trying.tried(request));
  }

  @PostMapping("/reach")
  FinishesViews.Reached reached(@Valid @RequestBody AskedStep edit) {
    return pictures.withPixels(() -> trying.reached(edit));
  }

  @GetMapping(path = "/specimen", produces = MediaType.TEXT_HTML_VALUE)
  String specimen(@RequestParam String site, @RequestParam String page) {
    return trying.specimen(site, page);
  }

  @GetMapping(path = "/sample", produces = MediaType.TEXT_HTML_VALUE)
  String sample(@RequestParam String site, @RequestParam String style) {
    return trying.sample(site, style);
  }

  /** What in the finishes refers to a token, or builds on a named style, in words. */
  @GetMapping("/uses")
  List<String> uses(@RequestParam String token, @RequestParam String style) {
    return whereUsed.inFinishes(store.all(), token, style);
  }

  /** Everything on pages that is worth what it is through a token, or has a named style. */
  @GetMapping("/drawn")
  ReachViews.Drawn drawn(@RequestParam String token, @RequestParam String style) {
    return whereUsed.drawn(store.all(), token, style);
  }

  @GetMapping("/plan")
  List<FinishesViews.FinishesPlan> plan() {
    return pictures.withPixels(area::plan);
  }

  @PostMapping("/release")
  FinishesViews.Table release(
      @RequestBody FinishesViews.FinishesRelease request,
      @RequestParam long version,
      @RequestParam(defaultValue = "") String had) {
    store.requireVersion(version);
    return area.release(request, had);
  }

  @PostMapping("/adopt")
  FinishesViews.Table adopt(
      @RequestBody AdoptRequest request,
      @RequestParam long version,
      @RequestParam(defaultValue = "") String had) {
    store.requireVersion(version);
    return area.adopt(request.site(), request.revision(), had);
  }

  /** The tokens in the W3C Design Tokens Format; a site's with its own values in place. */
  @GetMapping(path = "/tokens.json", produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<byte[]> tokens(@RequestParam String site) {
    return file(TokensFile.write(store.draftFor(site)), name(site) + ".tokens.json");
  }

  /** The tokens as CSS custom properties. */
  @GetMapping(path = "/variables.css", produces = "text/css")
  ResponseEntity<byte[]> variables(@RequestParam String site) {
    return file(CssVariables.of(store.draftFor(site)), name(site) + ".css");
  }

  private String name(String site) {
    return site.isEmpty() ? "house" : sites.get(site).id();
  }

  private static ResponseEntity<byte[]> file(String text, String name) {
    return ResponseEntity.ok()
        .header("Content-Disposition", "attachment; filename=\"" + name + "\"")
        .body(text.getBytes(StandardCharsets.UTF_8));
  }

  /** Takes a tokens file in, for the house or for a site. */
  @PostMapping(path = "/tokens", consumes = MediaType.TEXT_PLAIN_VALUE)
  FinishesViews.Imported bringIn(
      @RequestParam String site, @RequestParam long version, @RequestBody byte[] file) {
    store.requireVersion(version);
    return bringIn(site, List.of(text(file)));
  }

  /** Files of one system: what refers to another of them finds it, in whatever order they come. */
  record TokenFiles(List<String> files) {}

  /** Takes several tokens files in at once. */
  @PostMapping(path = "/token-files", consumes = MediaType.APPLICATION_JSON_VALUE)
  FinishesViews.Imported bringInSeveral(
      @RequestParam String site, @RequestParam long version, @RequestBody TokenFiles together) {
    store.requireVersion(version);
    long bytes = together.files().stream().mapToLong(String::length).sum();
    requireSize(bytes);
    BadInput.require(!together.files().isEmpty(), "files", "Choose one file at least");
    return bringIn(site, together.files());
  }

  private FinishesViews.Imported bringIn(String site, List<String> files) {
    try {
      return site.isEmpty() ? intoHouse(files) : intoSite(site, files);
    } catch (Unreadable unreadable) {
      throw new BadInput("file", String.valueOf(unreadable.getMessage()));
    }
  }

  private FinishesViews.Imported intoHouse(List<String> files) {
    TokensImport.ForHouse taken =
        TokensImport.intoHouse(store.draft(), files, () -> UUID.randomUUID().toString());
    store.edit(new FinishesStep.House(taken.edit()), "bring in a tokens file");
    return new FinishesViews.Imported(taken.tokens(), taken.notes());
  }

  private FinishesViews.Imported intoSite(String site, List<String> files) {
    TokensFile.Read read = TokensFile.read(TokensFile.together(files));
    TokensImport.ForSite taken = TokensImport.intoSite(store.draftFor(site), read);
    if (!taken.values().isEmpty()) {
      store.edit(
          new FinishesStep.Site(site, taken.values(), Map.of()),
          "bring in a tokens file for " + sites.get(site).name());
    }
    return new FinishesViews.Imported(taken.values().size(), taken.notes());
  }

  private static void requireSize(long bytes) {
    if (bytes > MOST_BYTES) {
      throw new BadInput(
          "file",
          "The file has "
              + bytes / 1024
              + " KB; a tokens file may have at most "
              + MOST_BYTES / 1024);
    }
  }

  /**
   * @throws BadInput if it is too large, or no UTF-8
   */
  private static String text(byte[] file) {
    requireSize(file.length);
    try {
      String text =
          StandardCharsets.UTF_8
              .newDecoder()
              .onMalformedInput(CodingErrorAction.REPORT)
              .onUnmappableCharacter(CodingErrorAction.REPORT)
              .decode(ByteBuffer.wrap(file))
              .toString();
      return text.startsWith("\uFEFF") ? text.substring(1) : text;
    } catch (CharacterCodingException notUtf8) {
      throw new BadInput(
          "file",
          "The file is not written in UTF-8; save it in that encoding and bring it in again");
    }
  }
}
