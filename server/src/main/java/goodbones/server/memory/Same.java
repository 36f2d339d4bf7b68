package goodbones.server.memory;

import org.jspecify.annotations.Nullable;

/** One object, and no other that equals it: a large part of a key that is never made twice. */
public final class Same {
  private final Object object;

  public Same(Object object) {
    this.object = object;
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof Same same && same.object == object;
  }

  @Override
  public int hashCode() {
    return System.identityHashCode(object);
  }
}
