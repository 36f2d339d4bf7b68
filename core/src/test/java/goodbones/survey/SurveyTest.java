package goodbones.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import goodbones.colour.Colour;
import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleValue;
import goodbones.library.Shown;
import goodbones.style.NamedStyle;
import goodbones.style.SiteFinishes;
import goodbones.testing.HouseFinishes;
import goodbones.testing.Trees;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class SurveyTest {
  private static final SiteFinishes SITE = new SiteFinishes(HouseFinishes.house(), Map.of());

  private static Node words(String id, Kind kind, String... settings) {
    return Node.of(NodeId.of(id), kind, "")
        .withContent("words", new FieldValue.Words("Words"))
        .withStyles(new TreeMap<>(HouseFinishes.styles(settings)));
  }

  private static Node section(String id, Node child, String... settings) {
    return Node.of(NodeId.of(id), Kind.SECTION, "")
        .withStyles(new TreeMap<>(HouseFinishes.styles(settings)))
        .withChildren(List.of(child));
  }

  private static Shown page(Node... sections) {
    return Shown.of(Node.of(NodeId.of("page"), Kind.PAGE, "").withChildren(List.of(sections)));
  }

  private static Contrast contrast(Shown page, String node, State state, Contrast.Pixels pixels) {
    return PageLook.of("p", page, SITE).pairs().entrySet().stream()
        .filter(e -> e.getValue().contains(NodeId.of(node)))
        .map(Map.Entry::getKey)
        .filter(pair -> pair.device() == Device.DESKTOP && pair.state() == state)
        .map(pair -> Contrast.of(pair, SITE, pixels))
        .findFirst()
        .orElseThrow();
  }

  private static Contrast contrast(Shown page, String node) {
    return contrast(page, node, State.NORMAL, Contrast.Pixels.UNKNOWN);
  }

  @Test
  void everyTintBehindIsLaidOnTheOneBelow() {
    Shown page =
        page(
            section(
                "s",
                words("t", Kind.TEXT, "color", "rgb(0 0 0 / 50%)"),
                "overlay-color",
                "rgb(255 0 0 / 50%)",
                "background-color",
                "rgb(0 0 255 / 50%)"));
    Colour ground =
        Colour.parse("rgb(255 0 0 / 50%)")
            .over(Colour.parse("rgb(0 0 255 / 50%)").over(Colour.WHITE));
    Contrast found = contrast(page, "t");
    assertThat(found.grounds()).containsExactly(ground);
    assertThat(found.ratio().orElseThrow())
        .isEqualTo(Colour.parse("rgb(0 0 0 / 50%)").contrastOn(ground));
  }

  @Test
  void aGradientCountsWithItsWorstPlace() {
    Shown page =
        page(
            section(
                "s",
                words("t", Kind.TEXT, "color", "#000000"),
                "background-gradient",
                "linear-gradient(90deg, #ffffff 0%, #333333 100%)"));
    assertThat(contrast(page, "t").ratio().orElseThrow())
        .isCloseTo(Colour.BLACK.contrastOn(Colour.parse("#333333")), within(0.001));
  }

  @Test
  void overAPictureTheWorstTenthDecidesAndTheUnknownIsNeverPassed() {
    Node section =
        section(
            "s", words("t", Kind.TEXT, "color", "#ffffff"), "overlay-color", "rgb(0 0 0 / 20%)");
    Shown page = page(section.withContent("picture", new FieldValue.Picture("photo", "")));
    assertThat(contrast(page, "t").verdict()).isEqualTo(Contrast.Verdict.CANNOT_TELL);
    List<Colour> mostlyDark = new ArrayList<>(Collections.nCopies(91, Colour.BLACK));
    mostlyDark.addAll(Collections.nCopies(9, Colour.WHITE));
    assertThat(contrast(page, "t", State.NORMAL, (id, place, device) -> mostlyDark).verdict())
        .isEqualTo(Contrast.Verdict.AAA);
    List<Colour> tenthLight = new ArrayList<>(Collections.nCopies(89, Colour.BLACK));
    tenthLight.addAll(Collections.nCopies(11, Colour.WHITE));
    assertThat(contrast(page, "t", State.NORMAL, (id, place, device) -> tenthLight).verdict())
        .isEqualTo(Contrast.Verdict.FAILS);
  }

  @Test
  void anOpaqueTintHidesThePictureBelow() {
    Node inner = words("b", Kind.BUTTON, "color", "#ffffff", "background-color", "#000000");
    Shown page =
        page(section("s", inner).withContent("picture", new FieldValue.Picture("photo", "")));
    assertThat(contrast(page, "b").ratio().orElseThrow()).isEqualTo(21);
    assertThat(contrast(page, "b", State.HOVER, Contrast.Pixels.UNKNOWN).ratio()).isPresent();
  }

  /** Large text as WCAG 2.2 defines it: 18 pt, or 14 pt and bold, the px being 0.75 pt. */
  @Test
  void largeTextNeedsLess() {
    assertThat(large("font-size", "24px")).isTrue();
    assertThat(large("font-size", "23.9px")).isFalse();
    assertThat(large("font-size", "18.67px", "font-weight", "700")).isTrue();
    assertThat(large("font-size", "18.67px", "font-weight", "600")).isFalse();
    assertThat(large("font-size", "clamp(10px, 5vw, 30px)")).as("at 1280 px").isTrue();
  }

  private static boolean large(String... settings) {
    return contrast(page(section("s", words("t", Kind.TEXT, settings))), "t").large();
  }

  @Test
  void aSchemePaintsTheSectionAndAllInside() {
    Shown page = page(section("s", words("t", Kind.TEXT)).withScheme(Optional.of("dark")));
    Contrast found = contrast(page, "t");
    assertThat(found.text().css()).isEqualTo("#ffffff");
    assertThat(found.grounds()).containsExactly(Colour.parse("#22282b"));
  }

  @Test
  void theMendPasses() {
    Shown page = page(section("s", words("t", Kind.TEXT, "color", "#b0b0b0")));
    Contrast found = contrast(page, "t");
    assertThat(found.verdict()).isEqualTo(Contrast.Verdict.FAILS);
    assertThat(found.mendedText().orElseThrow().contrastOn(Colour.WHITE)).isBetween(4.5, 4.8);
  }

  /** The quick way over the settings must say just what resolving every page again says. */
  @Test
  void whatATokenWouldChangeIsWhatResolvingAllAgainFinds() {
    List<String> tokens =
        List.of(
            "color.text",
            "color.accent",
            "color.background",
            "size.text",
            "type.heading",
            "color.label");
    int changed = 0;
    for (long seed = 0; seed < 150; seed++) {
      Trees trees = new Trees(seed, "n");
      Node section = styled(trees.section(), trees, seed);
      Shown shown = page(section);
      String token = tokens.get((int) (seed % tokens.size()));
      StyleValue value =
          StyleValue.parse(
              token.startsWith("color")
                  ? "#b38f00"
                  : token.startsWith("size") ? "25px" : "700 40px/1 0px {font.body}");
      SiteFinishes after = SITE.with(token, Optional.of(value));
      Impact quick =
          Impact.ofValues(
              new SiteLook(List.of(PageLook.of("p", shown, SITE))),
              SITE,
              after,
              Contrast.Pixels.UNKNOWN);
      Impact whole = Impact.ofAll(Map.of("p", shown), SITE, after, Contrast.Pixels.UNKNOWN);
      assertThat(quick.nodes()).as("seed " + seed).isEqualTo(whole.nodes());
      assertThat(Set.copyOf(quick.lost())).as("seed " + seed).isEqualTo(Set.copyOf(whole.lost()));
      assertThat(Set.copyOf(quick.gained()))
          .as("seed " + seed)
          .isEqualTo(Set.copyOf(whole.gained()));
      changed += quick.nodeCount();
    }
    assertThat(changed).isGreaterThan(100);
  }

  private static Node styled(Node section, Trees trees, long seed) {
    Node[] out = {section.withScheme(seed % 3 == 0 ? Optional.of("dark") : Optional.empty())};
    section.walk(
        node -> {
          if (node.kind() == Kind.HEADING || node.kind() == Kind.TEXT) {
            out[0] =
                out[0].change(
                    node.id(),
                    n ->
                        n.withContent("words", new FieldValue.Words("Words"))
                            .withNamedStyles(
                                trees.random().nextBoolean() ? List.of("small-caps") : List.of())
                            .withStyle(
                                goodbones.document.StyleKey.parse("font-size@phone"),
                                StyleValue.token("size.text")));
          }
        });
    return out[0];
  }

  @Test
  void aNamedStylesEditReachesWhatBuildsOnItAndNothingElse() {
    Shown page =
        page(
            section("s", words("a", Kind.TEXT).withNamedStyles(List.of("small-caps"))),
            section("s2", words("b", Kind.TEXT)));
    NamedStyle label = SITE.namedStyle("label").orElseThrow();
    SiteFinishes after =
        SITE.withOwnStyles(
            List.of(
                label.withStyles(HouseFinishes.styles("font-size", "15px", "color", "#cccccc"))));
    Impact impact = Impact.ofAll(Map.of("p", page), SITE, after, Contrast.Pixels.UNKNOWN);
    assertThat(impact.nodes()).containsOnlyKeys("p");
    assertThat(impact.nodes().get("p")).containsOnlyKeys(NodeId.of("a"));
    assertThat(impact.byDevice()).containsEntry(Device.DESKTOP, 1).containsEntry(Device.PHONE, 1);
    assertThat(impact.lost())
        .hasSize(3)
        .allSatisfy(flip -> assertThat(flip.place().node()).isEqualTo(NodeId.of("a")));
  }
}
