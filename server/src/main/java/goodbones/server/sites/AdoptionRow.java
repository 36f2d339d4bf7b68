package goodbones.server.sites;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;

/** What a site had adopted of a piece before a change. */
@Entity
@Table(name = "adoption")
class AdoptionRow {
  /** At which site, by which change, and which piece. */
  @Embeddable
  record Key(String siteId, long stamp, String pieceId) implements Serializable {}

  @EmbeddedId private Key id = new Key("", 0, "");
  private int earlier;

  protected AdoptionRow() {}

  /**
   * @param earlier 0 if it had adopted none
   */
  AdoptionRow(Key id, int earlier) {
    this.id = id;
    this.earlier = earlier;
  }

  String pieceId() {
    return id.pieceId();
  }

  int earlier() {
    return earlier;
  }
}
