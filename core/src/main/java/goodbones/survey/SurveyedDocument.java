package goodbones.survey;

import goodbones.document.Node;

/**
 * A page's own document, or a part that pages share.
 *
 * @param shown what is shown of it
 */
public record SurveyedDocument(String id, boolean shared, Node shown) {}
