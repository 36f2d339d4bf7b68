package goodbones.server.sites;

import goodbones.document.Node;
import goodbones.site.PageKind;
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
  private boolean shared;
  private String kind = PageKind.PAGE.word();
  private String parentId = "";
  private int position;
  private boolean ready = true;

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
   * A page that is brought back; its versions go on, so that nothing takes it for an earlier one.
   */
  PageEntity(GonePage page, String address) {
    this(page.id(), page.siteId(), "", address, "");
    PageSaid said = page.said();
    describe(new PageSaid(said.title(), address, said.description(), said.kind(), said.ready()));
    this.version = page.version() + 1;
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
    return new PageState(id, siteId, title, address, description, shared, root, changed, version);
  }

  /** Makes it what stands around the content of pages, and not a page itself. */
  void share() {
    shared = true;
  }

  /** Says something else of the page than what stands on it. */
  void describe(PageSaid said) {
    title = said.title();
    address = said.address();
    description = said.description();
    kind = said.kind().word();
    ready = said.ready();
  }

  PageSaid said() {
    return new PageSaid(title, address, description, PageKind.ofWord(kind), ready);
  }

  /**
   * @param under the page that it is filed under; empty for the top
   */
  void file(String under, int at) {
    parentId = under;
    position = at;
  }

  String parentId() {
    return parentId;
  }

  int position() {
    return position;
  }

  boolean shared() {
    return shared;
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
