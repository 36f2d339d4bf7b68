package goodbones.propagation;

import goodbones.document.Aspect;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.StyleProperty;
import goodbones.library.Adopted;
import goodbones.library.Library;
import goodbones.library.Placements;
import goodbones.library.RevisionIndex;
import goodbones.library.Translation;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Keeps for each value that a page says over which values of the library somebody saw it: when it
 * was made, and when a question about it was answered. A page must show it over no other. It knows
 * nothing of the revision that a change says it was made on.
 */
final class Reviewed {
  private final Library library;
  private final Map<What, Set<Optional<LocalValue>>> over = new HashMap<>();

  /**
   * A value that pages say. Of which node is not told, as nodes get other ids by unlinking; words
   * and colours are said only once.
   */
  record What(Aspect aspect, LocalValue value) {
    /** Named styles, visibility and the like are said alike by many; nobody can say by whom. */
    boolean isSaidOnce() {
      return aspect instanceof Aspect.Content content && content.field().equals("words")
          || aspect instanceof Aspect.Style style && style.key().property() == StyleProperty.COLOR;
    }
  }

  /** A value that a page shows, and what the library says beneath it. */
  record Shown(
      NodeId placement, LocalKey key, What what, Optional<LocalValue> beneath, boolean slot) {}

  Reviewed(Library library) {
    this.library = library;
  }

  /** All that a page says over something else that the library says, as far as it is seen. */
  List<Shown> shown(Node page, Adopted adopted) {
    List<Shown> all = new ArrayList<>();
    Placements.of(page)
        .forEach((path, placement) -> shown(path, placement, adopted.shownBy(placement), all));
    return all;
  }

  private void shown(NodeId path, Placement placement, int number, List<Shown> all) {
    Translation there = Translation.of(library, placement, number);
    RevisionIndex index = there.target();
    View view = new View(index, there.layer());
    there
        .layer()
        .changes()
        .forEach(
            (key, value) -> {
              boolean slot = index.isSlot(key) || index.isSiteSlot(key);
              boolean counts = isValue(key.aspect()) && index.has(key.node()) && view.sees(key);
              Optional<LocalValue> beneath = index.value(key);
              if (counts && !beneath.equals(Optional.of(value))) {
                What what = new What(key.aspect(), value);
                all.add(new Shown(path, key, what, beneath, slot));
              }
            });
  }

  private static boolean isValue(Aspect aspect) {
    return aspect instanceof Aspect.Content content && content.field().equals("words")
        || aspect instanceof Aspect.Style
        || aspect instanceof Aspect.Visibility
        || aspect instanceof Aspect.NamedStyles
        || aspect instanceof Aspect.Scheme;
  }

  /** Somebody sees some of what a page says over what the library says now. */
  void seen(Node page, Adopted adopted, Predicate<Shown> which) {
    shown(page, adopted).stream()
        .filter(which)
        .forEach(
            each -> over.computeIfAbsent(each.what(), w -> new HashSet<>()).add(each.beneath()));
  }

  /** The values that pages have said so far. */
  Set<What> known() {
    return Set.copyOf(over.keySet());
  }

  /**
   * What the boxes that a page put in say themselves. Where one was kept of the library's, it is
   * said at the library's own node again when that comes back.
   */
  static Set<What> inserted(Node page) {
    Set<What> said = new HashSet<>();
    for (Placement placement : Placements.of(page).values()) {
      placement
          .changes()
          .values()
          .forEach(
              change -> {
                if (change.value() instanceof LocalValue.PlacedUnder placed) {
                  placed.inserted().ifPresent(tree -> tree.walk(node -> say(node, said)));
                }
              });
    }
    return said;
  }

  private static void say(Node node, Set<What> said) {
    List<Aspect> aspects = new ArrayList<>(List.of(Aspect.VISIBILITY, Aspect.NAMED_STYLES));
    aspects.add(Aspect.SCHEME);
    node.content().keySet().forEach(field -> aspects.add(new Aspect.Content(field)));
    node.styles().keySet().forEach(key -> aspects.add(new Aspect.Style(key)));
    aspects.forEach(
        aspect -> aspect.read(node).ifPresent(value -> said.add(new What(aspect, value))));
  }

  /** What a page shows over something that nobody saw it over. */
  List<Shown> never(Node page, Adopted adopted) {
    return shown(page, adopted).stream()
        .filter(each -> !each.slot())
        .filter(each -> !over.getOrDefault(each.what(), Set.of()).contains(each.beneath()))
        .toList();
  }

  /** The values among what a page shows. */
  Set<What> values(Node page, Adopted adopted) {
    Set<What> values = new HashSet<>();
    shown(page, adopted).forEach(each -> values.add(each.what()));
    return values;
  }
}
