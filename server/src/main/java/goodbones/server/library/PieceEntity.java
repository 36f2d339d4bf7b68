package goodbones.server.library;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.Optional;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "piece")
class PieceEntity {
  @Id private String id = "";
  private String name = "";
  private int currentRevision;

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private @Nullable String draft;

  @Version private long version;

  protected PieceEntity() {}

  PieceEntity(String id, String name) {
    this.id = id;
    this.name = name;
  }

  /** One that has a draft and no revision. */
  PieceEntity(String id, String name, String draft) {
    this(id, name);
    this.draft = draft;
  }

  String id() {
    return id;
  }

  String name() {
    return name;
  }

  int currentRevision() {
    return currentRevision;
  }

  long version() {
    return version;
  }

  /** The document of the draft. */
  Optional<String> draft() {
    return Optional.ofNullable(draft);
  }

  void edit(String document) {
    draft = document;
  }

  void released(int revision) {
    currentRevision = revision;
    draft = null;
  }

  /** A revision that came without anybody's release; a draft stays. */
  void followed(int revision) {
    currentRevision = revision;
  }
}
