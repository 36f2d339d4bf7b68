package goodbones.server.workbench;

import goodbones.fonts.FontFace;
import goodbones.library.Fillings;
import goodbones.render.Facts;
import goodbones.render.RenderMemo;
import goodbones.render.Surroundings;
import goodbones.server.drawing.Frames;
import goodbones.server.pictures.PictureBook;
import goodbones.server.workbench.Views.AroundView;
import goodbones.server.workbench.Views.Block;
import goodbones.server.workbench.Views.FreshView;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What is kept of a document between two edits, so that only what changed is drawn and sent. Losing
 * it costs time and nothing else. Whoever uses it holds its lock.
 */
final class DeskMemo {
  private final Fillings fillings = new Fillings();
  private RenderMemo rendered = new RenderMemo();
  private List<FontFace> faces = List.of();
  private @Nullable Surroundings surroundings;
  private String drawing = "";
  private String css = "";
  private Map<String, Block> blocks = Map.of();
  private List<FreshView> fresh = List.of();
  private @Nullable AroundView around;

  Fillings fillings() {
    return fillings;
  }

  RenderMemo rendered() {
    return rendered;
  }

  /** The surroundings of the drawing, the same object as long as all it says is the same. */
  Surroundings surroundings(List<FontFace> now, Facts facts, PictureBook book) {
    Surroundings known = surroundings;
    if (known == null
        || !faces.equals(now)
        || !known.facts().equals(facts)
        || known.pictures() != book) {
      known = Frames.surroundings(now, facts, book);
      surroundings = known;
      faces = List.copyOf(now);
      rendered = new RenderMemo();
    }
    return known;
  }

  /** What a reader is sent of a drawing. */
  record News(
      String drawing,
      @Nullable String css,
      List<Block> blocks,
      @Nullable List<FreshView> fresh,
      @Nullable AroundView around) {}

  /**
   * What is new in a drawing.
   *
   * @param had the drawing that the reader has; what it has already is left out
   * @param kept whether it is remembered as what the reader has then
   */
  News news(
      String had,
      String newCss,
      List<Block> drawn,
      List<FreshView> newFresh,
      AroundView newAround,
      boolean kept) {
    boolean upToDate = !drawing.isEmpty() && had.equals(drawing);
    boolean sameCss = upToDate && css.equals(newCss);
    boolean sameFresh = upToDate && fresh.equals(newFresh);
    boolean sameAround = upToDate && newAround.equals(around);
    Map<String, Block> before = upToDate ? blocks : Map.of();
    List<Block> news =
        drawn.stream()
            .map(block -> block.equals(before.get(block.id())) ? Block.same(block.id()) : block)
            .toList();
    if (kept) {
      Map<String, Block> known = new HashMap<>();
      drawn.forEach(block -> known.put(block.id(), block));
      blocks = known;
      css = newCss;
      fresh = newFresh;
      around = newAround;
      drawing = UUID.randomUUID().toString();
    }
    return new News(
        drawing,
        sameCss ? null : newCss,
        news,
        sameFresh ? null : newFresh,
        sameAround ? null : newAround);
  }

  /** Forgets what readers have: a change that was drawn was not kept after all. */
  void forget() {
    drawing = "";
  }
}
