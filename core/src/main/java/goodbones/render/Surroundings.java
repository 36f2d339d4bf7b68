package goodbones.render;

import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * What rendering needs to know beyond the tree and the finishes.
 *
 * @param pictureUrl from a picture's id to where it is served
 * @param linkUrl from a stored link to what is written in the page
 * @param fontUrls from a font family that ships with the application to its file; a variable font
 *     of weights 100 to 900
 * @param base what stands before picture addresses in HTML, where the page is not in the folder of
 *     its style sheet
 * @param withIds whether elements carry their node's id, for the canvas
 */
public record Surroundings(
    UnaryOperator<String> pictureUrl,
    UnaryOperator<String> linkUrl,
    Map<String, String> fontUrls,
    String base,
    boolean withIds) {
  public Surroundings {
    fontUrls = Map.copyOf(fontUrls);
  }
}
