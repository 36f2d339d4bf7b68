package goodbones.server.library;

import goodbones.document.Pin;
import goodbones.document.Placement;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import org.jspecify.annotations.Nullable;

/** One row for each placement in a page, a piece or a draft, kept beside the documents. */
@Entity
@Table(name = "placed")
class PlacedRow {
  /**
   * In which document, and the placement's path there.
   *
   * @param ownerKind {@code page}, {@code piece} or {@code draft}
   */
  @Embeddable
  record Key(String ownerKind, String ownerId, String path) implements Serializable {}

  @EmbeddedId private Key id = new Key("", "", "");
  private @Nullable String siteId;
  private String pieceId = "";
  private int bound;
  private @Nullable Integer pinned;
  private boolean held;
  private int changes;

  protected PlacedRow() {}

  PlacedRow(Key id, String siteId, Placement placement) {
    this.id = id;
    this.siteId = siteId.isEmpty() ? null : siteId;
    this.pieceId = placement.pieceId();
    this.bound = placement.bound();
    this.pinned = placement.pin().map(Pin::revision).orElse(null);
    this.held = placement.pin().filter(p -> p.reason() == Pin.Reason.HELD).isPresent();
    this.changes = placement.changes().size();
  }

  Key id() {
    return id;
  }

  String ownerId() {
    return id.ownerId();
  }

  String path() {
    return id.path();
  }

  String pieceId() {
    return pieceId;
  }

  int bound() {
    return bound;
  }
}
