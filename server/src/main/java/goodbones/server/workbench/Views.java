package goodbones.server.workbench;

import goodbones.document.SlotWant;
import goodbones.server.library.Reach;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What the workbench is told. Every part is required unless it says otherwise. */
final class Views {
  private Views() {}

  /**
   * A document on the workbench.
   *
   * @param stamp of what its site has adopted; sent with an edit
   * @param undo what undo would undo; empty if nothing
   * @param drawing which drawing this is; sent with an edit, so that only what changed comes back
   * @param open the start tag of the body
   * @param css the style sheet, with the rules of what can be added; null if the reader has it
   * @param page the outermost node
   * @param blocks what stands straight on the page, in its order
   * @param fresh what can be added besides pieces; null if the reader has it
   * @param around what stands around the content of the page; null if the reader has it
   * @param shared on which pages it stands itself, if it is a shared part; null if it is none
   * @param merged what others changed meanwhile, in words; empty if nothing
   * @param made the nodes that an edit put down, for taking them in hand
   * @param standIns the nodes in which words or pictures only stand in, in reading order
   * @param unfit what could not come along with what was put down
   * @param note what came of an edit and is not seen at once; empty if nothing
   */
  record Workbench(
      String id,
      String title,
      String siteId,
      String siteName,
      String language,
      long version,
      long stamp,
      String undo,
      String redo,
      String drawing,
      String open,
      @Nullable String css,
      NodeView page,
      List<Block> blocks,
      @Nullable List<FreshView> fresh,
      @Nullable AroundView around,
      @Nullable SharedView shared,
      List<PlacementView> placements,
      List<ListView> lists,
      List<PartView> parts,
      @Nullable PieceDraft piece,
      List<String> merged,
      List<String> made,
      List<String> standIns,
      List<FitView> unfit,
      String note) {}

  /**
   * What stands around the content of a page.
   *
   * @param before the HTML from the start of the body to the page's own content
   * @param after the HTML from there to its end
   */
  record AroundView(String before, String after, List<StandingView> parts) {}

  /**
   * A shared part where it stands around the content of a page.
   *
   * @param isBefore whether it is read before the page's own content
   * @param part the id of its document
   * @param pages on how many pages it stands
   */
  record StandingView(String region, boolean isBefore, String part, String title, int pages) {}

  /**
   * Where a shared part stands.
   *
   * @param pages the titles of the pages
   */
  record SharedView(List<String> pages) {}

  /**
   * What is guessed of a thing that might be kept: a name, and the words of a kind and a purpose.
   */
  record Guessed(String name, String kind, String purpose) {}

  /**
   * A piece that a copy could be tied to.
   *
   * @param fillings how many slots it would fill
   * @param changes how many other local changes it would have
   */
  record TieView(String pieceId, String name, int fillings, int changes) {}

  /**
   * One thing that stands straight on the page.
   *
   * @param html null if the reader has it
   * @param nodes it and all in it, parents before children; null if the reader has them
   */
  record Block(String id, @Nullable String html, @Nullable List<NodeView> nodes) {
    static Block same(String id) {
      return new Block(id, null, null);
    }
  }

  /**
   * Something that can be added.
   *
   * @param value how a row's columns share it; empty for what is no row
   * @param count how many columns a row has; 0 for what is no row
   * @param html how it is drawn here as soon as it stands
   */
  record FreshView(String title, String kind, String value, int count, String html) {}

  /**
   * What may stand where.
   *
   * @param may the kinds that may stand in it
   */
  record KindView(String kind, String title, List<String> may) {}

  /** Somebody else who has the document open. */
  record Other(String who, String node) {}

  /** What is going on at a document. */
  record Pulse(long version, long stamp, List<Other> others) {}

  /**
   * Copied things.
   *
   * @param data for pasting here or at another site
   * @param html for other programs
   */
  record ClipView(String data, String html, String text) {}

  /** One setting of one node. */
  record Setting(String node, String property, String device, String state, String value) {}

  /**
   * @param check height, padding, text_size or picture_ratio
   * @param mend what would be done; empty where no setting can mend it
   */
  record FitView(
      String node,
      String title,
      String check,
      String device,
      String says,
      String mend,
      List<Setting> settings) {}

  /**
   * Where a piece on its own workbench stands.
   *
   * @param behind sites that show an older revision than the current one
   * @param variants its variants
   * @param variant the one that is looked at; empty for the piece itself
   */
  record PieceDraft(
      int current,
      boolean draft,
      Reach reach,
      List<String> behind,
      List<StyleChoice> variants,
      String variant) {}

  /**
   * A list of like items.
   *
   * @param node the list
   * @param own whether the document itself has its pattern, so that all items can be changed at
   *     once
   * @param lot what it is to show all of; empty if it is to show what was chosen
   * @param items each by its path, and the outermost node that it shows
   */
  record ListView(String node, boolean own, String lot, List<ItemView> items) {}

  /**
   * @param page the id of the page that it shows; empty for none
   */
  record ItemView(String id, String page, String node) {}

  /**
   * An optional part.
   *
   * @param node the part by its path
   * @param in the path of the placement that it stands in; empty in a piece's own tree
   * @param on whether it is shown
   */
  record PartView(String node, String in, String title, boolean on) {}

  /**
   * @param parent empty for the outermost node
   * @param placement the placement that it comes out of; empty for the document's own
   * @param locals how many local changes it has, fillings not counted
   * @param percent the devices on which a row's columns are in per cent; on the others, and where
   *     it is no row, they are in twelfths
   */
  record NodeView(
      String id,
      String parent,
      String kind,
      String title,
      String name,
      List<String> hiddenOn,
      String placement,
      int locals,
      List<String> percent) {}

  /**
   * @param id its path
   * @param in the path of the placement that it stands in; empty for one of the document's own
   * @param bound whether it stands in a piece, which decides what it shows
   * @param pin {@code held}, {@code waiting} or empty
   * @param variants those that it can pick
   * @param variant the one that it has picked; empty for none
   */
  record PlacementView(
      String id,
      String in,
      boolean bound,
      String pieceId,
      String pieceName,
      int revision,
      int current,
      String pin,
      int fillings,
      List<StyleChoice> variants,
      String variant,
      List<LocalChangeView> changes,
      List<TrayView> tray,
      Reach reach) {}

  /**
   * Words and pictures that were filled in a piece that stood here before, and have no place now.
   *
   * @param kept each as it reads
   */
  record TrayView(String pieceId, String pieceName, List<String> kept) {}

  /**
   * @param node as shown
   * @param aspect the text form, for going back to the library's
   * @param label what differs, in words
   * @param value what it is here
   */
  record LocalChangeView(
      String node, String nodeTitle, String aspect, String label, String value) {}

  /**
   * The ladder for one node: its rungs, outermost first, and all about the last one.
   *
   * @param states the states that the node can be styled in, the normal one first
   * @param named the named styles that it has, the last one named last
   * @param choices the named styles that it could have
   * @param scheme the id of the colour scheme that it takes; empty for the one around it
   * @param schemes empty where the kind takes none
   * @param look how it is styled, for laying on another element
   * @param columns how its columns share it at the device; empty if it is no row
   * @param share a column's own share of its row, in twelfths; empty if it is none
   * @param hint what to think over about its columns; empty if nothing
   * @param gatherable settings that its children share and that it could make for them
   * @param needless whether it could go without anything looking different
   */
  record Ladder(
      List<Rung> rungs,
      List<FieldView> fields,
      List<StyleView> styles,
      List<TokenChoice> tokens,
      List<String> states,
      List<StyleChoice> named,
      List<StyleChoice> choices,
      String scheme,
      List<StyleChoice> schemes,
      LookView look,
      String columns,
      String share,
      String hint,
      List<Gatherable> gatherable,
      boolean needless) {}

  /** A setting that all children of a container make alike. */
  record Gatherable(String property, String label, String value) {}

  /** A named style or a scheme to choose. */
  record StyleChoice(String id, String name) {}

  /**
   * @param styles keys in their text form, such as {@code color@phone:hover}, and what is stored
   */
  record LookView(Map<String, String> styles, List<String> named) {}

  /**
   * @param id the node, or the path of the placement or the item
   * @param node what is taken in hand through it
   * @param kind of the node, or {@code placement} or {@code item} for what is around it
   */
  record Rung(
      String id,
      String node,
      String kind,
      String title,
      String note,
      List<Contribution> contributes) {}

  /**
   * @param css what it is worth, where a swatch can show it
   * @param local whether it is a local change
   */
  record Contribution(String label, String value, String css, boolean local) {}

  /**
   * @param type words, picture, link or level
   * @param alt the alternative text of a picture here; empty for its own
   * @param decoration whether a picture says nothing here
   * @param newTab whether a link opens beside the page
   * @param filled who fills it: {@code fixed}, {@code own} or {@code site}
   * @param local whether the placement, or the site, has a value of its own
   * @param library the piece's value, where the node comes out of a placement
   * @param want what the author wants in the slot; null for nothing
   * @param missed how what stands there misses that, in words; empty if it does not
   */
  record FieldView(
      String key,
      String label,
      String type,
      String value,
      String alt,
      boolean decoration,
      boolean newTab,
      String filled,
      boolean local,
      String library,
      @Nullable SlotWant want,
      String missed) {}

  /**
   * @param here what is stored at this node for this device and state; empty if nothing
   * @param mixed whether the nodes in hand differ in it
   * @param devices the devices for which a node in hand has a value of its own, in this state
   * @param value the winning value as a designer reads it
   * @param css what it is worth
   * @param source where the winner comes from, in words
   * @param local whether a local change for this device is set
   * @param bound the token that it is bound to; empty for a literal
   * @param back what one step back on the trail leads to, in words; empty if there is no such step
   * @param nearest names of the tokens that fit, the nearest first
   */
  record StyleView(
      String property,
      String label,
      String type,
      String form,
      String here,
      boolean mixed,
      List<String> devices,
      String value,
      String css,
      String source,
      boolean local,
      String bound,
      String back,
      List<String> nearest,
      List<TrailStep> trail) {}

  /**
   * One candidate on the source trail.
   *
   * @param token the id of the token that it refers to; empty if none
   * @param own whether the site has a value of its own for that token
   * @param style the named style, or the kind, whose setting it is; empty if none
   */
  record TrailStep(
      String source,
      String node,
      String device,
      String state,
      String value,
      String css,
      boolean won,
      String token,
      boolean own,
      String style) {}

  /**
   * @param fits the types of values that it can stand for
   */
  record TokenChoice(String name, String css, List<String> fits) {}
}
