package goodbones.survey;

import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.FieldValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.library.Shown;
import goodbones.style.Candidate;
import goodbones.style.Cascade;
import goodbones.style.Layer;
import goodbones.style.Scheme;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * One page with every style resolved as far as the value that wins, tokens not yet looked up. It
 * stays right when a token's value changes; it must be made anew when the page, a revision that it
 * shows, a named style, a scheme or a kind's default changes.
 *
 * @param uses for each setting that refers to a token, the nodes that show it and on which devices
 * @param pairs every text over its ground, with the nodes where it stands
 * @param namedStyles the ids of the named styles that its nodes have
 */
public record PageLook(
    String pageId,
    Map<Setting, Map<NodeId, Set<Device>>> uses,
    Map<Pair, Set<NodeId>> pairs,
    Set<String> namedStyles) {

  public static PageLook of(String pageId, Shown page, SiteFinishes finishes) {
    return new Builder(pageId, page, finishes).build();
  }

  /** How many uses and pairs it holds, for whoever has to keep within bounds. */
  public int size() {
    return uses.values().stream().mapToInt(Map::size).sum()
        + pairs.values().stream().mapToInt(Set::size).sum();
  }

  private static final class Builder {
    private final String pageId;
    private final Node root;
    private final Cascade cascade;
    private final Map<NodeId, Node> parents = new HashMap<>();
    private final Map<Setting, Map<NodeId, Set<Device>>> uses = new LinkedHashMap<>();
    private final Map<Pair, Set<NodeId>> pairs = new LinkedHashMap<>();
    private final Set<String> namedStyles = new LinkedHashSet<>();

    Builder(String pageId, Shown page, SiteFinishes finishes) {
      this.pageId = pageId;
      this.root = page.root();
      this.cascade = new Cascade(root, page, finishes);
      root.walk(node -> node.children().forEach(child -> parents.put(child.id(), node)));
    }

    PageLook build() {
      visit(root, EnumSet.allOf(Device.class));
      return new PageLook(pageId, uses, pairs, namedStyles);
    }

    private void visit(Node node, Set<Device> shownOn) {
      Set<Device> devices = EnumSet.noneOf(Device.class);
      shownOn.stream().filter(device -> !node.hiddenOn().contains(device)).forEach(devices::add);
      if (devices.isEmpty()) {
        return;
      }
      namedStyles.addAll(node.namedStyles());
      boolean hasWords = Catalogue.field(node.kind(), "words").isPresent();
      for (Device device : devices) {
        for (State state : Catalogue.states(node.kind())) {
          uses(node, device, state, node.kind().isElement());
          if (hasWords && !isBlank(node)) {
            pair(node, device, state);
          }
        }
      }
      node.children().forEach(child -> visit(child, devices));
    }

    private static boolean isBlank(Node node) {
      return !(node.content().get("words") instanceof FieldValue.Words words)
          || words.text().isBlank();
    }

    /** Inherited properties show only at elements: containers hand them on. */
    private void uses(Node node, Device device, State state, boolean isElement) {
      for (StyleProperty property : Catalogue.styles(node.kind())) {
        if (isElement || !property.inherited()) {
          Setting setting = setting(node, property, device, state);
          if (!setting.value().refs().isEmpty()) {
            uses.computeIfAbsent(setting, s -> new LinkedHashMap<>())
                .computeIfAbsent(node.id(), id -> EnumSet.noneOf(Device.class))
                .add(device);
          }
        }
      }
    }

    private Setting setting(Node node, StyleProperty property, Device device, State state) {
      Candidate won = cascade.won(node, property, device, state);
      Node from = won.source() == Layer.Source.INHERITED ? ancestor(node, won.node()) : node;
      String scheme = cascade.scope(from).scheme().map(Scheme::id).orElse("");
      StyleValue value = won.value().orElse(StyleValue.literal(won.css()));
      return new Setting(property, value, value.refs().isEmpty() ? "" : scheme);
    }

    private Node ancestor(Node node, NodeId wanted) {
      Node at = node;
      while (!at.id().equals(wanted)) {
        at = java.util.Objects.requireNonNull(parents.get(at.id()));
      }
      return at;
    }

    private void pair(Node node, Device device, State state) {
      List<Pair.Layer> ground = new ArrayList<>();
      boolean photo = false;
      Optional<Node> at = Optional.of(node);
      State here = state;
      while (at.isPresent()) {
        photo |= layers(at.get(), device, here, ground);
        at = Optional.ofNullable(parents.get(at.get().id()));
        here = State.NORMAL;
      }
      Pair pair =
          new Pair(
              setting(node, StyleProperty.COLOR, device, state),
              setting(node, StyleProperty.FONT_SIZE, device, state),
              setting(node, StyleProperty.FONT_WEIGHT, device, state),
              ground,
              state,
              device,
              photo ? Optional.of(new Place(pageId, node.id())) : Optional.empty());
      pairs.computeIfAbsent(pair, p -> new LinkedHashSet<>()).add(node.id());
    }

    /** The layers of one box, the upper first; what cannot be seen is left out. */
    private boolean layers(Node node, Device device, State state, List<Pair.Layer> ground) {
      if (Catalogue.hasStyle(node.kind(), StyleProperty.OVERLAY_COLOR)) {
        tint(setting(node, StyleProperty.OVERLAY_COLOR, device, state), ground);
      }
      if (Catalogue.hasStyle(node.kind(), StyleProperty.GRADIENT)) {
        Setting gradient = setting(node, StyleProperty.GRADIENT, device, state);
        if (!gradient.value().equals(NO_GRADIENT)) {
          ground.add(new Pair.Blend(gradient));
        }
      }
      boolean photo = node.content().get("picture") instanceof FieldValue.Picture;
      if (photo) {
        ground.add(
            new Pair.Photo(((FieldValue.Picture) node.content().get("picture")).pictureId()));
      }
      if (Catalogue.hasStyle(node.kind(), StyleProperty.BACKGROUND_COLOR)) {
        tint(setting(node, StyleProperty.BACKGROUND_COLOR, device, state), ground);
      }
      return photo;
    }

    private static final StyleValue CLEAR = StyleValue.literal("transparent");
    private static final StyleValue NO_GRADIENT = StyleValue.literal("none");

    private static void tint(Setting colour, List<Pair.Layer> ground) {
      if (!colour.value().equals(CLEAR)) {
        ground.add(new Pair.Tint(colour));
      }
    }
  }
}
