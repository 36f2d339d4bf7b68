package goodbones.server.sites;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.io.Serializable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** Something that is said of a site as a whole, such as its rules of coverage. */
@Entity
@Table(name = "site_sheet")
class SiteSheet {
  /**
   * @param about what it is about: {@code coverage}, {@code menus} or {@code details}
   */
  @Embeddable
  record Key(String siteId, String about) implements Serializable {}

  @EmbeddedId private Key id = new Key("", "");

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private String document = "";

  private long stamp;
  @Version private long version;

  protected SiteSheet() {}

  SiteSheet(Key id) {
    this.id = id;
  }

  void write(String newDocument) {
    document = newDocument;
    stamp++;
  }

  String document() {
    return document;
  }

  /** How often it was written. */
  long stamp() {
    return stamp;
  }
}
