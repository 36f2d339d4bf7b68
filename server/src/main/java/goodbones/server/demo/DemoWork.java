package goodbones.server.demo;

import static goodbones.server.demo.Make.styled;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.server.library.Pieces;
import goodbones.server.sites.PageState;
import goodbones.server.sites.Sites;
import java.util.Optional;

/**
 * The middle of the agency’s work: something is released and waits to be rolled out, with a
 * question for one client and a contrast that would fail at another, and one page is held where it
 * is.
 */
final class DemoWork {
  private final Pieces pieces;
  private final Sites sites;

  DemoWork(Pieces pieces, Sites sites) {
    this.pieces = pieces;
    this.sites = sites;
  }

  /** What was released before the clients had pages with it. */
  void begin() {
    Node action = pieces.revision(DemoPieces.ACTION, 1).root();
    DemoPieces.release(
        pieces,
        DemoPieces.ACTION,
        styled(action, "padding-top@phone", "40px", "padding-bottom@phone", "40px"),
        "Less empty room on a phone");
  }

  /** What goes on since. */
  void goOn() {
    hold("om-visit", "om-vi-action", 1);
    Node hours = pieces.revision(DemoPieces.TIMES, 1).root();
    DemoPieces.release(
        pieces,
        DemoPieces.TIMES,
        styled(
                hours,
                "background-color",
                "{t-accent}",
                "color",
                "{t-on-accent}",
                "padding-top",
                "64px",
                "padding-bottom",
                "64px")
            .change(NodeId.of("hb-label"), label -> styled(label, "color", "{t-on-accent}")),
        "Stands out in the client’s own colour");
  }

  private void hold(String page, String placement, int revision) {
    PageState now = sites.page(page);
    Node held =
        now.root()
            .change(
                NodeId.of(placement),
                node ->
                    node.withPlacement(
                        node.placement()
                            .orElseThrow()
                            .withBound(revision)
                            .withPin(Optional.of(new Pin(revision, Pin.Reason.HELD)))));
    sites.write(page, now.version(), held);
  }
}
