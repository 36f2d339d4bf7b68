package goodbones.server.workbench;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * An edit as the interface sends it.
 *
 * @param version the version of the document that the edit was made on
 * @param type what to do; the other parts are needed as it says
 * @param node the node that it is aimed at, as shown; the parent for {@code add} and the new parent
 *     for {@code move} stand in {@code parent}
 */
record EditRequest(
    long version,
    Type type,
    String node,
    @Nullable String field,
    @Nullable String property,
    @Nullable String device,
    @Nullable String value,
    @Nullable String alt,
    @Nullable String parent,
    @Nullable Integer index,
    @Nullable String kind,
    @Nullable Boolean on,
    @Nullable String aspect,
    @Nullable String state,
    @Nullable List<String> ids,
    @Nullable Map<String, String> look) {

  /** What to do. */
  enum Type {
    /** field, value, alt */
    FIELD,
    /** property, device, state, value; an empty value takes it away */
    STYLE,
    /** property, device, state: one step back on the source trail */
    BACK,
    /** ids: the named styles, the last one named wins */
    NAMED_STYLES,
    /** value: the name of a named style to be made of the node's own settings */
    MAKE_STYLE,
    /** look, ids: style keys with their values, and named styles, taken from another element */
    LAY_LOOK,
    /** value: the id of a colour scheme; empty for the one around it */
    SCHEME,
    /** device, on */
    HIDE,
    /** value */
    RENAME,
    /** parent, index, kind */
    ADD,
    REMOVE,
    /** parent, index */
    MOVE,
    /** field, on */
    SLOT,
    /** aspect: back to the library's */
    RESET,
    /** on: hold the placement at the revision that it shows, or let it follow */
    HOLD
  }
}
