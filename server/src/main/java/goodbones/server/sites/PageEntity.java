package goodbones.server.sites;

import goodbones.document.Node;
import goodbones.site.PageKind;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "page")
class PageEntity extends KeptPage {
  private boolean shared;
  private @Nullable Integer sections;
  private Instant changed = Instant.EPOCH;
  @Version private long version;

  protected PageEntity() {}

  PageEntity(String id, String siteId, String title, String address, String description) {
    super(id, siteId);
    describe(new PageSaid(title, address, description, "", PageKind.PAGE, true));
  }

  /**
   * A page that is brought back; its versions go on, so that nothing takes it for an earlier one.
   */
  PageEntity(GonePage page) {
    super(page);
    this.version = page.version() + 1;
  }

  /**
   * @param things how many things stand directly on it
   */
  void write(String newDocument, int things, Instant at) {
    put(newDocument);
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
    PageSaid said = said();
    return new PageState(
        id(),
        siteId(),
        said.title(),
        said.address(),
        said.description(),
        said.picture(),
        shared,
        root,
        changed,
        version);
  }

  /** Makes it what stands around the content of pages, and not a page itself. */
  void share() {
    shared = true;
  }

  boolean shared() {
    return shared;
  }

  long version() {
    return version;
  }
}
