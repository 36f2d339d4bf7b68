package goodbones.server.workbench;

import com.fasterxml.jackson.annotation.JsonTypeInfo;

/**
 * What the interface asks to be done with a document: a record for each thing that can be done,
 * told apart by its {@code type}. Each reads itself into an edit of the core, aimed at what is
 * shown.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
sealed interface AskedEdit permits ContentEdit, LookEdit, HandEdit, RowEdit, TieEdit, ChoiceEdit {
  /**
   * @throws goodbones.server.problems.BadInput if a part is not what it has to be
   * @throws goodbones.document.Refused if a node is not there, or the edit makes no sense
   * @throws goodbones.style.TokenProblem if a value names an unknown or unfitting token
   */
  ReadEdit read(Aim aim);
}
