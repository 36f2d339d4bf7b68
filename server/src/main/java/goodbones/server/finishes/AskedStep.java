package goodbones.server.finishes;

import com.fasterxml.jackson.annotation.JsonTypeInfo;

/**
 * What the finishes area asks to be done: a record for each thing that can be done, told apart by
 * its {@code type}. Each reads itself into a step.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
sealed interface AskedStep permits TokenStep, StyleStep, SchemeStep {
  /**
   * @throws goodbones.server.problems.BadInput if there is no such token, style or scheme
   * @throws goodbones.server.problems.Stale if the value is not the one that was expected
   * @throws goodbones.style.TokenProblem if a value names an unknown or unfitting token
   */
  ReadStep read(StepAim aim);

  /** The client whose own finishes it changes; empty for the house's. */
  default String site() {
    return "";
  }

  /** The token that it is about; empty for none. */
  default String token() {
    return "";
  }
}
