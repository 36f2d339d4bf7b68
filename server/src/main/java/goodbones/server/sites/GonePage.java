package goodbones.server.sites;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A page that was taken away, as it was. */
@Entity
@Table(name = "gone_page")
class GonePage extends KeptPage {
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
    super(page);
    this.version = page.version();
    this.stamp = stamp;
    this.gone = gone;
    this.former = String.join("\n", former);
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
