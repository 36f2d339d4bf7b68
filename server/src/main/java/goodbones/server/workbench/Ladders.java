package goodbones.server.workbench;

import goodbones.document.Aspect;
import goodbones.document.Catalogue;
import goodbones.document.Device;
import goodbones.document.Field;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.Look;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Refused;
import goodbones.document.State;
import goodbones.document.StyleKey;
import goodbones.document.StyleProperty;
import goodbones.document.StyleValue;
import goodbones.document.ValueType;
import goodbones.library.Members;
import goodbones.library.Origin;
import goodbones.library.Shown;
import goodbones.library.VariantEditor;
import goodbones.server.drawing.Wording;
import goodbones.server.workbench.Views.Contribution;
import goodbones.server.workbench.Views.FieldView;
import goodbones.server.workbench.Views.Gatherable;
import goodbones.server.workbench.Views.Ladder;
import goodbones.server.workbench.Views.LookView;
import goodbones.server.workbench.Views.Rung;
import goodbones.server.workbench.Views.StyleChoice;
import goodbones.server.workbench.Views.StyleView;
import goodbones.server.workbench.Views.TokenChoice;
import goodbones.server.workbench.Views.TrailStep;
import goodbones.structure.RowEdits;
import goodbones.structure.Settings;
import goodbones.structure.Wrapping;
import goodbones.style.Candidate;
import goodbones.style.Cascade;
import goodbones.style.Computed;
import goodbones.style.Flow;
import goodbones.style.Layer;
import goodbones.style.NamedStyle;
import goodbones.style.Nearest;
import goodbones.style.SiteFinishes;
import goodbones.style.Token;
import goodbones.style.TokenProblem;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Builds the ladder of a node: every box around it with what it contributes, and why. */
final class Ladders {
  private final Desk desk;
  private final Shown shown;
  private final SiteFinishes finishes;
  private final Cascade cascade;
  private final Wording wording;
  private final UnaryOperator<String> pieceName;
  private final boolean inForm;

  /**
   * @param pieceName from a piece's id to its name
   */
  Ladders(Desk desk, UnaryOperator<String> pieceName) {
    this.desk = desk;
    this.shown = desk.shown();
    this.finishes = desk.look();
    this.cascade = new Cascade(shown.root(), shown, finishes);
    this.wording = new Wording(finishes);
    this.pieceName = pieceName;
    this.inForm = shown.members().children().stream().anyMatch(Ladders::isForm);
  }

  /**
   * The ladder of the first node; of its settings those that all the nodes can have.
   *
   * @param ids the nodes in hand, at least one
   * @throws Refused if a node is not there
   */
  Ladder of(List<NodeId> ids, Device device, State state) {
    List<Node> nodes =
        ids.stream().map(id -> shown.root().find(id).orElseThrow(() -> Refused.gone(id))).toList();
    Node node = nodes.get(0);
    boolean alone = nodes.size() == 1;
    List<Rung> rungs = new ArrayList<>();
    Optional<Node> at = Optional.of(node);
    while (at.isPresent()) {
      rung(at.get(), device).ifPresent(rung -> rungs.add(0, rung));
      at = shown.members().parentOf(at.get().id());
    }
    List<FieldView> fields =
        alone
            ? Catalogue.fields(node.kind()).stream().map(field -> field(node, field)).toList()
            : List.of();
    List<StyleView> styles =
        Catalogue.styles(node.kind()).stream()
            .filter(
                property -> nodes.stream().allMatch(n -> Catalogue.hasStyle(n.kind(), property)))
            .map(property -> style(nodes, property, device, state))
            .toList();
    boolean isColumn = node.kind() == Kind.COLUMN && alone;
    Optional<Node> row = isColumn ? shown.root().parentOf(node.id()) : Optional.empty();
    return new Ladder(
        rungs,
        fields,
        styles,
        tokens(),
        Catalogue.states(node.kind()).stream().sorted().map(State::word).toList(),
        node.namedStyles().stream()
            .map(
                named ->
                    new StyleChoice(
                        named, finishes.namedStyle(named).map(NamedStyle::name).orElse(named)))
            .toList(),
        choices(node),
        node.scheme().orElse(""),
        node.kind() == Kind.SECTION
            ? finishes.house().schemes().stream()
                .map(scheme -> new StyleChoice(scheme.id(), scheme.name()))
                .toList()
            : List.of(),
        look(node),
        node.kind() == Kind.ROW ? Flow.columns(node, cascade, device).toString() : "",
        row.map(r -> share(r, node, device)).orElse(""),
        node.kind() == Kind.ROW ? RowEdits.hint(node, cascade, device).orElse("") : "",
        alone ? gatherable(node) : List.of(),
        alone && new Wrapping(desk.bench()).isNeedless(node.id()));
  }

  private String share(Node row, Node column, Device device) {
    return Flow.columns(row, cascade, device)
        .share(row.indexOf(column.id()), row.children().size())
        .toString();
  }

  private List<Gatherable> gatherable(Node node) {
    return new Settings(desk.bench())
        .gatherable(node.id()).stream()
            .map(
                gathered ->
                    new Gatherable(
                        gathered.property().key(),
                        gathered.property() == StyleProperty.MARGIN_TOP
                            ? "Distance between them"
                            : gathered.property().label(),
                        finishes.written(gathered.value())))
            .toList();
  }

  private List<StyleChoice> choices(Node node) {
    if (Catalogue.styles(node.kind()).isEmpty()) {
      return List.of();
    }
    return desk.namedStyles().stream()
        .map(style -> new StyleChoice(style.id(), style.name()))
        .toList();
  }

  private LookView look(Node node) {
    Look look = Look.of(node);
    Map<String, String> styles = new LinkedHashMap<>();
    look.styles().forEach((key, value) -> styles.put(key.toString(), finishes.written(value)));
    return new LookView(styles, look.namedStyles());
  }

  private Optional<Rung> rung(Node node, Device device) {
    if (node.kind() == Kind.PLACEMENT) {
      return isForm(node) ? Optional.empty() : Optional.of(placed(node));
    }
    return Optional.of(node.kind() == Kind.ITEM ? item(node) : box(node, device));
  }

  private static boolean isForm(Node node) {
    return node.placement().filter(p -> p.pieceId().equals(VariantEditor.PIECE)).isPresent();
  }

  /** An item of a list is a rung of its own: which of them it is. */
  private Rung item(Node member) {
    List<Node> items =
        shown.members().parentOf(member.id()).stream()
            .flatMap(list -> list.children().stream())
            .filter(node -> node.kind() == Kind.ITEM)
            .toList();
    int at = items.stream().map(Node::id).toList().indexOf(member.id()) + 1;
    return new Rung(
        member.id().value(),
        Members.withoutMembers(member).id().value(),
        "item",
        "Item " + at + " of " + items.size(),
        "",
        List.of());
  }

  private Rung box(Node node, Device device) {
    List<Contribution> contributes = new ArrayList<>();
    for (StyleProperty property : Catalogue.styles(node.kind())) {
      cascade
          .declared(node, property, device, State.NORMAL)
          .filter(c -> c.source() != Layer.Source.DEFAULT || property.type() != ValueType.MARGIN)
          .ifPresent(
              c ->
                  contributes.add(
                      new Contribution(
                          Catalogue.label(node.kind(), property),
                          c.value().map(finishes::written).orElse("none"),
                          c.css(),
                          c.source() == Layer.Source.LOCAL)));
    }
    return new Rung(
        node.id().value(),
        node.id().value(),
        node.kind().word(),
        node.kind() == Kind.PAGE ? "Page" : Wording.title(node),
        note(node),
        contributes);
  }

  /** What is placed is a rung of its own: the piece, its revision, what differs here. */
  private Rung placed(Node member) {
    Node outermost = Members.withoutMembers(member);
    Origin inside =
        shown.origin(member.children().get(0).id()).map(Origin::innermost).orElseThrow();
    long changes =
        desk.placements().stream()
            .filter(placement -> placement.id().equals(member.id().value()))
            .mapToLong(placement -> placement.changes().size())
            .sum();
    return new Rung(
        member.id().value(),
        outermost.id().value(),
        "placement",
        pieceName.apply(inside.pieceId()),
        "revision "
            + inside.revision()
            + (changes == 0
                ? ""
                : changes == 1 ? ", 1 change here" : ", " + changes + " changes here"),
        List.of());
  }

  private String note(Node node) {
    if (shown.members().find(node.id()).map(Node::isList).orElse(false)) {
      return "list";
    }
    if (node.kind() == Kind.ROW) {
      int columns = node.children().size();
      return columns + (columns == 1 ? " column" : " columns");
    }
    return "";
  }

  private FieldView field(Node node, Field field) {
    Optional<Node> library = shown.carried(node.id()).flatMap(Origin::libraryNode);
    Node says = library.orElse(node);
    boolean ofSite = says.options().siteSlots().contains(field.key());
    boolean filledForSite =
        ofSite && desk.showing().fillings().of(node.id(), field.key()).isPresent();
    FieldValue value = node.content().get(field.key());
    return new FieldView(
        field.key(),
        field.label(),
        field.type().name().toLowerCase(),
        Wording.text(value),
        value instanceof FieldValue.Picture picture ? picture.alt() : "",
        value instanceof FieldValue.Picture picture && picture.decoration(),
        value instanceof FieldValue.Link link && link.newTab(),
        ofSite ? "site" : says.slots().contains(field.key()) ? "own" : "fixed",
        filledForSite || shown.isChanged(node.id(), Aspect.content(field.key())),
        library.map(n -> Wording.text(n.content().get(field.key()))).orElse(""),
        says.options().wants().get(field.key()),
        value instanceof FieldValue.Words words && !words.standIn()
            ? Optional.ofNullable(says.options().wants().get(field.key()))
                .flatMap(want -> want.missedBy(words.text()))
                .orElse("")
            : "");
  }

  private StyleView style(List<Node> nodes, StyleProperty property, Device device, State state) {
    Node node = nodes.get(0);
    Computed computed = cascade.computed(node, property, device, state);
    StyleKey key = new StyleKey(property, device, state);
    boolean isLocal = shown.isChanged(node.id(), Aspect.style(key));
    Candidate won = computed.won();
    List<TrailStep> trail = new ArrayList<>();
    for (int i = 0; i < computed.trail().size(); i++) {
      trail.add(step(node, computed.trail().get(i), i == computed.winner()));
    }
    boolean mixed =
        nodes.stream()
            .anyMatch(n -> !cascade.won(n, property, device, state).css().equals(won.css()));
    return new StyleView(
        property.key(),
        Catalogue.label(node.kind(), property),
        property.type().name().toLowerCase(),
        property.type().form(),
        mixed ? "" : Optional.ofNullable(node.styles().get(key)).map(finishes::written).orElse(""),
        mixed,
        devices(nodes, property, state),
        won.value().map(finishes::written).orElse("none"),
        won.css(),
        source(node, won),
        isLocal,
        won.value()
            .filter(StyleValue.TokenRef.class::isInstance)
            .map(value -> finishes.written(value).replaceAll("[{}]", ""))
            .orElse(""),
        nodes.size() == 1 ? back(node, computed) : "",
        Nearest.tokens(finishes, property, won.css()).stream().map(Token::name).toList(),
        trail);
  }

  private static List<String> devices(List<Node> nodes, StyleProperty property, State state) {
    return Arrays.stream(Device.values())
        .map(device -> new StyleKey(property, device, state))
        .filter(key -> nodes.stream().anyMatch(node -> node.styles().containsKey(key)))
        .map(StyleKey::device)
        .map(Device::word)
        .toList();
  }

  /** Where one step back on the trail leads, if the node itself gives the value. */
  private String back(Node node, Computed computed) {
    if (!goesBack(computed.won())) {
      return "";
    }
    return computed.trail().stream()
        .skip(computed.winner() + 1L)
        .filter(candidate -> candidate.value().isPresent())
        .findFirst()
        .map(next -> next.css() + ", " + lowerFirst(source(node, next)))
        .orElse("");
  }

  /** Whether a value can be taken away at the node that it is shown at. */
  static boolean goesBack(Candidate won) {
    return won.source() == Layer.Source.LOCAL
        || won.source() == Layer.Source.OWN
        || won.source() == Layer.Source.CONTAINER
        || won.source() == Layer.Source.PIECE;
  }

  private static String lowerFirst(String text) {
    return text.startsWith("House ")
            || text.startsWith("Named ")
            || text.startsWith("Inherited ")
            || text.startsWith("Nothing ")
            || text.startsWith("Set ")
        ? text.substring(0, 1).toLowerCase() + text.substring(1)
        : text;
  }

  private TrailStep step(Node node, Candidate candidate, boolean won) {
    return new TrailStep(
        source(node, candidate),
        candidate.node().value(),
        candidate.device().word(),
        candidate.state().word(),
        wording.chain(candidate),
        candidate.css(),
        won,
        candidate.chain().isEmpty() ? "" : candidate.chain().get(0).tokenId(),
        !candidate.chain().isEmpty() && candidate.chain().get(0).from() == SiteFinishes.From.SITE,
        styleOf(node, candidate));
  }

  private String styleOf(Node node, Candidate candidate) {
    if (candidate.source() == Layer.Source.NAMED) {
      return finishes.namedStyles().stream()
          .filter(style -> style.name().equals(candidate.label()))
          .map(NamedStyle::id)
          .findFirst()
          .orElse("");
    }
    return candidate.source() == Layer.Source.DEFAULT ? "kind:" + node.kind().word() : "";
  }

  private String source(Node node, Candidate candidate) {
    if (candidate.source() == Layer.Source.LOCAL && inForm) {
      return "Set in this variant";
    }
    String piece =
        candidate.source() == Layer.Source.PIECE || candidate.source() == Layer.Source.CONTAINER
            ? pieceName.apply(candidate.label().substring(0, candidate.label().lastIndexOf(' ')))
            : "";
    Node from = shown.root().find(candidate.node()).orElse(node);
    return wording.source(
        candidate, piece, from.kind() == Kind.PAGE ? "Page" : Wording.title(from));
  }

  private List<TokenChoice> tokens() {
    List<TokenChoice> choices = new ArrayList<>();
    for (Token token : finishes.tokens()) {
      if (token.retired()) {
        continue;
      }
      List<String> fits =
          Arrays.stream(ValueType.values())
              .filter(token.type()::fits)
              .map(type -> type.name().toLowerCase())
              .toList();
      try {
        choices.add(new TokenChoice(token.name(), finishes.worth(token.id()).css(), fits));
      } catch (TokenProblem broken) {
        // A token that cannot be looked up is not offered; the finishes say why.
      }
    }
    return choices;
  }
}
