package goodbones.style;

import goodbones.document.Device;
import goodbones.document.NodeId;
import goodbones.document.State;
import goodbones.document.StyleValue;
import java.util.List;
import java.util.Optional;

/**
 * One value that could have been shown, as it stands on the source trail.
 *
 * @param label which piece, named style or kind
 * @param node the node that sets it; an ancestor where the value is inherited
 * @param value what is stored; empty where a local change takes the key away
 * @param css what it is worth on this site; empty with the value
 * @param chain the tokens behind it
 */
public record Candidate(
    Layer.Source source,
    String label,
    NodeId node,
    Device device,
    State state,
    Optional<StyleValue> value,
    String css,
    List<SiteFinishes.Step> chain) {}
