package goodbones.server.history;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** One step of a document's history: the edit that undoes it, or redoes it once it is undone. */
@Entity
class EditStep {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private @Nullable Long id;

  private String documentId = "";
  private String label = "";

  @JdbcTypeCode(SqlTypes.LONG32VARCHAR)
  private String step = "";

  private boolean undone;

  protected EditStep() {}

  EditStep(String documentId, String label, String step) {
    this.documentId = documentId;
    this.label = label;
    this.step = step;
  }

  String label() {
    return label;
  }

  String step() {
    return step;
  }

  void turn(String other, boolean nowUndone) {
    step = other;
    undone = nowUndone;
  }
}
