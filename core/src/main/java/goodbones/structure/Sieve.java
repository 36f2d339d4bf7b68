package goodbones.structure;

import goodbones.document.Aspect;
import goodbones.document.Bound;
import goodbones.document.Catalogue;
import goodbones.document.Field;
import goodbones.document.FieldValue;
import goodbones.document.Icons;
import goodbones.document.Kind;
import goodbones.document.LocalChange;
import goodbones.document.LocalKey;
import goodbones.document.LocalOrder;
import goodbones.document.LocalValue;
import goodbones.document.Mark;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Options;
import goodbones.document.PageShown;
import goodbones.document.Placement;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.style.SiteFinishes;
import goodbones.style.TokenProblem;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Lets through of what is brought in just what could have been made here by hand: pictures, pieces,
 * tokens, named styles and schemes that are here, addresses that may be linked to, values that the
 * catalogue takes. The rest is dropped, piece by piece; the nodes given in are not modified.
 */
public final class Sieve {
  /** What there is where things are brought to. */
  public interface Known {
    boolean picture(String id);

    /** Whether the site has a page of that id. */
    boolean page(String id);

    boolean piece(String id);

    boolean revision(String pieceId, int number);
  }

  private final SiteFinishes finishes;
  private final Known known;

  public Sieve(SiteFinishes finishes, Known known) {
    this.finishes = finishes;
    this.known = known;
  }

  /**
   * @return empty if the node is a placement of a piece that is not here
   */
  public Optional<Node> sifted(Node node) {
    Optional<Placement> placement = node.placement();
    boolean unknown = placement.isPresent() && !known.piece(placement.get().pieceId());
    if (unknown || node.kind() == Kind.PATTERN || node.kind() == Kind.ITEM) {
      return Optional.empty();
    }
    Node kept =
        node.withName(node.name().length() > Catalogue.NAME_LIMIT ? "" : node.name())
            .withNamedStyles(namedStyles(node.namedStyles()))
            .withScheme(node.kind() == Kind.SECTION ? scheme(node.scheme()) : Optional.empty())
            .withStyles(styles(node))
            .withOptions(options(node))
            .withSlots(
                node.slots().stream()
                    .filter(slot -> Catalogue.field(node.kind(), slot).isPresent())
                    .toList());
    for (Map.Entry<String, FieldValue> field : node.content().entrySet()) {
      Optional<Field> allowed = Catalogue.field(node.kind(), field.getKey());
      kept =
          kept.withContent(
              field.getKey(),
              allowed.flatMap(known -> content(node.kind(), known, field.getValue())));
    }
    if (placement.isPresent()) {
      kept = kept.withPlacement(sifted(placement.get()));
    }
    List<Node> children = new ArrayList<>();
    node.children().forEach(child -> sifted(child).ifPresent(children::add));
    return Optional.of(kept.withChildren(children));
  }

  /** Variants belong to a piece as a whole; nothing is switched off in what is brought in. */
  private static Options options(Node node) {
    return Options.NONE
        .withOptional(node.options().optional())
        .withSiteSlots(
            node.options().siteSlots().stream()
                .filter(slot -> Catalogue.field(node.kind(), slot).isPresent())
                .toList());
  }

  /** Words with the marks that may stand here. */
  public FieldValue.Words words(Kind kind, FieldValue.Words words) {
    List<Mark> marks = words.marks().stream().filter(mark -> mayStand(kind, mark)).toList();
    return words.withMarks(marks);
  }

  private boolean mayStand(Kind kind, Mark mark) {
    return switch (mark.type()) {
      case LINK -> kind != Kind.BUTTON && Field.isLink(mark.value()) && !mark.value().isEmpty();
      case COLOUR -> holds(StyleProperty.COLOR, StyleValue.parse(mark.value()));
      case LIST ->
          kind == Kind.TEXT && (mark.value().isEmpty() || mark.value().equals(Mark.NUMBERED));
      case BOUND ->
          Bound.ofWord(mark.value()).isPresent() || PageShown.words(mark.value()).isPresent();
      case NEW_TAB -> kind != Kind.BUTTON;
      case BOLD, ITALIC -> true;
    };
  }

  private Optional<FieldValue> content(Kind kind, Field field, FieldValue value) {
    if (value instanceof FieldValue.Words words) {
      return Optional.of(words(kind, words));
    }
    boolean there =
        (!(value instanceof FieldValue.Picture picture) || isThere(picture))
            && (field.type() != Field.Type.PAGE || isPage(value));
    return there && field.faultOf(value).isEmpty() ? Optional.of(value) : Optional.empty();
  }

  private boolean isPage(FieldValue value) {
    return value instanceof FieldValue.Link link
        && link.target().startsWith(PageShown.PAGE)
        && known.page(link.target().substring(PageShown.PAGE.length()));
  }

  private boolean isThere(FieldValue.Picture picture) {
    return PageShown.isPicture(picture.pictureId()) || known.picture(picture.pictureId());
  }

  private List<String> namedStyles(List<String> ids) {
    return ids.stream().filter(id -> finishes.namedStyle(id).isPresent()).toList();
  }

  private Optional<String> scheme(Optional<String> id) {
    return id.filter(scheme -> finishes.house().scheme(scheme).isPresent());
  }

  private SortedMap<StyleKey, StyleValue> styles(Node node) {
    SortedMap<StyleKey, StyleValue> styles = new TreeMap<>(node.styles());
    styles
        .entrySet()
        .removeIf(
            e ->
                !Catalogue.hasStyle(node.kind(), e.getKey().property())
                    || !Catalogue.states(node.kind()).contains(e.getKey().state())
                    || !holds(e.getKey().property(), e.getValue()));
    return styles;
  }

  private boolean holds(StyleProperty property, StyleValue value) {
    try {
      finishes.require(property, value);
      return property.type().accepts(finishes.worth(value).css());
    } catch (TokenProblem notHere) {
      return false;
    }
  }

  private Placement sifted(Placement placement) {
    String piece = placement.pieceId();
    Map<LocalKey, LocalChange> changes = new TreeMap<>();
    placement
        .mapped(this::change)
        .changes()
        .forEach(
            (key, change) ->
                changes.put(key, new LocalChange(change.value(), known(piece, change.madeOn()))));
    Map<NodeId, LocalOrder> order = new TreeMap<>();
    placement
        .order()
        .forEach(
            (parent, ids) ->
                order.put(parent, new LocalOrder(ids.ids(), known(piece, ids.madeOn()))));
    return placement
        .withChanges(changes)
        .withOrder(order)
        .withPin(placement.pin().filter(p -> known.revision(piece, p.revision())))
        .withLeft(List.of())
        .withBound(known(piece, placement.bound()));
  }

  /** A revision that is not here counts as the one that is shown. */
  private int known(String piece, int revision) {
    return known.revision(piece, revision) ? revision : 0;
  }

  private Optional<LocalValue> change(LocalKey key, LocalValue value) {
    if (value instanceof LocalValue.ContentIs is) {
      return is.value().isEmpty()
          ? Optional.of(value)
          : content(is.value().get()).map(LocalValue.ContentIs::new);
    } else if (value instanceof LocalValue.StyleIs style
        && key.aspect() instanceof Aspect.Style aspect) {
      boolean sound = style.value().map(v -> holds(aspect.key().property(), v)).orElse(true);
      return sound ? Optional.of(value) : Optional.empty();
    } else if (value instanceof LocalValue.NamedStylesAre named) {
      return Optional.of(new LocalValue.NamedStylesAre(namedStyles(named.ids())));
    } else if (value instanceof LocalValue.ItemsAre items) {
      boolean sound =
          items.ids().size() <= LocalValue.ItemsAre.LIMIT
              && items.ids().stream().noneMatch(NodeId::isInside);
      return sound ? Optional.of(value) : Optional.empty();
    } else if (value instanceof LocalValue.SchemeIs is) {
      return is.scheme().equals(scheme(is.scheme())) ? Optional.of(value) : Optional.empty();
    } else if (value instanceof LocalValue.PlacedUnder placed && placed.inserted().isPresent()) {
      return sifted(placed.inserted().get())
          .map(tree -> new LocalValue.PlacedUnder(placed.parent(), Optional.of(tree)));
    }
    return Optional.of(value);
  }

  /** The kind is the library's to say; what no kind may have is left out in any case. */
  private Optional<FieldValue> content(FieldValue value) {
    if (value instanceof FieldValue.Words words) {
      return Optional.of(words(Kind.TEXT, words));
    }
    if (value instanceof FieldValue.Icon icon) {
      return Icons.named(icon.name()).map(known -> value);
    }
    boolean sound =
        value instanceof FieldValue.Picture picture
            ? isThere(picture)
            : !(value instanceof FieldValue.Link link) || Field.isLink(link.target());
    return sound ? Optional.of(value) : Optional.empty();
  }
}
