package goodbones.server.finishes;

import goodbones.server.reach.ReachViews.ReachView;
import jakarta.validation.Valid;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What the finishes area is told, and what it asks for. Every part is required unless it says. */
final class FinishesViews {
  private FinishesViews() {}

  /**
   * The finishes as rows and columns. A reader who says which table it had is sent what is new.
   *
   * @param telling what to call this table when asking again
   * @param stamp changes whenever anything in the finishes does
   * @param order the ids of all tokens as they stand; null if they stand as in the table that the
   *     reader had
   * @param tokens the rows that the reader does not have
   * @param revision the newest
   * @param draft whether the house's finishes differ from it
   * @param undo what undo would undo; empty if nothing
   */
  record Table(
      String telling,
      long stamp,
      int revision,
      boolean draft,
      String undo,
      String redo,
      List<Column> sites,
      @Nullable List<String> order,
      List<TokenRow> tokens,
      List<SchemeView> schemes,
      List<StyleRow> styles,
      List<RevisionView> revisions) {}

  record RevisionView(int number, String note, Instant released) {}

  /**
   * A client.
   *
   * @param revision the revision of the house's finishes that it shows
   * @param own how many values are its own
   */
  record Column(String id, String name, String logo, int revision, boolean behind, int own) {}

  /**
   * @param form what a right value looks like, in words
   * @param property the CSS custom property that it is written as
   * @param sites site id to what the token is there
   * @param nodes how many nodes on all pages are worth what they are through it
   */
  record TokenRow(
      String id,
      String name,
      String type,
      String form,
      String property,
      String description,
      boolean retired,
      Cell house,
      Map<String, Cell> sites,
      int nodes) {}

  /**
   * @param value what is stored, as a designer reads it
   * @param css what it is worth
   * @param own whether it is the site's own; for the house, whether it differs from the revision
   * @param differs whether it is worth something else than at the house
   * @param chain the tokens on the way
   */
  record Cell(String value, String css, boolean own, boolean differs, List<String> chain) {}

  /**
   * @param values token id to what it means inside the scheme
   */
  record SchemeView(String id, String name, Map<String, String> values) {}

  /**
   * A named style, or how every element of a kind looks.
   *
   * @param id of a kind it begins with {@code kind:}
   * @param site whose own it is; empty for the house's
   * @param basedOn empty if it stands alone
   * @param places how many nodes have it
   */
  record StyleRow(
      String id,
      String name,
      String site,
      String basedOn,
      List<SettingView> settings,
      List<PropertyView> may,
      List<String> states,
      int places) {}

  record SettingView(
      String property, String label, String device, String state, String value, String css) {}

  record PropertyView(String property, String label, String type, String form) {}

  /**
   * An edit to be tried without being kept.
   *
   * @param look the site in whose look the specimen is drawn; empty for the house's
   * @param page the page to draw; empty for the specimen
   */
  record TryRequest(@Valid AskedStep edit, String look, String page) {}

  /**
   * What an edit would look like.
   *
   * @param problem why it cannot be; empty if it can
   * @param css what the token would be worth; empty if the edit is of no token
   * @param html the page in the new look
   * @param follows the custom properties that are worth what the token is, in the look drawn
   * @param colour empty unless the token is a colour
   */
  record Tried(
      String problem,
      String css,
      String html,
      List<Followers> follows,
      @Nullable ColourView colour) {}

  /** Custom properties that follow a token, at the root or at the sections of a scheme. */
  record Followers(String selector, List<String> properties) {}

  /**
   * How far an edit would go.
   *
   * @param pairs what the token's colour would be used with, the worst contrast first; empty unless
   *     it is a colour
   */
  record Reached(ReachView reach, List<ColourPair> pairs) {}

  /**
   * A colour taken apart.
   *
   * @param hex sRGB, with alpha where it has some
   * @param lightness of OKLCH, 0 to 1
   * @param chroma of OKLCH
   * @param hue of OKLCH, in degrees
   * @param steps the same hue and chroma, as far as sRGB goes, in even steps of lightness
   */
  record ColourView(
      String hex, double lightness, double chroma, double hue, double alpha, List<String> steps) {}

  /**
   * @param role what the colour is in the pair: text or ground
   * @param with the css of the other
   * @param ratio 0 where it cannot be told
   * @param verdict aaa, aa, fails or cannot_tell
   */
  record ColourPair(
      String role,
      String text,
      String ground,
      double ratio,
      double least,
      String verdict,
      boolean large,
      int places) {}

  /**
   * @param sites the sites that are to show it at once
   */
  record FinishesRelease(String note, List<String> sites) {}

  /** What bringing a site to a revision, or to the draft, would change. */
  record FinishesPlan(String id, String name, int from, ReachView reach) {}

  /**
   * A pair of text and ground.
   *
   * @param text what the text colour is, as stored
   * @param grounds what lies behind, the upper first, in words
   * @param groundCss a CSS background that shows it
   * @param ratio 0 where it cannot be told
   * @param least what AA asks for
   * @param size in px at the device where it counts
   */
  record ContrastRow(
      String text,
      String textCss,
      String grounds,
      String groundCss,
      double ratio,
      double least,
      String verdict,
      boolean large,
      String size,
      List<String> states,
      List<String> devices,
      List<PlaceView> places,
      int more,
      List<MendView> mends) {}

  record PlaceView(String pageId, String pageTitle, String node, String nodeTitle) {}

  /**
   * A lightness that would pass.
   *
   * @param what text or ground
   * @param token the id of the token that would get it; empty where it is written at the node
   * @param name the token's name
   * @param ratio what it would come to
   */
  record MendView(String what, String token, String name, String css, double ratio) {}

  record Sheet(List<ContrastRow> rows, int failing, int unknown) {}

  /**
   * A family that a site's finishes name and that is not there.
   *
   * @param token the id of the token that names it; empty where a node does
   * @param substitute the nearest family that ships
   * @param stack the substitute with its fallbacks
   */
  record MissingFont(
      String family, String token, String tokenName, String substitute, String stack, String why) {}

  /**
   * @param type serif, sans, slab, mono, display or script
   */
  record FamilyView(String name, String type, int least, int greatest, String stack, boolean own) {}

  /**
   * @param own files of the site's own, an entry for each file
   */
  record FontsView(
      List<FamilyView> families,
      List<goodbones.server.fonts.ClientFontView> own,
      List<MissingFont> missing) {}

  /** What came in with a file. */
  record Imported(int tokens, List<String> notes) {}
}
