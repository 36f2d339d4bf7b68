package goodbones.render;

import goodbones.fonts.FontFace;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;

/**
 * A rendered page, in parts, so that a site's pages can share one style sheet.
 *
 * @param body the HTML of the body element
 * @param rules the CSS of each generated class, by class name
 * @param tokens the custom properties in use: name to value
 * @param scopes the same again for each colour scheme in use, by the class of its sections
 * @param faces the font files in use
 * @param pictures the ids of the pictures in use
 */
public record Rendered(
    String body,
    SortedMap<String, String> rules,
    SortedMap<String, String> tokens,
    SortedMap<String, SortedMap<String, String>> scopes,
    SortedSet<FontFace> faces,
    Set<String> pictures) {}
