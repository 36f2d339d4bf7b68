package goodbones.server.pictures;

/** A picture without its file. Width and height are in px. */
public record PictureView(String id, String fileName, int width, int height) {}
