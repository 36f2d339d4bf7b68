package goodbones.document;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;

/**
 * What about a node a placement may choose, and what is chosen where the node is shown.
 *
 * @param optional whether a placement may switch the node off, with everything in it
 * @param off whether it is switched off where it is shown; never in a stored document
 * @param siteSlots keys of the fields that are filled once for the whole site
 * @param variants the variants of a piece; only its outermost node has some
 * @param variant the one that is shown, by its id; never in a stored document
 */
public record Options(
    boolean optional,
    boolean off,
    SortedSet<String> siteSlots,
    List<Variant> variants,
    Optional<String> variant) {
  /** Nothing to choose. */
  public static final Options NONE =
      new Options(false, false, Sorted.set(List.of()), List.of(), Optional.empty());

  public Options {
    siteSlots = Sorted.set(siteSlots);
    variants = List.copyOf(variants);
  }

  public Options withOptional(boolean is) {
    return new Options(is, off, siteSlots, variants, variant);
  }

  public Options withOff(boolean is) {
    return new Options(optional, is, siteSlots, variants, variant);
  }

  public Options withSiteSlots(Collection<String> fields) {
    return new Options(optional, off, Sorted.set(fields), variants, variant);
  }

  public Options withVariants(List<Variant> named) {
    return new Options(optional, off, siteSlots, named, variant);
  }

  public Options showing(Optional<String> shown) {
    return new Options(optional, off, siteSlots, variants, shown);
  }

  /** One of the variants, by its id. */
  public Optional<Variant> named(String id) {
    return variants.stream().filter(each -> each.id().equals(id)).findFirst();
  }

  /** The variants with one put in the place of that of the same id, or after the others. */
  public List<Variant> with(Variant changed) {
    List<Variant> all = new ArrayList<>(variants);
    for (int i = 0; i < all.size(); i++) {
      if (all.get(i).id().equals(changed.id())) {
        all.set(i, changed);
        return all;
      }
    }
    all.add(changed);
    return all;
  }
}
