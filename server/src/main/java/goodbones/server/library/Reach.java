package goodbones.server.library;

/** How far a change of a piece goes, through the pieces that contain it too. */
public record Reach(int placements, int pages, int sites, int held) {
  Reach(Long placements, Long pages, Long sites, Long held) {
    this(
        placements.intValue(),
        pages.intValue(),
        sites.intValue(),
        held == null ? 0 : held.intValue());
  }
}
