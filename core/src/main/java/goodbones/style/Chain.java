package goodbones.style;

import java.util.AbstractSequentialList;
import java.util.ArrayList;
import java.util.List;
import java.util.ListIterator;
import org.jspecify.annotations.Nullable;

/**
 * The tokens on the way to a value, the first one first. Tokens that lead to the same one share the
 * rest of the way, so that ten thousand aliases in a row take ten thousand steps and not half of
 * their square. Immutable.
 */
final class Chain extends AbstractSequentialList<SiteFinishes.Step> {
  static final Chain NONE = new Chain(null, null, 0);
  private final SiteFinishes.@Nullable Step first;
  private final @Nullable Chain rest;
  private final int size;

  private Chain(SiteFinishes.@Nullable Step first, @Nullable Chain rest, int size) {
    this.first = first;
    this.rest = rest;
    this.size = size;
  }

  /** This chain with one step before it. */
  Chain after(SiteFinishes.Step step) {
    return new Chain(step, this, size + 1);
  }

  static Chain of(List<SiteFinishes.Step> steps) {
    if (steps instanceof Chain chain) {
      return chain;
    }
    Chain chain = NONE;
    for (int i = steps.size() - 1; i >= 0; i--) {
      chain = chain.after(steps.get(i));
    }
    return chain;
  }

  @Override
  public ListIterator<SiteFinishes.Step> listIterator(int index) {
    List<SiteFinishes.Step> steps = new ArrayList<>(size);
    for (Chain at = this; at != null && at.first != null; at = at.rest) {
      steps.add(at.first);
    }
    return java.util.Collections.unmodifiableList(steps).listIterator(index);
  }

  @Override
  public java.util.Iterator<SiteFinishes.Step> iterator() {
    return new java.util.Iterator<>() {
      private @Nullable Chain at = Chain.this;

      @Override
      public boolean hasNext() {
        return at != null && at.first != null;
      }

      @Override
      public SiteFinishes.Step next() {
        Chain now = at;
        if (now == null || now.first == null) {
          throw new java.util.NoSuchElementException();
        }
        at = now.rest;
        return now.first;
      }
    };
  }

  @Override
  public int size() {
    return size;
  }
}
