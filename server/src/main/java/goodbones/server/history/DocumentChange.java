package goodbones.server.history;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** One change of a document: the version that it led to, and the nodes that it touched. */
@Entity
class DocumentChange {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private @Nullable Long id;

  private String documentId = "";
  private long version;
  private String who = "";
  private String label = "";

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private String touched = "";

  protected DocumentChange() {}

  DocumentChange(String documentId, long version, Changes.Change change) {
    this.documentId = documentId;
    this.version = version;
    this.who = change.who();
    this.label = change.label();
    this.touched = String.join(" ", change.touched());
  }

  Changes.Change change() {
    return new Changes.Change(
        who, label, touched.isEmpty() ? java.util.Set.of() : java.util.Set.of(touched.split(" ")));
  }

  long version() {
    return version;
  }
}
