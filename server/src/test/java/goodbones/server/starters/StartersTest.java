package goodbones.server.starters;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.colour.Colour;
import goodbones.document.Aspect;
import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.PageShown;
import goodbones.document.Placement;
import goodbones.document.StyleValue;
import goodbones.document.Variant;
import goodbones.layout.Arithmetic;
import goodbones.layout.Box;
import goodbones.layout.Measured;
import goodbones.layout.Screen;
import goodbones.library.Guess;
import goodbones.library.PieceKind;
import goodbones.library.Purpose;
import goodbones.library.Showing;
import goodbones.library.Shown;
import goodbones.server.ServerTest;
import goodbones.server.finishes.FinishesStore;
import goodbones.server.library.Pieces;
import goodbones.style.Cascade;
import goodbones.style.ReadySet;
import goodbones.style.SiteFinishes;
import goodbones.survey.Contrast;
import goodbones.survey.PageLook;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The pieces to start with, in every form, in every look and at every width. */
@ServerTest
class StartersTest {
  private static final List<String> CLIENTS =
      List.of("saltmarsh-ferries", "oakum-rope-museum", "quillon-clocks");

  /** Of these one differs from the other in what it is for, or in its columns alone. */
  private static final Set<Purpose> NO_SECTIONS = Set.of(Purpose.SMALL_PART, Purpose.SKELETON);

  /** The colours of the picture that stands in. */
  private static final List<Colour> PICTURE =
      List.of(Colour.parse("#e4dfd3"), Colour.parse("#b9b09c"));

  /** Words as high as a line, and pictures of their own ratio. */
  private static final Measured SIZES =
      new Measured() {
        @Override
        public double height(Node element, double width) {
          return 24;
        }

        @Override
        public double width(Node element) {
          return 180;
        }

        @Override
        public double narrowest(Node element) {
          return 60;
        }

        @Override
        public double ratio(Node picture) {
          return 1.5;
        }
      };

  @Autowired private Pieces pieces;
  @Autowired private FinishesStore finishes;

  /** Every starter on a page, in its own form and in each of its variants. */
  private Map<String, Shown> shown() {
    Map<String, Shown> all = new LinkedHashMap<>();
    for (Starter starter : Starters.all()) {
      all.put(starter.said().name(), on(starter, Optional.empty()));
      for (Variant variant : starter.root().options().variants()) {
        all.put(
            starter.said().name() + ", " + variant.name(), on(starter, Optional.of(variant.id())));
      }
    }
    return all;
  }

  private Shown on(Starter starter, Optional<String> variant) {
    Placement placement = Placement.of(starter.id()).withBound(1);
    if (variant.isPresent()) {
      LocalKey key = new LocalKey(starter.root().id(), Aspect.VARIANT);
      placement = placement.with(key, new LocalValue.VariantIs(variant));
    }
    Node placed = Node.placing(NodeId.of("p"), "", starter.id()).withPlacement(placement);
    Node page = Node.of(NodeId.of("page"), Kind.PAGE, "").withChildren(List.of(placed));
    return Shown.of(page, Showing.BOUND, pieces);
  }

  @Test
  void thereAreEnoughOfEachKindAndNoTwoAreMadeAlike() {
    List<Starter> all = Starters.all();
    assertThat(all.stream().filter(s -> s.said().kind() == PieceKind.SECTION_TEMPLATE))
        .hasSizeGreaterThanOrEqualTo(20);
    Set<Purpose> purposes = all.stream().map(s -> s.said().purpose()).collect(Collectors.toSet());
    Set<Purpose> wanted = EnumSet.allOf(Purpose.class);
    // They need kinds of elements that there are not yet, or come with a site’s frame.
    wanted.removeAll(Set.of(Purpose.NEWSLETTER, Purpose.HEADER, Purpose.OTHER));
    assertThat(purposes).containsAll(wanted);
    assertThat(all.stream().map(s -> s.said().name())).doesNotHaveDuplicates();
    Set<String> made = new TreeSet<>();
    for (Starter starter : all) {
      StringBuilder make = new StringBuilder();
      on(starter, Optional.empty())
          .root()
          .walk(node -> make.append(node.kind()).append(node.children().size()));
      if (!NO_SECTIONS.contains(starter.said().purpose())) {
        assertThat(made.add(starter.said().purpose() + " " + make))
            .as(starter.said().name())
            .isTrue();
      }
    }
  }

  @Test
  void everyWordAndPictureStandsIn() {
    shown()
        .forEach(
            (name, page) ->
                page.root()
                    .walk(
                        node ->
                            node.content()
                                .forEach(
                                    (field, value) -> {
                                      if (field.equals("words") || field.equals("picture")) {
                                        assertThat(
                                                value.standIn()
                                                    || isBound(value)
                                                    || isLasting(value))
                                            .as("%s, %s", name, node.id())
                                            .isTrue();
                                      }
                                    })));
  }

  /** Whether it names what follows the client below it, and can stay. */
  private static boolean isLasting(FieldValue value) {
    return value instanceof FieldValue.Words words
        && Set.of("Find us", "Open", "More").contains(words.text());
  }

  /** Whether it follows the client, the page or one that an item shows, which is right as it is. */
  private static boolean isBound(FieldValue value) {
    return value instanceof FieldValue.Words words
            && words.marks().stream().anyMatch(mark -> mark.type() == Mark.Type.BOUND)
        || value instanceof FieldValue.Picture picture && PageShown.isPicture(picture.pictureId());
  }

  /** WCAG 2.2, success criterion 1.4.3. */
  @Test
  void theContrastIsEnoughInEveryReadySetAndAtTheClients() {
    Map<String, SiteFinishes> looks = new LinkedHashMap<>();
    SiteFinishes house = finishes.forSite(CLIENTS.get(0));
    for (ReadySet set : ReadySet.all()) {
      Map<String, StyleValue> own = new LinkedHashMap<>();
      set.values()
          .forEach(
              (role, value) ->
                  house.byName(role).ifPresent(t -> own.put(t.id(), StyleValue.parse(value))));
      looks.put(set.name(), new SiteFinishes(house.house(), own));
    }
    CLIENTS.forEach(client -> looks.put(client, finishes.forSite(client)));
    List<String> failing = new ArrayList<>();
    shown()
        .forEach(
            (name, page) ->
                looks.forEach(
                    (look, site) ->
                        PageLook.of("page", page, site)
                            .pairs()
                            .forEach(
                                (pair, nodes) -> {
                                  Contrast contrast =
                                      Contrast.of(pair, site, (id, place, device) -> PICTURE);
                                  if (contrast.verdict() != Contrast.Verdict.AA
                                      && contrast.verdict() != Contrast.Verdict.AAA) {
                                    failing.add(
                                        name + ", " + look + ": " + nodes + " " + contrast.ratio());
                                  }
                                })));
    assertThat(failing).isEmpty();
  }

  @Test
  void nothingReachesOverTheEdgeAtAnyWidth() {
    SiteFinishes site = finishes.forSite(CLIENTS.get(0));
    for (double width : List.of(320.0, 390.0, 834.0, 1280.0, 1920.0)) {
      Device device = width <= 639 ? Device.PHONE : width <= 1023 ? Device.TABLET : Device.DESKTOP;
      shown()
          .forEach(
              (name, page) -> {
                Cascade cascade = new Cascade(page.root(), page, site);
                Map<NodeId, Box> boxes =
                    Arithmetic.boxes(page.root(), cascade, new Screen(device, width, 800), SIZES);
                boxes.forEach(
                    (node, box) -> {
                      assertThat(box.x()).as("%s, %s at %s", name, node, width).isGreaterThan(-0.5);
                      assertThat(box.x() + box.width())
                          .as("%s, %s at %s", name, node, width)
                          .isLessThan(width + 0.5);
                    });
              });
    }
  }

  /** Whoever keeps such a thing is offered what it is. */
  @Test
  void whatItIsForIsMostlyGuessed() {
    int right = 0;
    List<Starter> all = Starters.all();
    for (Starter starter : all) {
      Node root = on(starter, Optional.empty()).root().children().get(0);
      right += Guess.of(root).purpose() == starter.said().purpose() ? 1 : 0;
      assertThat(Guess.of(root).kind() == PieceKind.SAVED_BLOCK)
          .isEqualTo(starter.said().kind() == PieceKind.SAVED_BLOCK);
    }
    assertThat(right).isGreaterThan(all.size() / 2);
  }
}
