package goodbones.layout;

/** A border box, in CSS px from the upper left corner of the page. */
public record Box(double x, double y, double width, double height) {
  public double right() {
    return x + width;
  }

  public double bottom() {
    return y + height;
  }

  /**
   * Whether another box stands in the same place.
   *
   * @param within how far each side may be off, in px
   */
  public boolean isNear(Box other, double within) {
    return Math.abs(x - other.x) <= within
        && Math.abs(y - other.y) <= within
        && Math.abs(width - other.width) <= within
        && Math.abs(height - other.height) <= within;
  }
}
