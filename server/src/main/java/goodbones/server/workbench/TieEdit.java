package goodbones.server.workbench;

import com.fasterxml.jackson.annotation.JsonTypeName;
import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.Kind;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.library.Exchange;
import goodbones.library.Origin;
import goodbones.server.drawing.Wording;
import goodbones.server.problems.BadInput;
import goodbones.structure.Keeping;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import java.util.UUID;
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
   * Keeps a part of the document as a piece, and places that where the part stood.
   *
   * @param name of the piece
   * @param purpose what it is for, in a few words; may be empty
   */
  @JsonTypeName("KEEP")
  record Keep(
      String node,
      @NotBlank(message = "Give the piece a name") @Size(max = 80, message = TOO_LONG) String name,
      @Size(max = 200, message = TOO_LONG) String purpose)
      implements TieEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      String id = UUID.randomUUID().toString();
      Keeping.Kept kept = new Keeping(aim.bench()).keep(on.id(), id);
      return new ReadEdit(
          kept.edit(),
          "keep " + Wording.title(on) + " as a piece",
          new ReadEdit.Kept(id, name.strip(), purpose.strip(), kept.root()));
    }
  }
}
