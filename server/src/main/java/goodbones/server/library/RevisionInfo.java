package goodbones.server.library;

import java.time.Instant;

/** A revision without its tree. */
public record RevisionInfo(int number, String note, Instant released, boolean withdrawn) {}
