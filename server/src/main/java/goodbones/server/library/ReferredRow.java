package goodbones.server.library;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import org.jspecify.annotations.Nullable;

/** That a document refers to something. */
@Entity
@Table(name = "referred")
class ReferredRow {
  /**
   * Which document, and what it refers to.
   *
   * @param ownerKind {@code page}, {@code piece} or {@code draft}
   * @param revision of a piece; 0 for the others
   * @param kind a {@link Referred} in small letters
   */
  @Embeddable
  record Key(String ownerKind, String ownerId, int revision, String kind, String refId)
      implements Serializable {}

  @EmbeddedId private Key id = new Key("", "", 0, "", "");
  private @Nullable String siteId;

  protected ReferredRow() {}

  ReferredRow(Key id, String siteId) {
    this.id = id;
    this.siteId = siteId.isEmpty() ? null : siteId;
  }

  Key id() {
    return id;
  }

  Referrer referrer() {
    return new Referrer(id.ownerKind(), id.ownerId(), id.revision(), siteId == null ? "" : siteId);
  }
}
