package goodbones.layout;

/** A border box, in CSS px from the upper left corner of the page. */
public record Box(double x, double y, double width, double height) {
  public double right() {
    return x + width;
  }

  public double bottom() {
    return y + height;
  }
}
