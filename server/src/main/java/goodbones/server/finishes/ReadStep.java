package goodbones.server.finishes;

import goodbones.style.FinishesEdit;
import goodbones.style.FinishesStep;

/** A step of the finishes and what to call it. */
record ReadStep(FinishesStep step, String label) {
  static ReadStep house(FinishesEdit edit, String label) {
    return new ReadStep(new FinishesStep.House(edit), label);
  }
}
