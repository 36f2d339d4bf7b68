package goodbones.render;

import goodbones.document.Node;
import goodbones.document.StyleKey;
import goodbones.document.StyleValue;
import goodbones.fonts.FontFace;
import goodbones.style.SiteFinishes;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What was rendered of a page before, so that an edit renders only what it changed. A subtree that
 * is the same object, in the same look, is not rendered again.
 *
 * <p>One memo serves one page and one thread at a time.
 */
public final class RenderMemo {
  /** All that what stands on a page takes from the page around it. */
  private record Around(
      Map<StyleKey, StyleValue> styles, List<String> namedStyles, Optional<String> scheme) {}

  /** One rendered block and what it uses. */
  record Fragment(
      String html,
      Set<String> classes,
      Set<String> schemes,
      Set<FontFace> faces,
      Set<String> pictures) {}

  private Map<Node, Fragment> fragments = new IdentityHashMap<>();
  private Map<Node, Fragment> before = new IdentityHashMap<>();
  private final Map<String, String> classes = new HashMap<>();
  private final Map<String, String> rules = new HashMap<>();
  private final Map<String, StyleValue.TokenRef> refs = new HashMap<>();
  private @Nullable SiteFinishes finishes;
  private @Nullable Around around;

  /** Forgets everything if the page is to be drawn in another look. */
  void begin(Node root, SiteFinishes now) {
    Around here = new Around(root.styles(), root.namedStyles(), root.scheme());
    if (finishes != now || !here.equals(around)) {
      fragments.clear();
      classes.clear();
      rules.clear();
      refs.clear();
    }
    finishes = now;
    around = here;
    before = fragments;
    fragments = new IdentityHashMap<>();
  }

  Optional<Fragment> known(Node node) {
    Fragment fragment = before.get(node);
    if (fragment != null) {
      fragments.put(node, fragment);
    }
    return Optional.ofNullable(fragment);
  }

  void keep(Node node, Fragment fragment) {
    fragments.put(node, fragment);
  }

  /** From the text of a rule, with an ampersand for its selector, to its class. */
  Map<String, String> classes() {
    return classes;
  }

  /** From a class to its rule. */
  Map<String, String> rules() {
    return rules;
  }

  /** From the name of a custom property to the token that it stands for. */
  Map<String, StyleValue.TokenRef> refs() {
    return refs;
  }
}
