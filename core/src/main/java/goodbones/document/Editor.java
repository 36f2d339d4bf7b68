package goodbones.document;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Carries edits out on a stored tree.
 *
 * <p>Every method is a pure function. An edit that makes no sense is refused and the tree given in
 * is untouched; the inverse of an edit, applied to its result, gives back an equal tree.
 */
public final class Editor {
  private Editor() {}

  /**
   * @throws Refused if the target is not there, or the result would break the catalogue where it
   *     did not before
   */
  public static Edited apply(Node root, Edit edit) {
    Edited edited = step(root, edit);
    Catalogue.requireNoneNew(root, edited.root());
    return edited;
  }

  /**
   * Carries one step of a longer edit out, without asking whether the catalogue allows what comes
   * of it; whoever takes several steps asks that at the end.
   *
   * @throws Refused if the target is not there
   */
  public static Edited step(Node root, Edit edit) {
    if (edit instanceof Edit.Insert e) {
      return insert(root, e);
    } else if (edit instanceof Edit.Remove e) {
      return remove(root, e);
    } else if (edit instanceof Edit.Move e) {
      return move(root, e);
    } else if (edit instanceof Edit.SetContent e) {
      Node node = require(root, e.node());
      Optional<FieldValue> before = Optional.ofNullable(node.content().get(e.field()));
      return new Edited(
          root.change(e.node(), n -> n.withContent(e.field(), e.value())),
          new Edit.SetContent(e.node(), e.field(), before));
    } else if (edit instanceof Edit.SetStyle e) {
      Node node = require(root, e.node());
      Optional<StyleValue> before = Optional.ofNullable(node.styles().get(e.key()));
      return new Edited(
          root.change(e.node(), n -> n.withStyle(e.key(), e.value())),
          new Edit.SetStyle(e.node(), e.key(), before));
    } else if (edit instanceof Edit.SetVisibility e) {
      Node node = require(root, e.node());
      return new Edited(
          root.change(e.node(), n -> n.withHiddenOn(e.hiddenOn())),
          new Edit.SetVisibility(e.node(), node.hiddenOn()));
    } else if (edit instanceof Edit.SetNamedStyles e) {
      Node node = require(root, e.node());
      return new Edited(
          root.change(e.node(), n -> n.withNamedStyles(e.ids())),
          new Edit.SetNamedStyles(e.node(), node.namedStyles()));
    } else if (edit instanceof Edit.SetScheme e) {
      Node node = require(root, e.node());
      return new Edited(
          root.change(e.node(), n -> n.withScheme(e.scheme())),
          new Edit.SetScheme(e.node(), node.scheme()));
    } else if (edit instanceof Edit.SetSlot e) {
      return setSlot(root, e.node(), e.field(), e.slot(), false);
    } else if (edit instanceof Edit.SetSiteSlot e) {
      return setSlot(root, e.node(), e.field(), e.slot(), true);
    } else if (edit instanceof Edit.SetWant e) {
      Node node = require(root, e.node());
      e.want()
          .flatMap(SlotWant::fault)
          .ifPresent(
              fault -> {
                throw Refused.at(node, fault);
              });
      return new Edited(
          root.change(e.node(), n -> n.withOptions(n.options().wanting(e.field(), e.want()))),
          new Edit.SetWant(
              e.node(), e.field(), Optional.ofNullable(node.options().wants().get(e.field()))));
    } else if (edit instanceof Edit.SetOptional e) {
      Node node = require(root, e.node());
      boolean ofList = node.kind() == Kind.PATTERN || node.kind() == Kind.ITEM;
      if (ofList && e.optional()) {
        throw Refused.at(
            node, "A list's items can be left out anyway; make something in it optional");
      }
      if (e.node().equals(root.id()) && e.optional()) {
        throw Refused.at(
            node, "The outermost part is the piece itself; make a part of it optional");
      }
      return new Edited(
          root.change(e.node(), n -> n.withOptions(n.options().withOptional(e.optional()))),
          new Edit.SetOptional(e.node(), node.options().optional()));
    } else if (edit instanceof Edit.SetVariant e) {
      Options options = require(root, e.node()).options();
      List<Variant> named =
          e.value()
              .map(options::with)
              .orElseGet(
                  () ->
                      options.variants().stream()
                          .filter(each -> !each.id().equals(e.variant()))
                          .toList());
      return new Edited(
          root.change(e.node(), n -> n.withOptions(n.options().withVariants(named))),
          new Edit.SetVariant(e.node(), e.variant(), options.named(e.variant())));
    } else if (edit instanceof Edit.Switch e) {
      throw Refused.at(
          require(root, e.node()), "Only where the piece is placed can a part be switched off");
    } else if (edit instanceof Edit.ShowVariant e) {
      throw Refused.at(
          require(root, e.placement()), "Only where a piece is placed can its variant be chosen");
    } else if (edit instanceof Edit.FillSite) {
      throw Refused.at(root, "What is filled for the whole site is filled from one of its pages");
    } else if (edit instanceof Edit.Rename e) {
      Node node = require(root, e.node());
      return new Edited(
          root.change(e.node(), n -> n.withName(e.name().strip())),
          new Edit.Rename(e.node(), node.name()));
    } else if (edit instanceof Edit.SetLocal e) {
      Placement placement = placement(root, e.placement());
      Optional<LocalChange> before = Optional.ofNullable(placement.changes().get(e.key()));
      Optional<LocalChange> after = e.value().map(value -> new LocalChange(value, e.madeOn()));
      return new Edited(
          replace(root, e.placement(), placement.withChange(e.key(), after)),
          new Edit.SetLocal(
              e.placement(),
              e.key(),
              before.map(LocalChange::value),
              before.map(LocalChange::madeOn).orElse(e.madeOn()),
              placement.pieceId()));
    } else if (edit instanceof Edit.SetOrder e) {
      Placement placement = placement(root, e.placement());
      Optional<LocalOrder> before = Optional.ofNullable(placement.order().get(e.parent()));
      return new Edited(
          replace(
              root,
              e.placement(),
              placement.withOrder(e.parent(), Optional.of(new LocalOrder(e.ids(), e.madeOn())))),
          new Edit.SetOrder(
              e.placement(),
              e.parent(),
              before.map(LocalOrder::ids).orElse(List.of()),
              before.map(LocalOrder::madeOn).orElse(e.madeOn()),
              placement.pieceId()));
    } else if (edit instanceof Edit.SetPin e) {
      Placement placement = placement(root, e.placement());
      Node held = require(root, e.placement());
      if (held.kind() != Kind.PLACEMENT) {
        throw Refused.at(held, "Only a placement can be held");
      }
      return new Edited(
          replace(root, e.placement(), placement.withPin(e.pin())),
          new Edit.SetPin(e.placement(), placement.pin(), placement.pieceId()));
    } else if (edit instanceof Edit.SetPlacement e) {
      Placement placement = placement(root, e.node());
      return new Edited(
          replace(root, e.node(), e.placement()), new Edit.SetPlacement(e.node(), placement));
    }
    return group(root, (Edit.Group) edit);
  }

  private static Edited insert(Node root, Edit.Insert e) {
    Node parent = require(root, e.parent());
    for (Node node : e.subtree().all()) {
      if (root.find(node.id()).isPresent()) {
        throw Refused.at(node, "The id " + node.id() + " is already used in this document");
      }
    }
    int index = within(e.index(), parent.children().size());
    return new Edited(
        root.change(e.parent(), n -> n.withChildren(added(n.children(), index, e.subtree()))),
        new Edit.Remove(e.subtree().id()));
  }

  private static Edited remove(Node root, Edit.Remove e) {
    Node node = require(root, e.node());
    Node parent =
        root.parentOf(e.node())
            .orElseThrow(
                () ->
                    Refused.at(node, "The outermost " + node.kind().word() + " cannot be removed"));
    return new Edited(
        root.change(parent.id(), n -> n.withChildren(without(n.children(), e.node()))),
        new Edit.Insert(parent.id(), parent.indexOf(e.node()), node));
  }

  private static Edited move(Node root, Edit.Move e) {
    Node node = require(root, e.node());
    require(root, e.parent());
    if (node.find(e.parent()).isPresent()) {
      throw Refused.at(node, node.kind().oneOfIt() + " cannot be moved into itself");
    }
    Node from =
        root.parentOf(e.node())
            .orElseThrow(
                () -> Refused.at(node, "The outermost " + node.kind().word() + " cannot be moved"));
    Node lifted = root.change(from.id(), n -> n.withChildren(without(n.children(), e.node())));
    int index = within(e.index(), require(lifted, e.parent()).children().size());
    return new Edited(
        lifted.change(e.parent(), n -> n.withChildren(added(n.children(), index, node))),
        new Edit.Move(e.node(), from.id(), from.indexOf(e.node())));
  }

  /** A field is filled in one way: a slot of each placement is none of the whole site. */
  private static Edited setSlot(Node root, NodeId id, String field, boolean slot, boolean ofSite) {
    Node node = require(root, id);
    Set<String> own = new TreeSet<>(node.slots());
    Set<String> site = new TreeSet<>(node.options().siteSlots());
    Set<String> chosen = ofSite ? site : own;
    Set<String> other = ofSite ? own : site;
    boolean before = chosen.remove(field);
    if (slot) {
      chosen.add(field);
    }
    boolean gaveWay = slot && other.remove(field);
    Edit inverse = slot(id, field, before, ofSite);
    return new Edited(
        root.change(id, n -> n.withSlots(own).withOptions(n.options().withSiteSlots(site))),
        gaveWay ? new Edit.Group(List.of(inverse, slot(id, field, true, !ofSite))) : inverse);
  }

  private static Edit slot(NodeId id, String field, boolean slot, boolean ofSite) {
    return ofSite ? new Edit.SetSiteSlot(id, field, slot) : new Edit.SetSlot(id, field, slot);
  }

  private static Edited group(Node root, Edit.Group group) {
    Node now = root;
    List<Edit> inverses = new ArrayList<>();
    for (Edit edit : group.edits()) {
      Edited edited = step(now, edit);
      now = edited.root();
      inverses.add(0, edited.inverse());
    }
    return new Edited(now, new Edit.Group(inverses));
  }

  private static Node replace(Node root, NodeId placement, Placement changed) {
    return root.change(placement, n -> n.withPlacement(changed));
  }

  private static Node require(Node root, NodeId id) {
    return root.find(id).orElseThrow(() -> Refused.gone(id));
  }

  private static Placement placement(Node root, NodeId id) {
    Node node = require(root, id);
    return node.placement()
        .orElseThrow(
            () -> Refused.at(node, "Local changes belong to a placement, and this is none"));
  }

  private static int within(int index, int size) {
    return Math.max(0, Math.min(index, size));
  }

  private static List<Node> added(List<Node> nodes, int index, Node node) {
    List<Node> copy = new ArrayList<>(nodes);
    copy.add(index, node);
    return copy;
  }

  private static List<Node> without(List<Node> nodes, NodeId id) {
    return nodes.stream().filter(node -> !node.id().equals(id)).toList();
  }
}
