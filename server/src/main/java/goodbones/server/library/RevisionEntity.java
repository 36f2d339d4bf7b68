package goodbones.server.library;

import goodbones.document.Node;
import goodbones.library.Revision;
import goodbones.server.documents.DocumentJson;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "revision")
class RevisionEntity {
  /** Which piece, and the revision's number. */
  @Embeddable
  record Key(String pieceId, int number) implements Serializable {}

  @EmbeddedId private Key id = new Key("", 0);
  private String note = "";
  private int finishes;
  private Instant released = Instant.EPOCH;
  private boolean withdrawn;

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private String document = "";

  protected RevisionEntity() {}

  RevisionEntity(Revision revision, Instant released) {
    this.id = new Key(revision.pieceId(), revision.number());
    this.note = revision.note();
    this.finishes = revision.finishes();
    this.released = released;
    this.document = DocumentJson.write(revision.root());
  }

  Revision revision() {
    return new Revision(
        id.pieceId(), id.number(), DocumentJson.read(document, Node.class), note, finishes);
  }

  String note() {
    return note;
  }

  Instant released() {
    return released;
  }

  boolean withdrawn() {
    return withdrawn;
  }

  void withdraw(boolean yes) {
    withdrawn = yes;
  }

  int number() {
    return id.number();
  }
}
