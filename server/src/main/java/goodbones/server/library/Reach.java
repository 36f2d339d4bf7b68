package goodbones.server.library;

/** How far a change of a piece goes. */
public record Reach(int placements, int pages, int sites, int held) {}
