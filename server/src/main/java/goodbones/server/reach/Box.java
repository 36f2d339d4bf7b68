package goodbones.server.reach;

/** A box in px of its page. */
public record Box(double x, double y, double width, double height) {}
