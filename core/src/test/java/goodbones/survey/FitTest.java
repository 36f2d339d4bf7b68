package goodbones.survey;

import static goodbones.testing.Benches.after;
import static goodbones.testing.Built.find;
import static goodbones.testing.Built.node;
import static goodbones.testing.Built.styled;
import static goodbones.testing.Built.text;
import static goodbones.testing.Built.worded;
import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Device;
import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.SlotWant;
import goodbones.layout.Screen;
import goodbones.library.Shown;
import goodbones.style.Cascade;
import goodbones.style.SiteFinishes;
import goodbones.testing.HouseFinishes;
import goodbones.testing.Sizes;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What is said of a thing called "put" after it was put down on a page. */
class FitTest {
  private static final SiteFinishes FINISHES = new SiteFinishes(HouseFinishes.house(), Map.of());

  /** Words of one line each; pictures as they are kept are 3 by 2. */
  private static final Sizes LINES = new Sizes(30, 100, 10, 1.5);

  private static Node page(Node... sections) {
    return node("page", Kind.PAGE, sections);
  }

  private static Node section(String id, String padding, Node... children) {
    return styled(
        node(id, Kind.SECTION, children), "padding-top", padding, "padding-bottom", padding);
  }

  private static Node picture(String id, String... settings) {
    Node picture =
        node(id, Kind.PICTURE).withContent("picture", new FieldValue.Picture("p", "A boat"));
    return styled(styled(picture, "max-width", "200px"), settings);
  }

  private static List<Fit.Finding> fit(Node page, String... put) {
    return Fit.of(
        page,
        new Cascade(page, Shown.of(page), FINISHES),
        FINISHES,
        Stream.of(put).map(NodeId::of).toList(),
        Map.of(
            Device.DESKTOP, new Screen(Device.DESKTOP, 1280, 800),
            Device.TABLET, new Screen(Device.TABLET, 834, 1112),
            Device.PHONE, new Screen(Device.PHONE, 390, 844)),
        device -> LINES);
  }

  private static Node mended(Node page, List<Fit.Finding> findings) {
    Node mended = page;
    for (Fit.Finding finding : findings) {
      for (Fit.Setting setting : finding.settings()) {
        mended = after(mended, new Edit.SetStyle(setting.node(), setting.key(), setting.value()));
      }
    }
    return mended;
  }

  private static List<String> said(Node page, String... put) {
    return fit(page, put).stream()
        .map(finding -> finding.device().word() + ": " + finding.says())
        .toList();
  }

  private static List<String> mends(Node page, String... put) {
    return fit(page, put).stream().map(Fit.Finding::mend).distinct().toList();
  }

  @Test
  void everythingThatDoesNotFitIsFoundAndTheMendsMendIt() {
    Node loud =
        styled(
            node(
                "put",
                Kind.SECTION,
                styled(
                    wanting(
                        worded(node("h", Kind.HEADING), "Sale"),
                        "words",
                        new SlotWant(10, 60, "", "what it is about")),
                    "font-size",
                    "53px"),
                picture("p", "aspect-ratio", "1 / 1")),
            "min-height",
            "1100px");
    Node page = page(section("s1", "64px"), section("s2", "64px", picture("q")), loud);
    List<Fit.Finding> findings = fit(page, "put");
    assertThat(findings).extracting(Fit.Finding::check).contains(Fit.Check.values());
    assertThat(fit(mended(page, findings), "put"))
        .extracting(Fit.Finding::says)
        .containsExactly("It has 4 characters; the piece wants at least 10 (what it is about)");
  }

  private static Node wanting(Node node, String field, SlotWant want) {
    return node.withOptions(node.options().wanting(field, Optional.of(want)));
  }

  @Test
  void whatASlotWantsIsToldAndAPictureCroppedToIt() {
    Node words =
        wanting(worded(node("h", Kind.HEADING), "A long one"), "words", new SlotWant(0, 5, "", ""));
    Node square =
        wanting(picture("p", "aspect-ratio", "1 / 1"), "picture", new SlotWant(0, 0, "3 / 2", ""));
    Node page = page(node("put", Kind.SECTION, words, square));
    assertThat(said(page, "put"))
        .containsExactly(
            "desktop: It has 10 characters; the piece wants at most 5",
            "desktop: The piece wants a picture of 3 / 2");
    assertThat(said(mended(page, fit(page, "put")), "put")).hasSize(1);
    Node standsIn = words.withContent("words", FieldValue.Words.standIn("A long one"));
    assertThat(said(page(node("put", Kind.SECTION, standsIn)), "put")).isEmpty();
  }

  @Test
  void aWantThatMakesNoSenseIsRefused() {
    assertThat(new SlotWant(5, 4, "", "").fault()).isPresent();
    assertThat(new SlotWant(-1, 4, "", "").fault()).isPresent();
    assertThat(new SlotWant(0, 0, "wide", "").fault()).isPresent();
    assertThat(new SlotWant(0, 0, "3 / 0", "").fault()).isPresent();
    assertThat(new SlotWant(0, 0, "", "x".repeat(121)).fault()).isPresent();
    assertThat(new SlotWant(0, 60, "16 / 9", "the visitor’s first question").fault()).isEmpty();
  }

  @Test
  void aSectionThatBreathesLikeItsNeighboursIsNotSpokenOf() {
    assertThat(fit(page(section("s1", "64px"), section("put", "64px")), "put")).isEmpty();
    assertThat(fit(page(section("put", "64px")), "put")).isEmpty();
  }

  @Test
  void whatMostSectionsHaveIsTheMeasureAlsoWithoutAMajority() {
    Node page =
        page(
            section("opening", "112px"),
            section("put", "3px"),
            section("month", "88px"),
            section("hours", "56px"),
            section("yard", "88px"));
    assertThat(said(page, "put"))
        .containsExactly(
            "desktop: Padding top is 3px; its neighbours have 88px",
            "desktop: Padding bottom is 3px; its neighbours have 88px");
  }

  @Test
  void ofValuesEquallyUsualTheNearestIsTakenAndOneOfThemIsLeft() {
    assertThat(
            mends(
                page(section("far", "112px"), section("near", "56px"), section("put", "3px")),
                "put"))
        .containsExactly("Take the neighbours’ 56px");
    assertThat(
            fit(
                page(section("far", "112px"), section("near", "56px"), section("put", "112px")),
                "put"))
        .isEmpty();
  }

  @Test
  void sectionsPutDownTogetherAreNotEachOthersMeasure() {
    Node page = page(section("s1", "64px"), section("put", "8px"), section("also", "8px"));
    assertThat(fit(page, "put", "also"))
        .extracting(Fit.Finding::node)
        .contains(NodeId.of("put"), NodeId.of("also"));
  }

  @Test
  void paddingOfOneDeviceIsSpokenOfForThatDeviceAlone() {
    Node own = styled(section("put", "64px"), "padding-top@phone", "4px");
    Node page = page(section("s1", "64px"), own);
    assertThat(said(page, "put"))
        .containsExactly("phone: Padding top is 4px; its neighbours have 64px");
    Node mended = mended(page, fit(page, "put"));
    assertThat(find(mended, "put").styles())
        .isEqualTo(styled(own, "padding-top@phone", "64px").styles());
  }

  @Test
  void aHeightThatComesFromWhatIsInsideIsToldWithoutAMend() {
    Node tall = section("put", "64px", styled(node("box", Kind.BOX), "min-height", "900px"));
    List<Fit.Finding> findings = fit(page(section("s1", "64px"), tall), "put");
    assertThat(findings)
        .filteredOn(finding -> finding.check() == Fit.Check.HEIGHT)
        .isNotEmpty()
        .allSatisfy(finding -> assertThat(finding.settings()).isEmpty())
        .allSatisfy(finding -> assertThat(finding.mend()).isEmpty());
  }

  @Test
  void moreThanOneScreenOfViewportHeightIsBroughtToOneAndSaidOnce() {
    Node tall = styled(node("put", Kind.SECTION), "min-height", "150vh");
    List<Fit.Finding> findings = fit(page(tall), "put");
    assertThat(findings).extracting(Fit.Finding::device).containsExactly(Device.DESKTOP);
    assertThat(fit(mended(page(tall), findings), "put")).isEmpty();
  }

  @Test
  void aHeightOfItsOwnOnAPhoneIsSaidAndMendedForThePhoneToo() {
    Node tall =
        styled(node("put", Kind.SECTION), "min-height", "1400px", "min-height@phone", "1400px");
    List<Fit.Finding> findings = fit(page(tall), "put");
    assertThat(findings)
        .extracting(Fit.Finding::device)
        .containsExactly(Device.DESKTOP, Device.PHONE);
    assertThat(fit(mended(page(tall), findings), "put")).isEmpty();
  }

  @Test
  void aTextSizeOnTheClientsScaleOrBoundToATokenFits() {
    Node bound = text("put", "Hello", "font-size", "{size.text}");
    assertThat(fit(page(bound), "put")).isEmpty();
    Node free = text("put", "Hello", "font-size@phone", "53px");
    assertThat(said(page(free), "put"))
        .containsExactly("phone: Text size 53px is not one of this client’s");
    assertThat(fit(page(free), "put").get(0).mend()).startsWith("Take size.");
  }

  @Test
  void aPictureIsComparedWithThoseNearestAroundItAndWithTheMost() {
    Node row =
        node(
            "row",
            Kind.ROW,
            node("c1", Kind.COLUMN, picture("a", "aspect-ratio", "4 / 3")),
            node("c2", Kind.COLUMN, picture("b", "aspect-ratio", "4 / 3")),
            node("c3", Kind.COLUMN, picture("c", "aspect-ratio", "1 / 1")),
            node("put", Kind.COLUMN, picture("d")));
    Node page =
        page(
            section("s1", "64px", picture("wide", "aspect-ratio", "16 / 9")),
            section("s2", "64px", row));
    assertThat(mends(page, "put")).containsExactly("Crop it to 4 / 3");
    assertThat(fit(mended(page, fit(page, "put")), "put")).isEmpty();
    Node alone = node("put", Kind.COLUMN, picture("d"));
    Node other =
        page(
            section("s1", "64px", picture("wide", "aspect-ratio", "16 / 9")),
            section("s2", "64px", node("row", Kind.ROW, alone)));
    assertThat(mends(other, "put")).containsExactly("Crop it to 16 / 9");
  }

  @Test
  void aPictureAsItIsKeptHasTheRatioOfItsFile() {
    Node page =
        page(
            section("s1", "64px", picture("a", "aspect-ratio", "3 / 2")),
            section("s2", "64px", picture("put")));
    assertThat(fit(page, "put")).isEmpty();
    Node square =
        page(
            section("s1", "64px", picture("a")),
            section("s2", "64px", picture("put", "aspect-ratio", "1 / 1")));
    assertThat(mends(square, "put")).containsExactly("Crop it to 150 / 100");
  }
}
