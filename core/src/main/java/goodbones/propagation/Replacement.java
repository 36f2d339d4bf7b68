package goodbones.propagation;

import goodbones.document.LocalKey;
import goodbones.document.LocalValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.library.Exchange;
import goodbones.library.Library;
import goodbones.library.Placements;
import goodbones.library.Showing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Puts another piece where one stands, everywhere in a document. Fillings are carried over as by an
 * exchange; what finds no match is kept with its placement and listed.
 */
public final class Replacement {
  private final Library library;
  private final String pieceId;

  public Replacement(Library library, String pieceId) {
    this.library = library;
    this.pieceId = pieceId;
  }

  /** The piece that goes. */
  public String pieceId() {
    return pieceId;
  }

  /**
   * A placement that another piece stands in for.
   *
   * @param carried how many of its fillings show in the other piece
   * @param kept the fillings that have no place in it, by their keys in the piece that stood here
   * @param others how many other local changes are kept out of sight with them
   */
  public record Replaced(
      NodeId path,
      Placement before,
      Placement after,
      int carried,
      SortedMap<LocalKey, LocalValue> kept,
      int others) {}

  /**
   * A document with the other piece, and every place where it was put.
   *
   * @param replaced in the order of the tree
   */
  public record Outcome(Node root, List<Replaced> replaced) {
    public Outcome {
      replaced = List.copyOf(replaced);
    }
  }

  /**
   * @param showing which revisions the document's placements show
   * @param other the other piece as it would be placed here
   */
  public Outcome in(Node document, Showing showing, Placement other) {
    List<Replaced> replaced = new ArrayList<>();
    Node root =
        Placements.mapped(
            document,
            (path, placement) -> {
              if (!placement.pieceId().equals(pieceId)) {
                return placement;
              }
              Replaced one = replaced(path, placement, showing, other);
              replaced.add(one);
              return one.after();
            });
    return new Outcome(root, replaced);
  }

  private Replaced replaced(NodeId path, Placement placement, Showing showing, Placement other) {
    Exchange exchange = new Exchange(library);
    Placement after =
        settled(
            path,
            exchange.of(placement, showing.shownBy(placement), other),
            showing,
            other.bound());
    SortedMap<LocalKey, LocalValue> kept =
        Optional.ofNullable(
                exchange
                    .tray(after, showing == Showing.BOUND ? after.bound() : showing.shownBy(after))
                    .get(pieceId))
            .orElseGet(TreeMap::new);
    int fillings =
        (int) placement.layer().changes().values().stream().filter(Replacement::isFilling).count();
    return new Replaced(
        path,
        placement,
        after,
        fillings - kept.size(),
        kept,
        placement.changes().size() - fillings);
  }

  /**
   * Where the other piece stood here before, it comes back as it was then: what has to be asked
   * about it waits on a page, and stays bound where it is in a piece.
   */
  private Placement settled(NodeId path, Placement placement, Showing showing, int shown) {
    if (placement.bound() == shown) {
      return placement;
    }
    Placement after =
        new Rebasing(library, showing)
            .moved(path, placement.withPin(Optional.empty()), placement.bound(), shown);
    boolean follows = after.pin().isEmpty();
    return showing == Showing.BOUND
        ? after.withPin(Optional.empty()).withBound(follows ? shown : placement.bound())
        : after;
  }

  private static boolean isFilling(LocalValue value) {
    return value instanceof LocalValue.ContentIs is && is.value().isPresent();
  }
}
