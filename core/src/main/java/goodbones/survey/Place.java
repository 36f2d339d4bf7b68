package goodbones.survey;

import goodbones.document.NodeId;

/**
 * Where something stands.
 *
 * @param page the page's id
 */
public record Place(String page, NodeId node) {}
