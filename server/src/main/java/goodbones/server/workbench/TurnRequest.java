package goodbones.server.workbench;

import org.jspecify.annotations.Nullable;

/**
 * Undo or redo as the interface asks for it.
 *
 * @param version the version of the document that it is asked on
 * @param drawing the drawing that the interface has; empty for none
 * @param own where the library changed the same since: whether the document's own is brought back
 *     all the same, or the step let go; null asks first
 */
record TurnRequest(long version, @Nullable String drawing, @Nullable Boolean own) {}
