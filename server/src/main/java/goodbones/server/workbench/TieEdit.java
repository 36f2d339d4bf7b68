package goodbones.server.workbench;

import com.fasterxml.jackson.annotation.JsonTypeName;
import goodbones.document.Aspect;
import goodbones.document.Edit;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.Pin;
import goodbones.library.Origin;
import goodbones.server.drawing.Wording;
import java.util.Optional;

/** What ties a placement to its piece. */
sealed interface TieEdit extends AskedEdit {
  /** Back to the library's. */
  @JsonTypeName("RESET")
  record Reset(String node, String aspect) implements TieEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      Aspect wanted = Aspect.parse(aspect);
      Origin origin = aim.origin(on, "It comes from no piece; there is nothing to go back to");
      return new ReadEdit(
          new Edit.SetLocal(
              origin.placement(), new LocalKey(on.id().inner(), wanted), Optional.empty()),
          "back to the library’s " + Wording.label(on.kind(), wanted).toLowerCase());
    }
  }

  /** Holds a placement at the revision that it shows, or lets it follow. */
  @JsonTypeName("HOLD")
  record Hold(String node, boolean on) implements TieEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Origin origin = aim.origin(aim.node(node), "Only a placement can be held");
      return new ReadEdit(
          new Edit.SetPin(
              origin.placement(),
              on ? Optional.of(new Pin(origin.revision(), Pin.Reason.HELD)) : Optional.empty()),
          on ? "hold at revision " + origin.revision() : "let it follow");
    }
  }

  /** An independent copy in the place of the placement. */
  @JsonTypeName("UNLINK")
  record Unlink(String node) implements TieEdit {
    @Override
    public ReadEdit read(Aim aim) {
      Node on = aim.node(node);
      return new ReadEdit(aim.landing().unlink(on.id()), "unlink " + Wording.title(on));
    }
  }
}
