package goodbones.render;

import goodbones.fonts.FontFace;
import goodbones.layout.Room;
import goodbones.library.Shown;
import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * What rendering needs to know beyond the tree and the finishes.
 *
 * @param pictures from a picture's id to what is known of it
 * @param linkUrl from a stored link to what is written in the page
 * @param faces the font files that there are
 * @param base what stands before picture addresses in HTML, where the page is not in the folder of
 *     its style sheet
 * @param withIds whether elements carry their node's id, for the canvas
 * @param facts what is known of the client and of the page
 * @param room how much of the page's width is there
 */
public record Surroundings(
    Function<String, Pictured> pictures,
    UnaryOperator<String> linkUrl,
    List<FontFace> faces,
    String base,
    boolean withIds,
    Facts facts,
    Room room) {
  /** Where the whole width is there. */
  public Surroundings(
      Function<String, Pictured> pictures,
      UnaryOperator<String> linkUrl,
      List<FontFace> faces,
      String base,
      boolean withIds,
      Facts facts) {
    this(pictures, linkUrl, faces, base, withIds, facts, Room.WHOLE);
  }

  /** Where nothing is known of a client. */
  public Surroundings(
      UnaryOperator<String> pictureUrl,
      UnaryOperator<String> linkUrl,
      List<FontFace> faces,
      String base,
      boolean withIds) {
    this(Pictured.at(pictureUrl), linkUrl, faces, base, withIds, Facts.NONE);
  }

  public Surroundings {
    faces = List.copyOf(faces);
  }

  /** The same where so much of the page's width is there. */
  public Surroundings with(Room other) {
    return new Surroundings(pictures, linkUrl, faces, base, withIds, facts, other);
  }

  /**
   * What is to be rendered of a tree: where it is published, no item that shows a page which is
   * not.
   */
  public Shown of(Shown shown) {
    return withIds ? shown : shown.withPages(id -> facts.page(id).isPresent());
  }
}
