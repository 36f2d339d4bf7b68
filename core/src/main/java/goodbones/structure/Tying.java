package goodbones.structure;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.Edit;
import goodbones.document.Field;
import goodbones.document.Kind;
import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Options;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.document.StyleKey;
import goodbones.document.Variant;
import goodbones.library.PageEditor;
import goodbones.library.Placements;
import goodbones.library.Shown;
import goodbones.propagation.Rebasing;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Makes a copy a placement of a piece again: what differs becomes its fillings and local changes,
 * and nothing that is seen changes. Nodes are paired from the outermost inwards, siblings by the
 * longest common subsequence of those that are most alike (Wagner and Fischer 1974).
 */
public final class Tying {
  private final Bench bench;
  private final PageEditor editor;

  public Tying(Bench bench) {
    this.bench = bench;
    this.editor =
        new PageEditor(
            bench.showing(), bench.library(), new Rebasing(bench.library(), bench.showing()));
  }

  /**
   * What tying comes to.
   *
   * @param edit puts the placement where the copy stood
   * @param fillings how many slots it fills
   * @param changes how many other local changes it has
   * @param differing what those weigh: each counts once, but a part that is put in or taken away by
   *     all of its nodes
   * @param shared how many nodes the piece and the copy have in common
   */
  public record Tied(Edit edit, int fillings, int changes, int differing, int shared) {
    /** Where more differs than is alike, it is not the same thing. */
    public boolean isAlike() {
      return differing <= shared;
    }
  }

  /**
   * @param id the copy, in the document's own tree
   * @param placing a placement of the piece as it would be put here
   * @throws Refused if it cannot be that piece, or would look different
   */
  public Tied tie(NodeId id, Placement placing) {
    Node copy = bench.need(id);
    Node stored =
        bench
            .stored()
            .find(id)
            .filter(node -> !node.kind().isMember() && node.kind() != Kind.PAGE)
            .orElseThrow(
                () -> Refused.at(copy, "It comes from a piece already; unlink it there first"));
    Node parent = bench.needParent(copy);
    NodeId fresh = bench.ids().get();
    Node put =
        Node.placing(fresh, stored.name(), placing.pieceId())
            .withOptions(Options.NONE.withOptional(stored.options().optional()))
            .withPlacement(placing);
    Node page = bench.stored().change(id, node -> put);
    Attempt best = null;
    List<Optional<String>> forms = new ArrayList<>(List.of(Optional.empty()));
    drawn(page, fresh).options().variants().stream()
        .map(Variant::id)
        .forEach(variant -> forms.add(Optional.of(variant)));
    for (Optional<String> form : forms) {
      Attempt attempt = new Attempt(page, fresh, copy);
      attempt.run(form);
      if (attempt.alike && (best == null || attempt.weight() < best.weight())) {
        best = attempt;
      }
    }
    if (best == null) {
      throw Refused.at(copy, "It is built otherwise than this piece and cannot be tied to it");
    }
    Placement placement = best.placement();
    Edit edit =
        new Edit.Group(
            List.of(
                new Edit.Insert(parent.id(), parent.indexOf(id), put.withPlacement(placement)),
                new Edit.Remove(id)));
    int changes = placement.changes().size() - best.fillings();
    return new Tied(edit, best.fillings(), changes, changes + best.inOrOut, best.pairs);
  }

  private Node drawn(Node page, NodeId placement) {
    Shown shown = editor.shown(page);
    Node member = shown.members().find(placement).orElseThrow(() -> Refused.gone(placement));
    NodeId root = member.children().get(0).id();
    Node at = member.children().get(0);
    while (at.kind().isMember() && !at.children().isEmpty()) {
      at = at.children().get(0);
      root = at.id();
    }
    NodeId outermost = root;
    return shown.root().find(outermost).orElseThrow(() -> Refused.gone(outermost));
  }

  /** One form of the piece, made to look as the copy does. */
  private final class Attempt {
    private final NodeId placement;
    private final Node copy;
    private Node page;
    private int pairs;

    /** Nodes beneath the outermost of what is put in or taken away. */
    private int inOrOut;

    private boolean alike;

    Attempt(Node page, NodeId placement, Node copy) {
      this.page = page;
      this.placement = placement;
      this.copy = copy;
    }

    void run(Optional<String> variant) {
      try {
        if (variant.isPresent()) {
          edit(new Edit.ShowVariant(placement, variant));
        }
        Node root = drawn(page, placement);
        if (root.kind() != copy.kind()) {
          return;
        }
        pair(copy, root.id());
        alike = looksTheSame(copy, drawn(page, placement));
      } catch (Refused refused) {
        alike = false;
      }
    }

    private void edit(Edit edit) {
      page = editor.apply(page, edit).root();
    }

    private Shown shown() {
      return editor.shown(page);
    }

    private Node there(NodeId id) {
      return shown().root().find(id).orElseThrow(() -> Refused.gone(id));
    }

    private void pair(Node here, NodeId id) {
      pairs++;
      values(here, there(id));
      items(here, id);
      Node there = there(id);
      List<Node> theirs = there.children();
      Set<NodeId> kept = new LinkedHashSet<>();
      List<NodeId> partners = new ArrayList<>();
      Node members = shown().members();
      for (Match match : Match.of(here.children(), theirs, (a, b) -> score(a, b, members))) {
        partners.add(match.there().id());
        kept.add(match.here().id());
      }
      for (Node child : theirs) {
        if (!partners.contains(child.id())) {
          inOrOut += child.size() - 1;
          edit(
              child.options().optional()
                  ? new Edit.Switch(child.id(), false)
                  : new Edit.Remove(child.id()));
        }
      }
      int next = 0;
      int index = 0;
      for (Node child : here.children()) {
        if (kept.contains(child.id())) {
          pair(child, partners.get(next++));
        } else {
          inOrOut += child.size() - 1;
          edit(new Edit.Insert(id, index, bench.toTakeAway(child)));
        }
        index++;
      }
    }

    /** A list has as many items as there are like things in the copy. */
    private void items(Node here, NodeId id) {
      Node list = shown().members().find(id).orElseThrow(() -> Refused.gone(id));
      int wanted = here.children().size();
      if (!list.isList() || list.children().size() - 1 == wanted || wanted == 0) {
        return;
      }
      List<NodeId> ids = new ArrayList<>(LocalValue.ItemsAre.of(list).ids());
      Set<NodeId> own = new TreeSet<>();
      while (ids.size() > wanted) {
        ids.remove(ids.size() - 1);
      }
      while (ids.size() < wanted) {
        NodeId item = bench.ids().get();
        ids.add(item);
        own.add(item);
      }
      edit(
          new Edit.SetLocal(
              placement,
              new LocalKey(id.from(placement), Aspect.ITEMS),
              Optional.of(new LocalValue.ItemsAre(ids, own))));
    }

    private void values(Node here, Node there) {
      NodeId id = there.id();
      for (Field field : Catalogue.fields(here.kind())) {
        Optional<goodbones.document.FieldValue> value =
            Optional.ofNullable(here.content().get(field.key()));
        if (!value.equals(Optional.ofNullable(there.content().get(field.key())))) {
          edit(new Edit.SetContent(id, field.key(), value));
        }
      }
      Set<StyleKey> keys = new LinkedHashSet<>(here.styles().keySet());
      keys.addAll(there.styles().keySet());
      for (StyleKey key : keys) {
        if (!Objects.equals(here.styles().get(key), there.styles().get(key))) {
          edit(new Edit.SetStyle(id, key, Optional.ofNullable(here.styles().get(key))));
        }
      }
      if (!here.namedStyles().equals(there.namedStyles())) {
        edit(new Edit.SetNamedStyles(id, here.namedStyles()));
      }
      if (!here.scheme().equals(there.scheme())) {
        edit(new Edit.SetScheme(id, here.scheme()));
      }
      if (!here.hiddenOn().equals(there.hiddenOn())) {
        edit(new Edit.SetVisibility(id, here.hiddenOn()));
      }
    }

    /** How alike two nodes are; 0 where they are not the same kind of thing. */
    private int score(Node here, Node there, Node members) {
      Optional<String> tied = placed(bench.shown(), here);
      if (here.kind() != there.kind() || tied.isPresent() && !tied.equals(placed(shown(), there))) {
        return 0;
      }
      boolean list = members.find(there.id()).filter(Node::isList).isPresent();
      if (list && !mayBeItems(here, there)) {
        return 0;
      }
      int score = 4 + (here.name().equals(there.name()) && !here.name().isEmpty() ? 3 : 0);
      score += here.content().equals(there.content()) ? 2 : 0;
      score += here.styles().equals(there.styles()) ? 2 : 0;
      return score + (kinds(here).equals(kinds(there)) ? 3 : 0);
    }

    /** In a list nothing stands but what is made from its pattern. */
    private static boolean mayBeItems(Node here, Node list) {
      return list.children().isEmpty() || kinds(list).containsAll(kinds(here));
    }

    Placement placement() {
      return Objects.requireNonNull(Placements.of(page).get(placement));
    }

    int fillings() {
      Node members = shown().members();
      int fillings = 0;
      for (LocalKey key : placement().changes().keySet()) {
        boolean slot =
            key.aspect() instanceof Aspect.Content content
                && members
                    .find(key.node().within(placement))
                    .filter(node -> node.slots().contains(content.field()))
                    .isPresent();
        fillings += slot ? 1 : 0;
      }
      return fillings;
    }

    int weight() {
      return placement().changes().size() - fillings();
    }
  }

  /** The piece whose outermost node this is. */
  private static Optional<String> placed(Shown shown, Node node) {
    NodeId outward = shown.outward(node.id());
    return outward.equals(node.id())
        ? Optional.empty()
        : shown.members().find(outward).flatMap(Node::placement).map(Placement::pieceId);
  }

  private static List<Kind> kinds(Node node) {
    return node.children().stream().map(Node::kind).toList();
  }

  /** Own values, fields and children, all the way down. */
  private static boolean looksTheSame(Node here, Node there) {
    if (here.kind() != there.kind()
        || !here.content().equals(there.content())
        || !here.styles().equals(there.styles())
        || !here.namedStyles().equals(there.namedStyles())
        || !here.scheme().equals(there.scheme())
        || !here.hiddenOn().equals(there.hiddenOn())
        || here.children().size() != there.children().size()) {
      return false;
    }
    for (int i = 0; i < here.children().size(); i++) {
      if (!looksTheSame(here.children().get(i), there.children().get(i))) {
        return false;
      }
    }
    return true;
  }
}
