package goodbones.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import goodbones.document.Catalogue;
import goodbones.document.Field;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.layout.Room;
import goodbones.library.Shown;
import goodbones.render.Facts;
import goodbones.render.Framed;
import goodbones.render.PageHtml;
import goodbones.render.Pictured;
import goodbones.render.Rendered;
import goodbones.render.Renderer;
import goodbones.render.StyleSheet;
import goodbones.render.Surroundings;
import goodbones.site.Region;
import goodbones.testing.CataloguePages;
import goodbones.testing.Runs;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/**
 * What is published stands where the canvas shows it, box by box: generated pages with generated
 * parts in every region, both drawn by Chromium at four widths.
 */
class PublishedAsDrawnTest {
  private static final int PAGES = Runs.of(12, 300);
  private static final int[] WIDTHS = {390, 834, 1024, 1280};
  private static final String BOXES =
      """
      () => [...document.body.querySelectorAll('*')].map((e) => {
        const { x, y, width, height } = e.getBoundingClientRect();
        return [e.tagName, x, y, width, height].join(' ');
      })
      """;

  private static final Set<Kind> OF_CLIENT = Set.of(Kind.LOGO, Kind.MENU, Kind.SOCIAL);

  @Test
  void everyBoxStandsWhereTheCanvasShowsIt() {
    int boxes = 0;
    try (Designer designer = new Designer("")) {
      for (long seed = 1; seed <= PAGES; seed++) {
        Map<Region, Node> parts = new EnumMap<>(Region.class);
        for (Region region : Region.values()) {
          if (new Random(seed * 31 + region.ordinal()).nextInt(4) > 0) {
            parts.put(region, page(seed * 7 + region.ordinal()));
          }
        }
        Node page = page(seed);
        for (int width : WIDTHS) {
          List<String> published = drawn(page, parts, false, width, designer.page());
          List<String> canvas = drawn(page, parts, true, width, designer.page());
          assertThat(canvas).as("seed %d at %d", seed, width).isEqualTo(published);
          boxes += published.size();
        }
      }
    }
    assertThat(boxes).isGreaterThan(PAGES * 100);
  }

  private static Node page(long seed) {
    return filled(new CataloguePages(new Random(seed), 3 + (int) (seed % 5)).page(12));
  }

  /** What is not set or said is seen on the canvas alone, on purpose; here everything is. */
  private static Node filled(Node node) {
    Node filled = node;
    for (Field field : Catalogue.fields(node.kind())) {
      if (field.key().equals("words")) {
        filled = filled.withContent("words", new FieldValue.Words("Some words"));
      } else if (field.type() == Field.Type.PICTURE) {
        filled = filled.withContent(field.key(), new FieldValue.Picture("40x30", "", true));
      }
    }
    return filled.withChildren(
        node.children().stream()
            .filter(child -> !OF_CLIENT.contains(child.kind()))
            .map(PublishedAsDrawnTest::filled)
            .toList());
  }

  @SuppressWarnings("unchecked")
  private static List<String> drawn(
      Node page, Map<Region, Node> parts, boolean canvas, int width, Page tab) {
    List<Framed.Part> around = new ArrayList<>();
    parts.forEach(
        (region, part) ->
            around.add(new Framed.Part(region, "part-" + region.word(), rendered(part, canvas))));
    Framed framed = new Framed(rendered(page, canvas), around, canvas, Room.WHOLE);
    String css = StyleSheet.of(framed.rendered());
    tab.setViewportSize(width, 800);
    tab.setContent(PageHtml.of("en", "Boxes", "", "<style>" + css + "</style>", framed.body()));
    return (List<String>) tab.evaluate(BOXES);
  }

  private static Rendered rendered(Node page, boolean canvas) {
    Surroundings plain =
        new Surroundings(
            Pictured.at(Drawn::svg), UnaryOperator.identity(), List.of(), "", canvas, Facts.NONE);
    return Renderer.render(Shown.of(page), Drawn.BARE, plain);
  }
}
