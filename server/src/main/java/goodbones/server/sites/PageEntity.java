package goodbones.server.sites;

import goodbones.document.Node;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "page")
class PageEntity {
  @Id private String id = "";
  private String siteId = "";
  private String title = "";
  private String address = "";
  private String description = "";

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private String document = "";

  private @Nullable Integer sections;
  private Instant changed = Instant.EPOCH;
  @Version private long version;

  protected PageEntity() {}

  PageEntity(String id, String siteId, String title, String address, String description) {
    this.id = id;
    this.siteId = siteId;
    this.title = title;
    this.address = address;
    this.description = description;
  }

  /**
   * @param things how many things stand directly on it
   */
  void write(String newDocument, int things, Instant at) {
    document = newDocument;
    sections = things;
    changed = at;
  }

  void count(int things) {
    sections = things;
  }

  /**
   * @param root what the document says
   */
  PageState state(Node root) {
    return new PageState(id, siteId, title, address, description, root, changed, version);
  }

  String document() {
    return document;
  }

  String id() {
    return id;
  }

  long version() {
    return version;
  }

  String title() {
    return title;
  }

  String siteId() {
    return siteId;
  }
}
