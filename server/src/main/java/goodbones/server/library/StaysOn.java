package goodbones.server.library;

/** That a site shows a revision of a piece somewhere because a placement stays on it. */
public record StaysOn(String pieceId, int revision, String siteId) {}
