package goodbones.server.finishes;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** The one draft of the house's finishes. */
@Entity
class FinishesDraft {
  static final int ONLY = 1;
  @Id private int id = ONLY;

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private String document = "";

  private long edits;
  @Version private long version;

  protected FinishesDraft() {}

  FinishesDraft(String document) {
    this.document = document;
  }

  String document() {
    return document;
  }

  /** How often anything in the finishes was changed. */
  long edits() {
    return edits;
  }

  void write(String newDocument) {
    document = newDocument;
    edits++;
  }
}
