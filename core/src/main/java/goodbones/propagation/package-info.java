/** Carrying a newer revision to placements: verdicts, questions, rollout plans, taking back. */
@NullMarked
package goodbones.propagation;

import org.jspecify.annotations.NullMarked;
