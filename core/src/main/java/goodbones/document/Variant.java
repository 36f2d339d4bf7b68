package goodbones.document;

import java.util.Objects;

/**
 * A variant of a piece: a layer of changes on its own tree, so that what is bettered there gets to
 * every form.
 *
 * @param id stays the same when it is renamed
 * @param layer its changes and orders, as a placement has them; it names no piece
 */
public record Variant(String id, String name, Placement layer) {
  public Variant {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(layer, "layer");
  }

  /** One that differs in nothing yet. */
  public static Variant of(String id, String name) {
    return new Variant(id, name, Placement.of(""));
  }

  public Variant named(String newName) {
    return new Variant(id, newName, layer);
  }

  public Variant withLayer(Placement changed) {
    return new Variant(id, name, changed);
  }
}
