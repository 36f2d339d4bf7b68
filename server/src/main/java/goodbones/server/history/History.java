package goodbones.server.history;

import goodbones.server.documents.DocumentJson;
import goodbones.server.problems.BadInput;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Undo and redo without end, for each document, also after a restart. */
@Service
public class History {
  /** Back in the history, or forth again. */
  public enum Way {
    UNDO,
    REDO
  }

  private static final int LABEL_LIMIT = 200;
  private final EditStepRepository steps;

  History(EditStepRepository steps) {
    this.steps = steps;
  }

  /** Notes an edit that was made; what was undone before can no longer be redone. */
  @Transactional
  public void made(String documentId, String label, Object inverse) {
    steps.deleteByDocumentIdAndUndoneTrue(documentId);
    String fitting = label.length() > LABEL_LIMIT ? label.substring(0, LABEL_LIMIT) : label;
    steps.save(new EditStep(documentId, fitting, DocumentJson.write(inverse)));
  }

  /** What undo would undo; empty if there is nothing. */
  @Transactional(readOnly = true)
  public Optional<String> toUndo(String documentId) {
    return last(documentId).map(EditStep::label);
  }

  /** What redo would redo; empty if there is nothing. */
  @Transactional(readOnly = true)
  public Optional<String> toRedo(String documentId) {
    return next(documentId).map(EditStep::label);
  }

  /**
   * Undoes the last edit, or redoes what was undone last.
   *
   * @param apply carries an edit out, and gives its inverse
   * @throws BadInput if there is nothing to undo or redo
   */
  @Transactional
  public <E> void turn(Way way, String documentId, Class<E> type, UnaryOperator<E> apply) {
    String word = way == Way.UNDO ? "undo" : "redo";
    EditStep step =
        (way == Way.UNDO ? last(documentId) : next(documentId))
            .orElseThrow(() -> new BadInput(word, "There is nothing to " + word));
    E inverse = apply.apply(DocumentJson.read(step.step(), type));
    step.turn(DocumentJson.write(inverse), way == Way.UNDO);
    steps.save(step);
  }

  /** Lets go of what would be undone or redone next, without doing it. */
  @Transactional
  public void skip(Way way, String documentId) {
    (way == Way.UNDO ? last(documentId) : next(documentId)).ifPresent(steps::delete);
  }

  private Optional<EditStep> last(String documentId) {
    return steps.findFirstByDocumentIdAndUndoneFalseOrderByIdDesc(documentId);
  }

  private Optional<EditStep> next(String documentId) {
    return steps.findFirstByDocumentIdAndUndoneTrueOrderByIdAsc(documentId);
  }
}
