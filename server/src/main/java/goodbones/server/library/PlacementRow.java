package goodbones.server.library;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import org.jspecify.annotations.Nullable;

/** One row for each placement on a page, kept beside the documents. */
@Entity
@Table(name = "placement")
class PlacementRow {
  /** Which page, and the placement's id. */
  @Embeddable
  record Key(String pageId, String id) implements Serializable {}

  @EmbeddedId private Key id = new Key("", "");
  private String siteId = "";
  private String pieceId = "";
  private @Nullable Integer pinned;
  private boolean held;
  private int changes;

  protected PlacementRow() {}

  PlacementRow(
      Key id, String siteId, String pieceId, @Nullable Integer pinned, boolean held, int changes) {
    this.id = id;
    this.siteId = siteId;
    this.pieceId = pieceId;
    this.pinned = pinned;
    this.held = held;
    this.changes = changes;
  }

  String pageId() {
    return id.pageId();
  }

  String siteId() {
    return siteId;
  }

  @Nullable Integer pinned() {
    return pinned;
  }

  boolean held() {
    return held;
  }

  int changes() {
    return changes;
  }
}
