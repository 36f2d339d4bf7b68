package goodbones.server.sites;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

@Entity
@Table(name = "site")
class SiteEntity {
  @Id private String id = "";
  private String name = "";
  private String language = "";

  protected SiteEntity() {}

  SiteEntity(String id, String name, String language) {
    this.id = id;
    this.name = name;
    this.language = language;
  }

  SiteInfo info() {
    return new SiteInfo(id, name, language);
  }
}
