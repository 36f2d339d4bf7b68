package goodbones.structure;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.style.SiteFinishes;
import goodbones.testing.HouseFinishes;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SieveTest {
  private static final Sieve SIEVE =
      new Sieve(
          new SiteFinishes(HouseFinishes.house(), Map.of()),
          new Sieve.Known() {
            @Override
            public boolean page(String id) {
              return true;
            }

            @Override
            public boolean picture(String id) {
              return id.equals("here");
            }

            @Override
            public boolean piece(String id) {
              return id.equals("band");
            }

            @Override
            public boolean revision(String pieceId, int number) {
              return number < 4;
            }
          });

  private static Node node(String id, Kind kind) {
    return Node.of(NodeId.of(id), kind, "");
  }

  private static Node sifted(Node node) {
    return SIEVE.sifted(node).orElseThrow();
  }

  /** What once stood in a style sheet because nobody asked whether there is such a picture. */
  @Test
  void aPictureThatIsNotHereDoesNotComeAlong() {
    Node section =
        node("s", Kind.SECTION)
            .withContent("picture", new FieldValue.Picture("x\");}*{display:none", ""))
            .withChildren(
                List.of(
                    node("p", Kind.PICTURE)
                        .withContent("picture", new FieldValue.Picture("here", "Quay"))));
    Node kept = sifted(section);
    assertThat(kept.content()).isEmpty();
    assertThat(kept.children().get(0).content()).containsKey("picture");
  }

  @Test
  void harmlessMarksStayAndOthersGo() {
    Node text =
        node("t", Kind.TEXT)
            .withContent(
                "words",
                new FieldValue.Words(
                    "one two three four five",
                    List.of(
                        new Mark(Mark.Type.LINK, 0, 3, "?q=1"),
                        new Mark(Mark.Type.LINK, 4, 7, "javascript:evil()"),
                        new Mark(Mark.Type.COLOUR, 8, 13, "{no.such}"),
                        new Mark(Mark.Type.COLOUR, 14, 18, "{color.accent}"),
                        new Mark(Mark.Type.BOLD, 19, 23, ""))));
    FieldValue.Words words = (FieldValue.Words) sifted(text).content().get("words");
    assertThat(words.text()).isEqualTo("one two three four five");
    assertThat(words.marks())
        .extracting(Mark::value)
        .containsExactlyInAnyOrder("?q=1", "{color.accent}", "");
  }

  @Test
  void settingsThatNobodyCouldMakeHereGo() {
    Node text =
        node("t", Kind.TEXT)
            .withNamedStyles(List.of("no-such-style"))
            .withStyle(StyleKey.parse("font-size"), StyleValue.token("size.text"))
            .withStyle(StyleKey.parse("color"), StyleValue.literal("red;}*{display:none"))
            .withStyle(StyleKey.parse("letter-spacing"), StyleValue.token("no.such"))
            .withStyle(StyleKey.parse("columns"), StyleValue.literal("equal"));
    Node kept = sifted(text);
    assertThat(kept.namedStyles()).isEmpty();
    assertThat(kept.styles()).containsOnlyKeys(StyleKey.parse("font-size"));
    assertThat(Catalogue.faults(kept)).isEmpty();
  }

  @Test
  void piecesRevisionsAndLocalChangesAreAskedForToo() {
    assertThat(SIEVE.sifted(Node.placing(NodeId.of("p"), "", "elsewhere"))).isEmpty();
    LocalKey picture = new LocalKey(NodeId.of("a"), Aspect.content("picture"));
    LocalKey insert = new LocalKey(NodeId.of("new"), Aspect.PLACED);
    Placement placement =
        Placement.of("band")
            .withPin(Optional.of(new Pin(9, Pin.Reason.HELD)))
            .withBound(9)
            .saying(
                Map.of(
                    picture,
                    new LocalValue.ContentIs(new FieldValue.Picture("nowhere", "")),
                    insert,
                    new LocalValue.PlacedUnder(
                        NodeId.of("a"),
                        Optional.of(
                            node("new", Kind.PICTURE)
                                .withContent("picture", new FieldValue.Picture("nowhere", ""))))));
    Placement kept =
        sifted(Node.placing(NodeId.of("p"), "", "band").withPlacement(placement))
            .placement()
            .orElseThrow();
    assertThat(kept.pin()).isEmpty();
    assertThat(kept.bound()).isZero();
    assertThat(kept.changes()).containsOnlyKeys(insert);
    assertThat(
            ((LocalValue.PlacedUnder) kept.changes().get(insert).value()).inserted().orElseThrow())
        .extracting(Node::content)
        .isEqualTo(new java.util.TreeMap<>());
  }
}
