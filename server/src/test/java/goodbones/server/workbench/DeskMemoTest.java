package goodbones.server.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.fonts.FontFace;
import goodbones.render.Facts;
import goodbones.server.pictures.PictureBook;
import goodbones.server.workbench.Views.Block;
import goodbones.server.workbench.Views.FreshView;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a reader is sent of a drawing: only what it does not have. */
class DeskMemoTest {
  private static final PictureBook BOOK = PictureBook.empty();

  private static final Views.AroundView BARE = new Views.AroundView("<main>", "</main>", List.of());

  private static final List<FreshView> FRESH =
      List.of(new FreshView("Text", "text", "", 0, "<p></p>"));
  private final DeskMemo memo = new DeskMemo();

  private static Block block(String id, String html) {
    return new Block(id, html, List.of());
  }

  private DeskMemo.News first() {
    return memo.news("", "a{}", List.of(block("map", "1"), block("key", "2")), FRESH, BARE, true);
  }

  @Test
  void whoHasNothingGetsAll() {
    DeskMemo.News news = first();
    assertThat(news.css()).isEqualTo("a{}");
    assertThat(news.fresh()).isEqualTo(FRESH);
    assertThat(news.blocks()).containsExactly(block("map", "1"), block("key", "2"));
  }

  @Test
  void whoHasTheLastDrawingGetsWhatChangedSince() {
    DeskMemo.News before = first();
    DeskMemo.News news =
        memo.news(
            before.drawing(),
            "a{}",
            List.of(block("key", "3"), block("map", "1")),
            FRESH,
            BARE,
            true);
    assertThat(news.drawing()).isNotEqualTo(before.drawing());
    assertThat(news.css()).isNull();
    assertThat(news.fresh()).isNull();
    assertThat(news.blocks()).containsExactly(block("key", "3"), Block.same("map"));
  }

  @Test
  void whoHasAnOlderDrawingGetsAll() {
    DeskMemo.News old = first();
    memo.news(old.drawing(), "b{}", List.of(block("map", "4")), FRESH, BARE, true);
    DeskMemo.News news =
        memo.news(old.drawing(), "b{}", List.of(block("map", "4")), FRESH, BARE, true);
    assertThat(news.css()).isEqualTo("b{}");
    assertThat(news.blocks()).containsExactly(block("map", "4"));
  }

  @Test
  void whatIsOnlyTriedIsNotWhatTheReaderHasThen() {
    DeskMemo.News before = first();
    DeskMemo.News tried =
        memo.news(before.drawing(), "b{}", List.of(block("map", "4")), FRESH, BARE, false);
    assertThat(tried.css()).isEqualTo("b{}");
    assertThat(tried.blocks()).containsExactly(block("map", "4"));
    DeskMemo.News next =
        memo.news(before.drawing(), "a{}", List.of(block("map", "1")), FRESH, BARE, true);
    assertThat(next.css()).isNull();
    assertThat(next.blocks()).containsExactly(Block.same("map"));
  }

  @Test
  void afterAChangeThatWasNotKeptNobodyIsUpToDate() {
    DeskMemo.News before = first();
    memo.forget();
    assertThat(
            memo.news(before.drawing(), "a{}", List.of(block("map", "1")), FRESH, BARE, true)
                .blocks())
        .containsExactly(block("map", "1"));
    assertThat(memo.news("", "a{}", List.of(), FRESH, BARE, true).css()).isEqualTo("a{}");
  }

  @Test
  void otherFontsAreOtherSurroundingsInWhichAllIsRenderedAnew() {
    var before = memo.surroundings(List.of(), Facts.NONE, BOOK);
    var rendered = memo.rendered();
    assertThat(memo.surroundings(List.of(), Facts.NONE, BOOK)).isSameAs(before);
    assertThat(memo.rendered()).isSameAs(rendered);
    List<FontFace> faces = List.of(new FontFace("Ridge", "ridge.woff2", "woff2", 400, 400));
    assertThat(memo.surroundings(faces, Facts.NONE, BOOK)).isNotSameAs(before);
    assertThat(memo.rendered()).isNotSameAs(rendered);
  }

  @Test
  void whereSomethingAboutPicturesChangedAllIsRenderedAnewToo() {
    memo.surroundings(List.of(), Facts.NONE, BOOK);
    var rendered = memo.rendered();
    memo.surroundings(List.of(), Facts.NONE, PictureBook.empty());
    assertThat(memo.rendered()).isNotSameAs(rendered);
  }
}
