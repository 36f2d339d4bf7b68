package goodbones.server.history;

import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.Node;
import goodbones.server.documents.DocumentJson;
import goodbones.server.problems.BadInput;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Undo and redo without end, for each document, also after a restart. */
@Service
public class History {
  private static final int LABEL_LIMIT = 200;
  private final EditStepRepository steps;

  History(EditStepRepository steps) {
    this.steps = steps;
  }

  /** Notes an edit that was made; what was undone before can no longer be redone. */
  @Transactional
  public void made(String documentId, String label, Edit inverse) {
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
   * Undoes the last edit.
   *
   * @param apply carries the inverse out on the document
   * @throws BadInput if there is nothing to undo
   */
  @Transactional
  public Node undo(String documentId, Function<Edit, Edited> apply) {
    EditStep step =
        last(documentId).orElseThrow(() -> new BadInput("undo", "There is nothing to undo"));
    return turn(step, apply, true);
  }

  /**
   * Redoes what was undone last.
   *
   * @throws BadInput if there is nothing to redo
   */
  @Transactional
  public Node redo(String documentId, Function<Edit, Edited> apply) {
    EditStep step =
        next(documentId).orElseThrow(() -> new BadInput("redo", "There is nothing to redo"));
    return turn(step, apply, false);
  }

  private Node turn(EditStep step, Function<Edit, Edited> apply, boolean undone) {
    Edited edited = apply.apply(DocumentJson.read(step.step(), Edit.class));
    step.turn(DocumentJson.write(edited.inverse()), undone);
    steps.save(step);
    return edited.root();
  }

  private Optional<EditStep> last(String documentId) {
    return steps.findFirstByDocumentIdAndUndoneFalseOrderByIdDesc(documentId);
  }

  private Optional<EditStep> next(String documentId) {
    return steps.findFirstByDocumentIdAndUndoneTrueOrderByIdAsc(documentId);
  }
}
