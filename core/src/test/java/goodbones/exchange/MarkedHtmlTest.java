package goodbones.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Mark;
import goodbones.document.NodeId;
import goodbones.render.PlainHtml;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class MarkedHtmlTest {
  private static FieldValue.Words words(String text, Mark... marks) {
    return new FieldValue.Words(text, List.of(marks));
  }

  @Test
  void boldLinksColoursAndListsAreTakenOver() {
    assertThat(
            MarkedHtml.words(
                "Open <b>daily</b> at <a href='/gate'>the <i>gate</i></a><br>and"
                    + " <span data-colour='{t-accent}'>green</span>"))
        .isEqualTo(
            words(
                "Open daily at the gate\nand green",
                new Mark(Mark.Type.BOLD, 5, 10, ""),
                new Mark(Mark.Type.LINK, 14, 22, "/gate"),
                new Mark(Mark.Type.ITALIC, 18, 22, ""),
                new Mark(Mark.Type.COLOUR, 27, 32, "{t-accent}")));
    assertThat(MarkedHtml.words("<p>Bring</p><ul><li>gloves</li><li>a <b>fork</b></li></ul>"))
        .isEqualTo(
            words(
                "Bring\ngloves\na fork",
                new Mark(Mark.Type.LIST, 6, 12, ""),
                new Mark(Mark.Type.LIST, 13, 19, ""),
                new Mark(Mark.Type.BOLD, 15, 19, "")));
    assertThat(MarkedHtml.words("<a href='/gate' target='_blank'>gate</a>"))
        .isEqualTo(
            words(
                "gate",
                new Mark(Mark.Type.LINK, 0, 4, "/gate"),
                new Mark(Mark.Type.NEW_TAB, 0, 4, "")));
    assertThat(MarkedHtml.words("<ol><li>dig</li></ol><ul><li>rest</li></ul>"))
        .isEqualTo(
            words(
                "dig\nrest",
                new Mark(Mark.Type.LIST, 0, 3, Mark.NUMBERED),
                new Mark(Mark.Type.LIST, 4, 8, "")));
  }

  @Test
  void whatWordsCannotBeMarkedWithIsLeftBehind() {
    String pasted =
        "<style>p{color:red}</style><div style='font:12px x'><o:p>&nbsp;</o:p>"
            + "<p class=Mso><span style='font-weight:700'>Sale</span><script>x()</script>  of\n"
            + " plants</p><p><img src=x onerror=y>Sunday</p></div>";
    assertThat(MarkedHtml.words(pasted))
        .isEqualTo(words("Sale of plants\nSunday", new Mark(Mark.Type.BOLD, 0, 4, "")));
  }

  @Test
  void aColourInsideAnotherReplacesItThereAndAnEmptyOneTakesItAway() {
    assertThat(
            MarkedHtml.words(
                "<span data-colour='{a}'>one <span data-colour='{b}'>two</span> three"
                    + " <span data-colour=''>four</span></span>"))
        .isEqualTo(
            words(
                "one two three four",
                new Mark(Mark.Type.COLOUR, 0, 4, "{a}"),
                new Mark(Mark.Type.COLOUR, 4, 7, "{b}"),
                new Mark(Mark.Type.COLOUR, 7, 14, "{a}")));
    assertThat(
            MarkedHtml.words("<span data-colour='{a}'><span data-colour='{b}'>one</span></span>"))
        .isEqualTo(words("one", new Mark(Mark.Type.COLOUR, 0, 3, "{b}")));
    assertThat(MarkedHtml.words("<span data-colour=''>one</span>").marks()).isEmpty();
  }

  @Test
  void whatIsWrittenIsReadAgain() {
    Random random = new Random(20_261_125);
    String text = "The water is off\nfrom November\nto the first\nof March";
    for (int i = 0; i < 400; i++) {
      List<Mark> marks = new java.util.ArrayList<>();
      for (Mark.Type type : List.of(Mark.Type.BOLD, Mark.Type.ITALIC, Mark.Type.LINK)) {
        int from = random.nextInt(text.length() - 4);
        int to = from + 1 + random.nextInt(text.length() - from - 1);
        boolean edges =
            Character.isWhitespace(text.charAt(from))
                || Character.isWhitespace(text.charAt(to - 1));
        boolean lines = text.substring(from, to).contains("\n");
        if (!edges && !lines) {
          marks.add(new Mark(type, from, to, type == Mark.Type.LINK ? "/water" : ""));
        }
      }
      FieldValue.Words words = new FieldValue.Words(text, marks);
      assertThat(MarkedHtml.words(PlainHtml.inside(words))).as("%s", words).isEqualTo(words);
    }
  }

  @Test
  void marksStayWithTheWordsThatStayWhenOthersAreTyped() {
    FieldValue.Words words =
        words(
            "Open daily at nine",
            new Mark(Mark.Type.BOLD, 5, 10, ""),
            new Mark(Mark.Type.LINK, 14, 18, "/a"));
    assertThat(words.retyped("Open daily from nine").marks())
        .containsExactly(
            new Mark(Mark.Type.LINK, 16, 20, "/a"), new Mark(Mark.Type.BOLD, 5, 10, ""));
    assertThat(words.retyped("Shut").marks()).isEmpty();
  }

  @Test
  void aPageOfAnotherProgramBecomesHeadingsAndTexts() {
    int[] next = {0};
    assertThat(
            PastedHtml.nodes(
                "<div><h2>Rules</h2>Keep the <b>gate</b> shut<ul><li>always</li></ul><p> </p></div>",
                () -> NodeId.of("n" + next[0]++)))
        .extracting(node -> node.kind())
        .containsExactly(Kind.HEADING, Kind.TEXT, Kind.TEXT);
  }
}
