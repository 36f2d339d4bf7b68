package goodbones.style;

import java.util.List;
import java.util.Map;

/**
 * A set of values to start a client from, where there is no brand yet.
 *
 * @param values role token name to value, as a designer writes it
 */
public record ReadySet(String id, String name, String words, Map<String, String> values) {
  private static final List<ReadySet> ALL =
      List.of(
          set(
              "plain-quay",
              "Plain quay",
              "Slate and sand, an even sans",
              "#22343f",
              "#f3efe6",
              "#2d6f8e",
              "Public Sans, Arial, sans-serif",
              "Public Sans, Arial, sans-serif",
              "4px"),
          set(
              "old-ledger",
              "Old ledger",
              "Ink and rust, serif headings",
              "#2b211a",
              "#f5ecdf",
              "#8a3a22",
              "Source Serif 4, Georgia, serif",
              "Source Sans 3, Arial, sans-serif",
              "2px"),
          set(
              "kitchen-garden",
              "Kitchen garden",
              "Leaf and cream, a sturdy slab",
              "#24301f",
              "#f0f4e4",
              "#3d6b2c",
              "Bitter, Rockwell, serif",
              "Work Sans, Arial, sans-serif",
              "10px"),
          set(
              "night-shift",
              "Night shift",
              "Violet and brass, a tall display",
              "#221c33",
              "#f2eefa",
              "#6a3fa0",
              "Fraunces, Georgia, serif",
              "Nunito Sans, Verdana, sans-serif",
              "16px"));

  public static List<ReadySet> all() {
    return ALL;
  }

  private static ReadySet set(
      String id,
      String name,
      String words,
      String text,
      String surface,
      String accent,
      String heading,
      String body,
      String radius) {
    Brand brand =
        new Brand(
            List.of(
                goodbones.colour.Colour.parse(text),
                goodbones.colour.Colour.parse(surface),
                goodbones.colour.Colour.parse(accent)),
            heading,
            body,
            1120);
    Map<String, String> values = new java.util.LinkedHashMap<>();
    brand.values().forEach((role, value) -> values.put(role, value.toString()));
    values.put("radius.button", radius);
    return new ReadySet(id, name, words, java.util.Collections.unmodifiableMap(values));
  }
}
