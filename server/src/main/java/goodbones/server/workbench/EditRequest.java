package goodbones.server.workbench;

import jakarta.validation.Valid;
import org.jspecify.annotations.Nullable;

/**
 * An edit as the interface sends it.
 *
 * @param version the version of the document that the edit was made on
 * @param stamp of what the site had adopted then
 * @param drawing the drawing that the interface has; empty for none
 * @param every whether what is aimed at an item of a list is done to all of them, as far as it is
 *     not the item's own to say
 * @param over whether to go over what somebody else changed meanwhile
 * @param own whether the document's own holds where something would be seen again that the library
 *     changed too; otherwise it is asked first
 */
record EditRequest(
    long version,
    @Nullable Long stamp,
    @Nullable String drawing,
    @Nullable Boolean every,
    @Nullable Boolean over,
    @Nullable Boolean own,
    @Valid AskedEdit edit) {}
