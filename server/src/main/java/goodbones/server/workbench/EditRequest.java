package goodbones.server.workbench;

import goodbones.server.workbench.Views.Setting;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * An edit as the interface sends it.
 *
 * @param version the version of the document that the edit was made on
 * @param drawing the drawing that the interface has; empty for none
 * @param over whether to go over what somebody else changed meanwhile
 * @param type what to do; the other parts are needed as it says
 * @param node the node that it is aimed at, as shown
 * @param nodes several nodes, where the edit is for all of them
 * @param before the sibling before which something is put; empty for the end
 */
record EditRequest(
    long version,
    @Nullable String drawing,
    @Nullable Boolean over,
    Type type,
    String node,
    @Nullable List<String> nodes,
    @Nullable String field,
    @Nullable String property,
    @Nullable String device,
    @Nullable String value,
    @Nullable String alt,
    @Nullable String before,
    @Nullable String kind,
    @Nullable Boolean on,
    @Nullable String aspect,
    @Nullable String state,
    @Nullable List<String> ids,
    @Nullable Map<String, String> look,
    @Nullable List<Setting> settings,
    @Nullable Integer count,
    @Nullable Double width) {

  /** What to do. */
  enum Type {
    /** field, value, alt */
    FIELD,
    /** field, value: words as HTML, of which what words can be marked with is taken */
    MARKED,
    /** nodes or node, property, device, state, value; an empty value takes it away */
    STYLE,
    /** settings: several at once */
    SETTINGS,
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
    /** nodes or node, device, on */
    HIDE,
    /** value */
    RENAME,
    /** node: the container; before, kind; value: column widths and count for a row */
    ADD,
    /** node, kind, on: beside it, after or before; value and count as above */
    ADD_BESIDE,
    /** node: the page; before; value: a piece's id */
    PLACE,
    /** nodes or node */
    REMOVE,
    /** nodes or node */
    DUPLICATE,
    /** node: the container; before, nodes: what is moved there */
    MOVE,
    /** node: beside it; on: after; nodes: what is moved there */
    MOVE_BESIDE,
    /** node: the container; before; value: what was copied */
    PASTE,
    /** node: the container; before; value: HTML from another program */
    PASTE_HTML,
    /** nodes, kind: section, row or box */
    WRAP,
    UNWRAP,
    MIRROR,
    /** node: a row; device, value: how its columns share it */
    COLUMNS,
    /** node: a row; value, count: how many columns share it, and how */
    LAYOUT,
    /** node: the left column of two; device, width in twelfths, on: free of whole twelfths */
    RESIZE,
    /** node: a column; device, value: its own share, such as 1+3 */
    SHARE,
    /** property: what its children share becomes the container's */
    GATHER,
    /** property, device, state, on: down to its children; otherwise up to its container */
    CARRY,
    /** field, on */
    SLOT,
    /** aspect: back to the library's */
    RESET,
    /** on: hold the placement at the revision that it shows, or let it follow */
    HOLD,
    /** an independent copy in the place of the placement */
    UNLINK
  }
}
