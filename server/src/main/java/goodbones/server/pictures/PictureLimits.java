package goodbones.server.pictures;

/** How large a picture may be. What is beyond is refused before anything is drawn. */
final class PictureLimits {
  static final int MB = 1024 * 1024;

  /** Of a PNG or JPEG file. */
  static final int BYTES = 8 * MB;

  /** Width times height of a PNG or JPEG file, in px: 40 million, such as 8000 × 5000. */
  static final long PIXELS = 40_000_000;

  /** Of an SVG file. */
  static final int SVG_BYTES = 2 * MB;

  /** Elements that stand in an SVG file. */
  static final int SVG_ELEMENTS = 20_000;

  /** How deep elements of an SVG file stand in each other. */
  static final int SVG_DEPTH = 80;

  /** Elements that are drawn once every reference in an SVG file is followed. */
  static final long SVG_DRAWN = 100_000;

  /** Width or height of an SVG picture. */
  static final int SVG_SIDE = 100_000;

  private PictureLimits() {}
}
