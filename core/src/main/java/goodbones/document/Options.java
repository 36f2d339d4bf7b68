package goodbones.document;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;

/**
 * What about a node a placement may choose, and what is chosen where the node is shown.
 *
 * @param optional whether a placement may switch the node off, with everything in it
 * @param off whether it is switched off where it is shown; never in a stored document
 * @param siteSlots keys of the fields that are filled once for the whole site
 * @param wants what the author wants in slots, by the keys of their fields
 * @param variants the variants of a piece; only its outermost node has some
 * @param variant the one that is shown, by its id; never in a stored document
 */
public record Options(
    boolean optional,
    boolean off,
    SortedSet<String> siteSlots,
    SortedMap<String, SlotWant> wants,
    List<Variant> variants,
    Optional<String> variant) {
  /** Nothing to choose. */
  public static final Options NONE =
      new Options(
          false,
          false,
          Sorted.set(List.of()),
          Collections.emptySortedMap(),
          List.of(),
          Optional.empty());

  public Options {
    siteSlots = Sorted.set(siteSlots);
    // Documents that were kept before have none.
    wants = wants == null ? Collections.emptySortedMap() : Sorted.map(wants);
    variants = List.copyOf(variants);
  }

  public Options withOptional(boolean is) {
    return new Options(is, off, siteSlots, wants, variants, variant);
  }

  public Options withOff(boolean is) {
    return new Options(optional, is, siteSlots, wants, variants, variant);
  }

  public Options withSiteSlots(Collection<String> fields) {
    return new Options(optional, off, Sorted.set(fields), wants, variants, variant);
  }

  public Options withVariants(List<Variant> named) {
    return new Options(optional, off, siteSlots, wants, named, variant);
  }

  public Options showing(Optional<String> shown) {
    return new Options(optional, off, siteSlots, wants, variants, shown);
  }

  /** The same with another wish for a field; empty for none. */
  public Options wanting(String field, Optional<SlotWant> want) {
    return new Options(
        optional,
        off,
        siteSlots,
        want.filter(w -> !w.isNothing())
            .map(w -> Sorted.with(wants, field, w))
            .orElseGet(() -> Sorted.without(wants, field)),
        variants,
        variant);
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
