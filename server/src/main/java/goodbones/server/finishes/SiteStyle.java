package goodbones.server.finishes;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.io.Serializable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A named style of a site's own. */
@Entity
class SiteStyle {
  /** Which site and which named style. */
  @Embeddable
  record Key(String siteId, String styleId) implements Serializable {}

  @EmbeddedId private Key id = new Key("", "");

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private String document = "";

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
