package goodbones.server.rollouts;

import goodbones.propagation.Rollout;
import goodbones.server.documents.DocumentJson;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.List;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "rollout")
class RolloutEntity {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private @Nullable Long id;

  private String pieceId = "";
  private int revision;
  private Instant applied = Instant.EPOCH;
  private String appliedBy = "";
  private @Nullable Instant takenBack;

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private String stood = "";

  @Version private long version;

  protected RolloutEntity() {}

  RolloutEntity(Rollout rollout, Instant applied, String appliedBy) {
    this.pieceId = rollout.pieceId();
    this.revision = rollout.revision();
    this.applied = applied;
    this.appliedBy = appliedBy;
    this.stood = DocumentJson.write(rollout);
  }

  long id() {
    return java.util.Objects.requireNonNull(id, "a rollout that is kept has an id");
  }

  String pieceId() {
    return pieceId;
  }

  int revision() {
    return revision;
  }

  Instant applied() {
    return applied;
  }

  String appliedBy() {
    return appliedBy;
  }

  @Nullable Instant takenBack() {
    return takenBack;
  }

  void takeBack(Instant at) {
    takenBack = at;
  }

  /** Notes what was done at places that it gets to only now. */
  void alsoWritten(List<Rollout.WrittenStep> later) {
    stood = DocumentJson.write(rollout().alsoWritten(later));
  }

  Rollout rollout() {
    return DocumentJson.read(stood, Rollout.class);
  }
}
