package goodbones.server.sites;

import goodbones.site.PageKind;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A page that was taken away, as it was. */
@Entity
@Table(name = "gone_page")
class GonePage {
  @Id private String id = "";
  private String siteId = "";
  private String title = "";
  private String address = "";
  private String description = "";
  private String kind = PageKind.PAGE.word();
  private String parentId = "";
  private int position;
  private boolean ready = true;

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private String document = "";

  private long version;

  /** The site's adoption stamp then. */
  private long stamp;

  private Instant gone = Instant.EPOCH;

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private String former = "";

  protected GonePage() {}

  /**
   * @param stamp the site's adoption stamp
   * @param former addresses that led on to it
   */
  GonePage(PageEntity page, long stamp, Instant gone, List<String> former) {
    this.id = page.id();
    this.siteId = page.siteId();
    PageSaid said = page.said();
    this.title = said.title();
    this.address = said.address();
    this.description = said.description();
    this.kind = said.kind().word();
    this.ready = said.ready();
    this.parentId = page.parentId();
    this.position = page.position();
    this.document = page.document();
    this.version = page.version();
    this.stamp = stamp;
    this.gone = gone;
    this.former = String.join("\n", former);
  }

  String id() {
    return id;
  }

  String siteId() {
    return siteId;
  }

  PageSaid said() {
    return new PageSaid(title, address, description, PageKind.ofWord(kind), ready);
  }

  String parentId() {
    return parentId;
  }

  int position() {
    return position;
  }

  String document() {
    return document;
  }

  long version() {
    return version;
  }

  long stamp() {
    return stamp;
  }

  Instant gone() {
    return gone;
  }

  List<String> former() {
    return former.isEmpty() ? List.of() : List.of(former.split("\n"));
  }
}
