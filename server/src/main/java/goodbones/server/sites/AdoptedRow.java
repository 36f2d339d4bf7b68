package goodbones.server.sites;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;

/** The revision of a piece that a site shows. */
@Entity
@Table(name = "adopted")
class AdoptedRow {
  /** Which site and which piece. */
  @Embeddable
  record Key(String siteId, String pieceId) implements Serializable {}

  @EmbeddedId private Key id = new Key("", "");
  private int revision;

  protected AdoptedRow() {}

  AdoptedRow(Key id, int revision) {
    this.id = id;
    this.revision = revision;
  }

  String siteId() {
    return id.siteId();
  }

  String pieceId() {
    return id.pieceId();
  }

  int revision() {
    return revision;
  }
}
