package goodbones.server.finishes;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A revision of the house's finishes. */
@Entity
class HouseFinishes {
  @Id private int revision;

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private String document = "";

  private String note = "";
  private Instant released = Instant.EPOCH;

  protected HouseFinishes() {}

  HouseFinishes(int revision, String document, String note, Instant released) {
    this.revision = revision;
    this.document = document;
    this.note = note;
    this.released = released;
  }

  int revision() {
    return revision;
  }

  String document() {
    return document;
  }

  FinishesRevision info() {
    return new FinishesRevision(revision, note, released);
  }
}
