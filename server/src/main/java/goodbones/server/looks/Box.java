package goodbones.server.looks;

/** A box in px of its page. */
record Box(double x, double y, double width, double height) {}
