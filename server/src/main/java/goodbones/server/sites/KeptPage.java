package goodbones.server.sites;

import goodbones.site.PageKind;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** All that makes a page, whether it is in its site or was taken away. */
@MappedSuperclass
abstract class KeptPage {
  @Id private String id = "";
  private String siteId = "";
  private String title = "";
  private String address = "";
  private String description = "";
  private String picture = "";
  private String kind = PageKind.PAGE.word();
  private String parentId = "";
  private int position;
  private boolean ready = true;

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private String document = "";

  protected KeptPage() {}

  KeptPage(String id, String siteId) {
    this.id = id;
    this.siteId = siteId;
  }

  /** The same page, kept elsewhere. */
  KeptPage(KeptPage other) {
    this(other.id, other.siteId);
    describe(other.said());
    file(other.parentId, other.position);
    document = other.document;
  }

  /** Says something else of the page than what stands on it. */
  final void describe(PageSaid said) {
    title = said.title();
    address = said.address();
    description = said.description();
    picture = said.picture();
    kind = said.kind().word();
    ready = said.ready();
  }

  final PageSaid said() {
    return new PageSaid(title, address, description, picture, PageKind.ofWord(kind), ready);
  }

  /**
   * @param under the page that it is filed under; empty for the top
   */
  final void file(String under, int at) {
    parentId = under;
    position = at;
  }

  final void put(String newDocument) {
    document = newDocument;
  }

  String id() {
    return id;
  }

  String siteId() {
    return siteId;
  }

  String title() {
    return title;
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
}
