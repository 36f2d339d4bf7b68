package goodbones.server.finishes;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.io.Serializable;

/** A site's own value for a token, in the text form of a style value. */
@Entity
class SiteValue {
  /** Which site and which token. */
  @Embeddable
  record Key(String siteId, String tokenId) implements Serializable {}

  @EmbeddedId private Key id = new Key("", "");
  private String stored = "";

  protected SiteValue() {}

  SiteValue(Key id, String stored) {
    this.id = id;
    this.stored = stored;
  }

  Key id() {
    return id;
  }

  String stored() {
    return stored;
  }
}
