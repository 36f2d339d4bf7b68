package goodbones.style;

import goodbones.document.Device;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Says which value wins, for one shown tree on one site.
 *
 * <p>The order: among a node's own values and its named styles (last named first), one for this
 * device beats one for a wider device, and for the same device own beats named; then the finishes'
 * default for the kind; then, for inherited properties, the parent's value; then the CSS initial
 * value. A state runs through each of the first two steps before the normal values do.
 *
 * <p>One instance serves one tree; it is not safe for use by several threads.
 */
public final class Cascade {
  private final SiteFinishes finishes;
  private final OwnValues own;
  private final Map<NodeId, Node> parents = new HashMap<>();

  public Cascade(Node root, OwnValues own, SiteFinishes finishes) {
    this.finishes = finishes;
    this.own = own;
    root.walk(node -> node.children().forEach(child -> parents.put(child.id(), node)));
  }

  /** The value of a property at a node in its normal state, with its whole trail. */
  public Computed computed(Node node, StyleProperty property, Device device) {
    return computed(node, property, device, State.NORMAL);
  }

  /**
   * The value of a property at a node, with its whole trail.
   *
   * @throws TokenProblem if a token on the trail cannot be looked up
   */
  public Computed computed(Node node, StyleProperty property, Device device, State state) {
    List<Candidate> trail = new ArrayList<>();
    List<Boolean> takes = new ArrayList<>();
    for (State s : steps(state)) {
      collectOwn(node, property, device, s, trail, takes);
    }
    for (State s : steps(state)) {
      collectDefault(node, property, device, s, trail, takes);
    }
    Node parent = parents.get(node.id());
    if (property.inherited() && parent != null) {
      Candidate from = computed(parent, property, device, State.NORMAL).won();
      trail.add(
          from.source() == Layer.Source.INITIAL
              ? from
              : new Candidate(
                  Layer.Source.INHERITED,
                  from.label(),
                  from.node(),
                  from.device(),
                  from.state(),
                  from.value(),
                  from.css(),
                  from.chain()));
    } else {
      trail.add(
          new Candidate(
              Layer.Source.INITIAL,
              "",
              node.id(),
              Device.DESKTOP,
              State.NORMAL,
              Optional.of(StyleValue.literal(property.initial())),
              property.initial(),
              List.of()));
    }
    takes.add(true);
    return new Computed(trail, takes.indexOf(true));
  }

  /**
   * The value that the node itself, its named styles and its kind's default give, without
   * inheritance: what the renderer writes.
   */
  public Optional<Candidate> declared(
      Node node, StyleProperty property, Device device, State state) {
    List<Candidate> trail = new ArrayList<>();
    List<Boolean> takes = new ArrayList<>();
    for (State s : steps(state)) {
      collectOwn(node, property, device, s, trail, takes);
    }
    for (State s : steps(state)) {
      collectDefault(node, property, device, s, trail, takes);
    }
    int winner = takes.indexOf(true);
    return winner < 0 ? Optional.empty() : Optional.of(trail.get(winner));
  }

  private static List<State> steps(State state) {
    return state == State.NORMAL ? List.of(State.NORMAL) : List.of(state, State.NORMAL);
  }

  private void collectOwn(
      Node node,
      StyleProperty property,
      Device device,
      State state,
      List<Candidate> trail,
      List<Boolean> takes) {
    for (Device at : device.andWider()) {
      StyleKey key = new StyleKey(property, at, state);
      boolean nearest = true;
      for (Layer layer : own.layers(node, key)) {
        trail.add(candidate(layer.source(), layer.label(), node.id(), key, layer.value()));
        takes.add(nearest && layer.value().isPresent());
        nearest = false;
      }
      for (int i = node.namedStyles().size() - 1; i >= 0; i--) {
        finishes
            .namedStyle(node.namedStyles().get(i))
            .ifPresent(
                style -> {
                  StyleValue value = style.styles().get(key);
                  if (value != null) {
                    trail.add(
                        candidate(
                            Layer.Source.NAMED, style.name(), node.id(), key, Optional.of(value)));
                    takes.add(true);
                  }
                });
      }
    }
  }

  private void collectDefault(
      Node node,
      StyleProperty property,
      Device device,
      State state,
      List<Candidate> trail,
      List<Boolean> takes) {
    Map<StyleKey, StyleValue> defaults =
        finishes.house().defaults().getOrDefault(node.kind(), Map.of());
    for (Device at : device.andWider()) {
      StyleKey key = new StyleKey(property, at, state);
      StyleValue value = defaults.get(key);
      if (value != null) {
        trail.add(
            candidate(
                Layer.Source.DEFAULT, node.kind().title(), node.id(), key, Optional.of(value)));
        takes.add(true);
      }
    }
  }

  private Candidate candidate(
      Layer.Source source, String label, NodeId node, StyleKey key, Optional<StyleValue> value) {
    if (value.isPresent() && value.get() instanceof StyleValue.TokenRef ref) {
      SiteFinishes.Worth worth = finishes.worth(ref.tokenId());
      return new Candidate(
          source, label, node, key.device(), key.state(), value, worth.css(), worth.chain());
    }
    String css = value.map(v -> ((StyleValue.Literal) v).css()).orElse("");
    return new Candidate(source, label, node, key.device(), key.state(), value, css, List.of());
  }
}
