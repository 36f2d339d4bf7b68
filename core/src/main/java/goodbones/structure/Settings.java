package goodbones.structure;

import goodbones.document.Catalogue;
import goodbones.document.Edit;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Settings that change their level: gathered from children, carried up or down a rung. */
public final class Settings {
  /**
   * A setting that all children of a container make alike.
   *
   * @param property what is gathered
   * @param value as it stands at the children
   * @param edit carries it out
   */
  public record Gathered(StyleProperty property, StyleValue value, Edit edit) {}

  private static final Pattern PX = Pattern.compile("(-?\\d+(?:\\.\\d+)?)(?:px)?");
  private final Bench bench;

  public Settings(Bench bench) {
    this.bench = bench;
  }

  /** What can be gathered at a container with no visible change; each is proved. */
  public List<Gathered> gatherable(NodeId containerId) {
    Node container = bench.need(containerId);
    List<Gathered> found = new ArrayList<>();
    if (container.children().size() < 2 || !container.kind().holdsOthers()) {
      return found;
    }
    TreeSet<StyleKey> keys = new TreeSet<>(container.children().get(0).styles().keySet());
    for (StyleKey key : keys) {
      boolean fits =
          key.property().inherited()
              && key.state() == State.NORMAL
              && Catalogue.hasStyle(container.kind(), key.property());
      if (fits) {
        inherited(container, key).ifPresent(found::add);
      }
    }
    between(container).ifPresent(found::add);
    Proof proof = new Proof(bench);
    found.removeIf(gathered -> !proof.staysAsItIs(gathered.edit()));
    return found;
  }

  private static Optional<Gathered> inherited(Node container, StyleKey key) {
    StyleValue value = Objects.requireNonNull(container.children().get(0).styles().get(key));
    List<Edit> edits = new ArrayList<>();
    edits.add(new Edit.SetStyle(container.id(), key, Optional.of(value)));
    for (Node child : container.children()) {
      if (!value.equals(child.styles().get(key))) {
        return Optional.empty();
      }
      edits.add(new Edit.SetStyle(child.id(), key, Optional.empty()));
    }
    return Optional.of(new Gathered(key.property(), value, new Edit.Group(edits)));
  }

  /** The same distance between all children becomes the container's gap. */
  private static Optional<Gathered> between(Node container) {
    if (!Catalogue.hasStyle(container.kind(), StyleProperty.ROW_GAP)
        || !Catalogue.hasStyle(container.kind(), StyleProperty.PADDING_TOP)) {
      return Optional.empty();
    }
    StyleKey topKey = StyleKey.of(StyleProperty.MARGIN_TOP);
    StyleKey bottomKey = StyleKey.of(StyleProperty.MARGIN_BOTTOM);
    List<Node> children = container.children();
    Optional<Double> distance = Optional.empty();
    List<Edit> edits = new ArrayList<>();
    for (int i = 0; i < children.size(); i++) {
      Optional<Double> top = px(children.get(i).styles().get(topKey));
      Optional<Double> bottom = px(children.get(i).styles().get(bottomKey));
      if (top.isEmpty() || bottom.isEmpty()) {
        return Optional.empty();
      }
      if (i > 0) {
        double here = px(children.get(i - 1).styles().get(bottomKey)).orElse(0.0) + top.get();
        if (distance.isPresent() && distance.get() != here) {
          return Optional.empty();
        }
        distance = Optional.of(here);
      }
      for (StyleKey key : List.of(topKey, bottomKey)) {
        if (children.get(i).styles().containsKey(key)) {
          edits.add(new Edit.SetStyle(children.get(i).id(), key, Optional.empty()));
        }
      }
    }
    if (distance.isEmpty() || distance.get() == 0) {
      return Optional.empty();
    }
    double first = px(children.get(0).styles().get(topKey)).orElse(0.0);
    double last = px(children.get(children.size() - 1).styles().get(bottomKey)).orElse(0.0);
    boolean all =
        add(container, StyleProperty.ROW_GAP, distance.get(), edits)
            && add(container, StyleProperty.PADDING_TOP, first, edits)
            && add(container, StyleProperty.PADDING_BOTTOM, last, edits);
    return all
        ? Optional.of(
            new Gathered(
                StyleProperty.MARGIN_TOP,
                StyleValue.literal(text(distance.get())),
                new Edit.Group(edits)))
        : Optional.empty();
  }

  private static boolean add(Node node, StyleProperty property, double by, List<Edit> edits) {
    StyleKey key = StyleKey.of(property);
    Optional<Double> now = px(node.styles().get(key));
    if (by != 0 && now.isPresent()) {
      edits.add(
          new Edit.SetStyle(node.id(), key, Optional.of(StyleValue.literal(text(now.get() + by)))));
    }
    return now.isPresent();
  }

  private static Optional<Double> px(@org.jspecify.annotations.Nullable StyleValue value) {
    if (value == null) {
      return Optional.of(0.0);
    }
    Matcher px = PX.matcher(value.toString());
    return px.matches() ? Optional.of(Double.parseDouble(px.group(1))) : Optional.empty();
  }

  private static String text(double px) {
    return (px == Math.rint(px) ? String.valueOf((long) px) : String.valueOf(px)) + "px";
  }

  /**
   * Carries a setting one rung up: the container says it instead.
   *
   * @throws Refused if the node does not set it, or the container cannot have it
   */
  public Edit up(NodeId id, StyleKey key) {
    Node node = bench.need(id);
    Node parent = bench.needParent(node);
    StyleValue value = set(node, key);
    requireFits(parent, key);
    return new Edit.Group(
        List.of(
            new Edit.SetStyle(parent.id(), key, Optional.of(value)),
            new Edit.SetStyle(id, key, Optional.empty())));
  }

  /**
   * Carries a setting one rung down: every child that can have it and does not say it itself says
   * it instead.
   *
   * @throws Refused if the node does not set it, or no child can have it
   */
  public Edit down(NodeId id, StyleKey key) {
    Node node = bench.need(id);
    StyleValue value = set(node, key);
    List<Edit> edits = new ArrayList<>();
    edits.add(new Edit.SetStyle(id, key, Optional.empty()));
    for (Node child : node.children()) {
      if (Catalogue.hasStyle(child.kind(), key.property())
          && Catalogue.states(child.kind()).contains(key.state())
          && !child.styles().containsKey(key)) {
        edits.add(new Edit.SetStyle(child.id(), key, Optional.of(value)));
      }
    }
    if (edits.size() == 1) {
      throw Refused.at(
          node,
          "Nothing in it can take the "
              + Catalogue.label(node.kind(), key.property()).toLowerCase()
              + " over");
    }
    return new Edit.Group(edits);
  }

  private static StyleValue set(Node node, StyleKey key) {
    StyleValue value = node.styles().get(key);
    if (value == null) {
      throw Refused.at(
          node,
          "It does not set its "
              + key.property().label().toLowerCase()
              + " itself, so there is nothing to carry");
    }
    return value;
  }

  private static void requireFits(Node node, StyleKey key) {
    if (!Catalogue.hasStyle(node.kind(), key.property())
        || !Catalogue.states(node.kind()).contains(key.state())) {
      throw Refused.at(
          node, node.kind().oneOfIt() + " has no " + key.property().label().toLowerCase());
    }
  }
}
