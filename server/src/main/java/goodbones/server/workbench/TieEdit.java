package goodbones.server.workbench;

import com.fasterxml.jackson.annotation.JsonTypeName;
import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Kind;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.library.Described;
import goodbones.library.Exchange;
import goodbones.library.Guess;
import goodbones.library.Origin;
import goodbones.library.PieceKind;
import goodbones.library.Purpose;
import goodbones.server.drawing.Wording;
import goodbones.server.problems.BadInput;
import goodbones.structure.Keeping;
import goodbones.structure.Tying;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What ties a placement to its piece. */
sealed interface TieEdit extends AskedEdit {
  String TOO_LONG = "At most {max} characters fit";

  /** Back to the library's. */
  @JsonTypeName("RESET")
  record Reset(String node, String aspect) implements TieEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      Aspect wanted = Aspect.parse(aspect);
      NodeId carrier =
          aim.shown()
              .carrier(on.id())
              .orElseThrow(
                  () -> Refused.at(on, "It comes from no piece; there is nothing to go back to"));
      boolean ofSite =
          wanted instanceof Aspect.Content content
              && on.options().siteSlots().contains(content.field())
              && !aim.shown().isChanged(on.id(), wanted);
      return new ReadEdit(
          ofSite
              ? new Edit.SetContent(on.id(), ((Aspect.Content) wanted).field(), Optional.empty())
              : new Edit.SetLocal(carrier, aim.shown().key(on.id(), wanted), Optional.empty()),
          "back to the library’s " + Wording.label(on.kind(), wanted).toLowerCase());
    }
  }

  /** Holds a placement at the revision that it shows, or lets it follow. */
  @JsonTypeName("HOLD")
  record Hold(String node, boolean on) implements TieEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node held = aim.node(node);
      Origin origin = aim.origin(held, "Only a placement can be held");
      return new ReadEdit(
          new Edit.SetPin(
              aim.shown().carrier(held.id()).orElseThrow(),
              on ? Optional.of(new Pin(origin.revision(), Pin.Reason.HELD)) : Optional.empty()),
          on ? "hold at revision " + origin.revision() : "let it follow");
    }
  }

  /**
   * An independent copy in the place of the placement.
   *
   * @param node the placement by its path, or something in it
   * @param all whether the placements inside become copies too
   */
  @JsonTypeName("UNLINK")
  record Unlink(String node, @Nullable Boolean all) implements TieEdit {
    @Override
    public ReadEdit read(Aim aim) {
      NodeId on = NodeId.of(node);
      Edit edit = aim.landing().unlink(on, Boolean.TRUE.equals(all));
      return new ReadEdit(
          edit, "unlink " + aim.shown().members().find(on).map(Wording::title).orElse("it"));
    }
  }

  /**
   * Makes a copy a placement of a piece; what differs becomes its words and local changes.
   *
   * @param node the copy: one of the document's own
   */
  @JsonTypeName("TIE")
  record Tie(String node, String piece) implements TieEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node copy = aim.node(node);
      if (!aim.known().piece(piece)) {
        throw new BadInput(
            "piece", "There is no piece “" + piece + "” in the library; choose another one");
      }
      Tying.Tied tied = new Tying(aim.bench()).tie(copy.id(), aim.placing(piece));
      if (!tied.isAlike()) {
        throw Refused.at(
            copy,
            "More of it differs from that piece than it has in common with it: "
                + tied.differing()
                + " against "
                + tied.shared()
                + ". Keep it as a piece of its own instead");
      }
      return new ReadEdit(tied.edit(), "tie " + Wording.title(copy) + " to its piece");
    }
  }

  /**
   * Puts another piece where a placement stands; its words and pictures go along as far as the
   * other has places for them.
   *
   * @param node the placement by its path: one of the document's own
   */
  @JsonTypeName("EXCHANGE")
  record ExchangePiece(String node, String piece) implements TieEdit {
    @Override
    public ReadEdit read(Aim aim) {
      NodeId on = NodeId.of(node);
      Node placed = aim.shown().members().find(on).orElseThrow(() -> Refused.gone(on));
      Placement stands =
          aim.bench()
              .stored()
              .find(on)
              .filter(own -> own.kind() == Kind.PLACEMENT)
              .flatMap(Node::placement)
              .orElseThrow(
                  () ->
                      Refused.at(
                          placed, "It stands in a piece; exchange it there, or unlink that first"));
      if (!aim.known().piece(piece)) {
        throw new BadInput(
            "piece", "There is no piece “" + piece + "” in the library; choose another one");
      }
      if (piece.equals(stands.pieceId())) {
        throw Refused.at(placed, "It is that piece already; choose another one");
      }
      Placement other =
          new Exchange(aim.bench().library())
              .of(stands, aim.bench().showing().shownBy(stands), aim.placing(piece));
      return new ReadEdit(new Edit.SetPlacement(on, other), "put another piece in");
    }
  }

  /**
   * Keeps a part of the document as a piece, and places that where the part stood. What is kept
   * from a client's page for all clients has nothing of theirs in it: their words, pictures and
   * links fill the placement.
   *
   * @param name of the piece
   * @param kind section-template, saved-block, header or footer; absent or empty for what is
   *     guessed
   * @param purpose a purpose by its word, such as opening; absent or empty for what is guessed
   * @param onlyHere whether it belongs to this client alone
   * @param stays whether what stands here stays as it is, tied to nothing
   */
  @JsonTypeName("KEEP")
  record Keep(
      String node,
      @NotBlank(message = "Give the piece a name") @Size(max = 80, message = TOO_LONG) String name,
      @Nullable String kind,
      @Nullable String purpose,
      @Nullable Boolean onlyHere,
      @Nullable Boolean stays)
      implements TieEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      String id = UUID.randomUUID().toString();
      boolean own = Boolean.TRUE.equals(onlyHere);
      Described said = said(Guess.of(on)).withSiteId(own ? aim.siteId() : aim.ownerSiteId());
      Keeping keeping = new Keeping(aim.bench());
      Keeping.Kept kept =
          aim.isPage() && !own ? keeping.keepForAll(on.id(), id) : keeping.keep(on.id(), id);
      return new ReadEdit(
          Boolean.TRUE.equals(stays) ? new Edit.Group(List.of()) : kept.edit(),
          "keep " + Wording.title(on) + " as a piece",
          new ReadEdit.Kept(id, said, kept.root(), told(said, kept)));
    }

    /** What became the page's own fields of the placement. */
    private static String told(Described said, Keeping.Kept kept) {
      Map<String, Integer> own = new TreeMap<>();
      for (Edit step : kept.edit().steps()) {
        if (step instanceof Edit.Insert placing) {
          placing
              .subtree()
              .placement()
              .ifPresent(
                  placement ->
                      placement.layer().changes().values().forEach(value -> count(value, own)));
        }
      }
      String kinds =
          own.entrySet().stream()
              .map(
                  each -> each.getValue() + " " + each.getKey() + (each.getValue() == 1 ? "" : "s"))
              .collect(Collectors.joining(", "));
      String asWhat = "Kept as the " + said.kind().title().toLowerCase() + " “" + said.name() + "”";
      return kinds.isEmpty() ? asWhat : asWhat + ". This page’s own in it: " + kinds;
    }

    private static void count(LocalValue value, Map<String, Integer> own) {
      if (value instanceof LocalValue.ContentIs is && is.value().isPresent()) {
        FieldValue content = is.value().get();
        String word =
            content instanceof FieldValue.Words
                ? "text"
                : content instanceof FieldValue.Picture ? "picture" : "link";
        own.merge(word, 1, Integer::sum);
      }
    }

    private Described said(Described guessed) {
      return Described.of(
          name,
          kind == null || kind.isEmpty()
              ? guessed.kind()
              : BadInput.known("kind", kind, PieceKind::ofWord),
          purpose == null || purpose.isEmpty()
              ? guessed.purpose()
              : BadInput.known("purpose", purpose, Purpose::ofWord));
    }
  }
}
