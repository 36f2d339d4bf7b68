package goodbones.server.finishes;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Lob;
import java.io.Serializable;

/** A named style of a site's own. */
@Entity
class SiteStyle {
  /** Which site and which named style. */
  @Embeddable
  record Key(String siteId, String styleId) implements Serializable {}

  @EmbeddedId private Key id = new Key("", "");
  @Lob private String document = "";

  protected SiteStyle() {}

  SiteStyle(Key id, String document) {
    this.id = id;
    this.document = document;
  }

  Key id() {
    return id;
  }

  String document() {
    return document;
  }
}
