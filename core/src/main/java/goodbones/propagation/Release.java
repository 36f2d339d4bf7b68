package goodbones.propagation;

/** A revision of a piece that is to be carried to sites. */
public record Release(String pieceId, int revision) {}
