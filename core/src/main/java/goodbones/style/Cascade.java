package goodbones.style;

import goodbones.document.Device;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Says which value wins, for one shown tree on one site.
 *
 * <p>The order: among a node's own values and its named styles (last named first, each followed by
 * what it builds on), one for this device beats one for a wider device, and for the same device own
 * beats named; then, where the node chooses a colour scheme, the scheme's text and background; then
 * the finishes' default for the kind; then, for inherited properties, the parent's value; then the
 * CSS initial value. A state runs through each of these steps before the normal values do. A value
 * that the property cannot take, whatever led there, is on the trail and never wins.
 *
 * <p>One walk over the candidates serves all callers: who wants the trail lets it run to its end,
 * who wants the winner stops it there.
 *
 * <p>One instance serves one tree; it is not safe for use by several threads.
 */
public final class Cascade {
  private static final Map<StyleKey, StyleValue> NOTHING = Map.of();
  private final SiteFinishes finishes;
  private final OwnValues own;
  private final Map<NodeId, Node> parents = new HashMap<>();
  private final Map<NodeId, SiteFinishes> scopes = new HashMap<>();
  private final Map<NodeId, List<NamedStyle>> named = new HashMap<>();
  private final Map<NodeId, Set<StyleProperty>> said = new HashMap<>();
  private final Map<Kind, Set<StyleProperty>> defaulted = new EnumMap<>(Kind.class);
  private final Map<Device, Map<NodeId, Map<StyleProperty, Candidate>>> inherited =
      new EnumMap<>(Device.class);

  public Cascade(Node root, OwnValues own, SiteFinishes finishes) {
    this.finishes = finishes;
    this.own = own;
    root.walk(node -> node.children().forEach(child -> parents.put(child.id(), node)));
    for (Device device : Device.values()) {
      inherited.put(device, new HashMap<>());
    }
  }

  /** Told of one candidate after the other, the strongest first. */
  private interface Sink {
    /**
     * @param takes whether it may win; the first that may does
     * @return whether to go on
     */
    boolean next(Candidate candidate, boolean takes);
  }

  /** The finishes as they are inside the schemes around a node. */
  public SiteFinishes scope(Node node) {
    SiteFinishes scope = scopes.get(node.id());
    if (scope == null) {
      Node parent = parents.get(node.id());
      scope =
          node.scheme()
              .map(finishes::in)
              .orElseGet(() -> parent == null ? finishes : scope(parent));
      scopes.put(node.id(), scope);
    }
    return scope;
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
    int[] winner = {-1};
    Sink all =
        (candidate, takes) -> {
          if (takes && winner[0] < 0) {
            winner[0] = trail.size();
          }
          trail.add(candidate);
          return true;
        };
    declarations(node, property, device, state, all);
    all.next(fallback(node, property, device), true);
    return new Computed(trail, winner[0]);
  }

  /** The winner alone. */
  public Candidate won(Node node, StyleProperty property, Device device, State state) {
    return declared(node, property, device, state)
        .orElseGet(() -> fallback(node, property, device));
  }

  /**
   * The value that the node itself, its named styles and its kind's default give, without
   * inheritance: what the renderer writes.
   */
  public Optional<Candidate> declared(
      Node node, StyleProperty property, Device device, State state) {
    First first = new First();
    declarations(node, property, device, state, first);
    return Optional.ofNullable(first.won);
  }

  private static final class First implements Sink {
    private @Nullable Candidate won;

    @Override
    public boolean next(Candidate candidate, boolean takes) {
      if (takes) {
        won = candidate;
      }
      return !takes;
    }
  }

  private Candidate fallback(Node node, StyleProperty property, Device device) {
    Node parent = parents.get(node.id());
    if (property.inherited() && parent != null) {
      Candidate from = inheritable(parent, property, device);
      return from.source() == Layer.Source.INITIAL
          ? from
          : new Candidate(
              Layer.Source.INHERITED,
              from.label(),
              from.node(),
              from.device(),
              from.state(),
              from.value(),
              from.css(),
              from.chain());
    }
    return new Candidate(
        Layer.Source.INITIAL,
        "",
        node.id(),
        Device.DESKTOP,
        State.NORMAL,
        Optional.of(StyleValue.literal(property.initial())),
        property.initial(),
        List.of());
  }

  /** The winner at a parent, kept because all its children ask for it. */
  private Candidate inheritable(Node parent, StyleProperty property, Device device) {
    Map<StyleProperty, Candidate> known =
        java.util.Objects.requireNonNull(inherited.get(device))
            .computeIfAbsent(parent.id(), id -> new EnumMap<>(StyleProperty.class));
    Candidate before = known.get(property);
    if (before == null) {
      before = won(parent, property, device, State.NORMAL);
      known.put(property, before);
    }
    return before;
  }

  private void declarations(
      Node node, StyleProperty property, Device device, State state, Sink sink) {
    boolean more = state == State.NORMAL || own(node, property, device, state, sink);
    more = more && own(node, property, device, State.NORMAL, sink);
    more = more && scheme(node, property, device, sink);
    more = more && (state == State.NORMAL || kind(node, property, device, state, sink));
    if (more) {
      kind(node, property, device, State.NORMAL, sink);
    }
  }

  private boolean own(Node node, StyleProperty property, Device device, State state, Sink sink) {
    if (!said(node).contains(property)) {
      return true;
    }
    for (Device at : device.andWider()) {
      StyleKey key = new StyleKey(property, at, state);
      boolean nearest = true;
      for (Layer layer : own.layers(node, key)) {
        Candidate candidate = candidate(layer.source(), layer.label(), node, key, layer.value());
        if (!sink.next(candidate, nearest && holds(node, property, candidate))) {
          return false;
        }
        nearest = false;
      }
      for (NamedStyle style : named(node)) {
        StyleValue value = style.styles().get(key);
        if (value != null && !offered(Layer.Source.NAMED, style.name(), node, key, value, sink)) {
          return false;
        }
      }
    }
    return true;
  }

  /** The properties of which the node itself or a named style says anything. */
  private Set<StyleProperty> said(Node node) {
    Set<StyleProperty> known = said.get(node.id());
    if (known == null) {
      Set<StyleProperty> properties = EnumSet.noneOf(StyleProperty.class);
      properties.addAll(own.properties(node));
      named(node)
          .forEach(style -> style.styles().keySet().forEach(key -> properties.add(key.property())));
      known = properties;
      said.put(node.id(), known);
    }
    return known;
  }

  private Set<StyleProperty> defaulted(Kind kind) {
    return defaulted.computeIfAbsent(
        kind,
        k -> {
          Set<StyleProperty> properties = EnumSet.noneOf(StyleProperty.class);
          finishes.house().defaults().getOrDefault(k, NOTHING).keySet().stream()
              .map(StyleKey::property)
              .forEach(properties::add);
          return properties;
        });
  }

  /** The named styles of a node with what they build on, strongest first. */
  private List<NamedStyle> named(Node node) {
    if (node.namedStyles().isEmpty()) {
      return List.of();
    }
    return named.computeIfAbsent(
        node.id(),
        id -> {
          List<NamedStyle> line = new ArrayList<>();
          for (int i = node.namedStyles().size() - 1; i >= 0; i--) {
            line.addAll(finishes.withBases(node.namedStyles().get(i)));
          }
          return line;
        });
  }

  /** A section that chooses a scheme is painted as a page of that scheme would be. */
  private boolean scheme(Node node, StyleProperty property, Device device, Sink sink) {
    if (node.scheme().isEmpty()
        || property != StyleProperty.COLOR && property != StyleProperty.BACKGROUND_COLOR) {
      return true;
    }
    Optional<Scheme> chosen = node.scheme().flatMap(id -> finishes.house().scheme(id));
    if (chosen.isEmpty()) {
      return true;
    }
    return fromDefaults(
        node,
        Kind.PAGE,
        property,
        device,
        State.NORMAL,
        Layer.Source.SCHEME,
        chosen.get().name(),
        sink);
  }

  private boolean kind(Node node, StyleProperty property, Device device, State state, Sink sink) {
    return fromDefaults(
        node,
        node.kind(),
        property,
        device,
        state,
        Layer.Source.DEFAULT,
        node.kind().title(),
        sink);
  }

  private boolean fromDefaults(
      Node node,
      Kind kind,
      StyleProperty property,
      Device device,
      State state,
      Layer.Source source,
      String label,
      Sink sink) {
    Map<StyleKey, StyleValue> defaults = finishes.house().defaults().getOrDefault(kind, NOTHING);
    if (!defaulted(kind).contains(property)) {
      return true;
    }
    for (Device at : device.andWider()) {
      StyleKey key = new StyleKey(property, at, state);
      StyleValue value = defaults.get(key);
      if (value != null && !offered(source, label, node, key, value, sink)) {
        return false;
      }
    }
    return true;
  }

  private boolean offered(
      Layer.Source source, String label, Node node, StyleKey key, StyleValue value, Sink sink) {
    Candidate candidate = candidate(source, label, node, key, Optional.of(value));
    return sink.next(candidate, holds(node, key.property(), candidate));
  }

  /**
   * A browser drops what a property cannot be, such as a padding below nothing that a token has
   * come to be worth; so it wins nowhere.
   */
  private boolean holds(Node node, StyleProperty property, Candidate candidate) {
    return candidate.value().isPresent() && scope(node).accepts(property.type(), candidate.css());
  }

  private Candidate candidate(
      Layer.Source source, String label, Node node, StyleKey key, Optional<StyleValue> value) {
    SiteFinishes.Worth worth =
        value.map(v -> scope(node).worth(v)).orElse(new SiteFinishes.Worth("", List.of()));
    return new Candidate(
        source, label, node.id(), key.device(), key.state(), value, worth.css(), worth.chain());
  }
}
