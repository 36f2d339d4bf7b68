package goodbones.server.finishes;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** The revision of the house's finishes that a site shows. */
@Entity
@Table(name = "site_finishes")
class AdoptedFinishes {
  @Id private String siteId = "";
  private int revision;

  protected AdoptedFinishes() {}

  AdoptedFinishes(String siteId, int revision) {
    this.siteId = siteId;
    this.revision = revision;
  }

  int revision() {
    return revision;
  }
}
