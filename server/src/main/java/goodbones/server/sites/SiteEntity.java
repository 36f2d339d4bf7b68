package goodbones.server.sites;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "site")
class SiteEntity {
  @Id private String id = "";
  private String name = "";
  private String language = "";
  private @Nullable String logo;
  private long stamp;

  /** Grows with every change of which pages there are, and of what is said of them. */
  @Column(updatable = false)
  private long filed;

  protected SiteEntity() {}

  SiteEntity(SiteInfo site) {
    this.id = site.id();
    this.name = site.name();
    this.language = site.language();
    this.logo = site.logo().isEmpty() ? null : site.logo();
  }

  /** Says something else of the client. */
  void describe(SiteInfo site) {
    name = site.name();
    language = site.language();
    logo = site.logo().isEmpty() ? null : site.logo();
  }

  /** Grows with every change of what the site has adopted. */
  long stamp() {
    return stamp;
  }

  /** The stamp of a change of what is adopted. */
  long raise() {
    return ++stamp;
  }

  SiteInfo info() {
    return new SiteInfo(id, name, language, logo == null ? "" : logo);
  }
}
