package goodbones.acceptance;

import com.microsoft.playwright.Page;
import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.layout.Box;
import goodbones.layout.Measured;
import goodbones.layout.Room;
import goodbones.layout.Screen;
import goodbones.library.Shown;
import goodbones.render.Framed;
import goodbones.render.PageHtml;
import goodbones.render.Rendered;
import goodbones.render.Renderer;
import goodbones.render.StyleSheet;
import goodbones.render.Surroundings;
import goodbones.site.Region;
import goodbones.style.Finishes;
import goodbones.style.SiteFinishes;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.UnaryOperator;

/** What Chromium says of a page that the renderer wrote, in plain finishes. */
record Drawn(
    Map<String, List<Number>> natural,
    Map<String, List<Number>> widest,
    Map<String, List<Number>> narrowest,
    Map<String, List<Number>> boxes)
    implements Measured {
  @Override
  public double height(Node element, double width) {
    return Objects.requireNonNull(natural.get(element.id().value())).get(1).doubleValue();
  }

  @Override
  public double width(Node element) {
    if (element.kind() == Kind.PICTURE) {
      return Double.parseDouble(pictureId(element).split("x")[0]);
    }
    return Objects.requireNonNull(widest.get(element.id().value())).get(0).doubleValue();
  }

  @Override
  public double narrowest(Node element) {
    if (element.kind() == Kind.PICTURE) {
      return 0;
    }
    return Objects.requireNonNull(narrowest.get(element.id().value())).get(0).doubleValue();
  }

  @Override
  public double ratio(Node picture) {
    return ratioOf(pictureId(picture));
  }

  Box box(NodeId id) {
    List<Number> box = Objects.requireNonNull(boxes.get(id.value()), () -> "no box of " + id);
    return new Box(
        box.get(0).doubleValue(),
        box.get(1).doubleValue(),
        box.get(2).doubleValue(),
        box.get(3).doubleValue());
  }

  /** Sizes of words where nothing stretches them, and then the boxes as they are drawn. */
  private static final String MEASURE =
      """
      async () => {
        await Promise.all([...document.images].map((i) => i.decode().catch(() => 0)));
        const words = [...document.querySelectorAll('.heading,.text,.label,.button,.icon,.logo,.menu,.social,.divider')];
        const read = () => Object.fromEntries(words.map((e) => {
          const { width, height } = e.getBoundingClientRect();
          return [e.dataset.node, [width, height]];
        }));
        words.forEach((e) => e.style.setProperty('align-self', 'start'));
        const natural = read();
        words.forEach((e) => {
          e.style.setProperty('flex', 'none');
          e.style.setProperty('width', 'max-content');
          e.style.setProperty('max-width', 'none');
        });
        const widest = read();
        words.forEach((e) => e.style.setProperty('width', 'min-content'));
        const narrowest = read();
        words.forEach((e) => e.removeAttribute('style'));
        const boxes = {};
        const from = (document.querySelector('[data-room]') ?? document.body).getBoundingClientRect();
        for (const e of document.querySelectorAll('[data-node]')) {
          const { x, y, width, height } = e.getBoundingClientRect();
          if (e.getClientRects().length > 0) boxes[e.dataset.node] = [x - from.x, y - from.y, width, height];
        }
        return { natural, widest, narrowest, boxes };
      }
      """;

  private static String pictureId(Node picture) {
    return ((FieldValue.Picture) picture.content().get("picture")).pictureId();
  }

  private static double ratioOf(String pictureId) {
    String[] sides = pictureId.split("x");
    return Double.parseDouble(sides[0]) / Double.parseDouble(sides[1]);
  }

  static String svg(String pictureId) {
    String[] sides = pictureId.split("x");
    return "data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' width='"
        + sides[0]
        + "' height='"
        + sides[1]
        + "'%3E%3C/svg%3E";
  }

  /** A page in a tab, to be looked at on several screens. */
  record Sheet(Page tab) {
    @SuppressWarnings("unchecked")
    Drawn at(Screen screen) {
      tab.setViewportSize((int) screen.width(), (int) screen.height());
      Map<String, Object> read = (Map<String, Object>) tab.evaluate(MEASURE);
      return new Drawn(
          (Map<String, List<Number>>) read.get("natural"),
          (Map<String, List<Number>>) read.get("widest"),
          (Map<String, List<Number>>) read.get("narrowest"),
          (Map<String, List<Number>>) read.get("boxes"));
    }
  }

  static Sheet sheet(Node page, Page tab) {
    return sheet(page, Room.WHOLE, tab);
  }

  /** A page with a side column beside it, or as that column beside another page. */
  static Sheet sheet(Node page, Room room, Page tab) {
    Rendered rendered = rendered(page);
    Framed framed =
        switch (room) {
          case WHOLE -> new Framed(rendered, around());
          case BESIDE_COLUMN -> beside(rendered, rendered(OTHER));
          case SIDE_COLUMN -> beside(rendered(OTHER), rendered);
        };
    // The part shows the page's settings, as it does where the page's own are around it.
    String body =
        room == Room.SIDE_COLUMN
            ? framed.body().replace(framed.page().open(), rendered.open())
            : framed.body();
    String at = room == Room.SIDE_COLUMN ? "<header" : "<div class=\"own\"";
    body = body.replace(at, at + " data-room ");
    String css = StyleSheet.of(framed.rendered()) + "body{font-family:sans-serif}";
    tab.setContent(PageHtml.of("en", "Boxes", "", "<style>" + css + "</style>", body));
    return new Sheet(tab);
  }

  private static Rendered rendered(Node page) {
    Surroundings plain =
        new Surroundings(Drawn::svg, UnaryOperator.identity(), List.of(), "", true);
    return Renderer.render(Shown.of(page), BARE, plain);
  }

  /** What stands in every region; its orders and corners are nothing to the page between. */
  private static List<Framed.Part> around() {
    Rendered part = rendered(OTHER);
    return List.of(
        new Framed.Part(Region.HEADER, "header", part),
        new Framed.Part(Region.BAND_ABOVE, "above", part),
        new Framed.Part(Region.BAND_BELOW, "below", part),
        new Framed.Part(Region.FOOTER, "footer", part));
  }

  private static Framed beside(Rendered content, Rendered side) {
    return new Framed(content, List.of(new Framed.Part(Region.SIDE, "side", side)));
  }

  private static Node other(String id, Kind kind, String property, String value) {
    return Node.of(NodeId.of("other-" + id), kind, "")
        .withStyle(StyleKey.parse(property), StyleValue.literal(value));
  }

  /** Sections in another order than they are written, and something set in a corner. */
  private static final Node OTHER =
      Node.of(NodeId.of("other"), Kind.PAGE, "")
          .withChildren(
              List.of(
                  other("last", Kind.SECTION, "order", "1")
                      .withChildren(
                          List.of(
                              Node.of(NodeId.of("other-words"), Kind.TEXT, "")
                                  .withContent("words", new FieldValue.Words("Beside it")))),
                  other("first", Kind.SECTION, "min-height", "20px"),
                  other("corner", Kind.BOX, "pin", "bottom-right")
                      .withStyle(StyleKey.parse("min-height"), StyleValue.literal("12px"))));

  /** The screen of a viewport so wide; the device follows from the finishes' limits. */
  static Screen screen(int width) {
    Finishes house = BARE.house();
    Device device =
        width <= house.phoneLimit()
            ? Device.PHONE
            : width <= house.tabletLimit() ? Device.TABLET : Device.DESKTOP;
    return new Screen(device, width, Device.DESKTOP.height());
  }

  static final SiteFinishes BARE =
      new SiteFinishes(Finishes.of(List.of(), List.of(), Map.of()), Map.of());
}
