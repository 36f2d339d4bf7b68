package goodbones.server.finishes;

import java.time.Instant;

/** A released revision of the house's finishes, without what is in it. */
public record FinishesRevision(int number, String note, Instant released) {}
