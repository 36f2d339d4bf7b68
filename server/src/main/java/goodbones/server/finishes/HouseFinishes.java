package goodbones.server.finishes;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;

/** A revision of the house's finishes. */
@Entity
class HouseFinishes {
  @Id private int revision;
  @Lob private String document = "";

  protected HouseFinishes() {}

  HouseFinishes(int revision, String document) {
    this.revision = revision;
    this.document = document;
  }

  String document() {
    return document;
  }
}
