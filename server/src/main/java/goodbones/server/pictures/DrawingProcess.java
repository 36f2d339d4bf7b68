package goodbones.server.pictures;

import java.awt.image.BufferedImage;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.PrintStream;

/**
 * The other side of {@link DrawingRoom}: takes pictures from its input and answers with their
 * pixels, or with a narrower file, until the input ends. A picture is its media type, width,
 * height, the width wanted (0 for pixels), length and bytes; an answer is a width, a height and so
 * many ARGB pixels, or a length and so many bytes; it begins with 0 where it cannot be done.
 */
final class DrawingProcess {
  private DrawingProcess() {}

  /** Started by {@link DrawingRoom} alone. */
  public static void main(String[] args) throws IOException {
    PrintStream answers = System.out;
    // What libraries print must not come between the answers.
    System.setOut(System.err);
    DataInputStream in = new DataInputStream(new BufferedInputStream(System.in));
    DataOutputStream out = new DataOutputStream(new BufferedOutputStream(answers));
    try {
      while (true) {
        String mediaType = in.readUTF();
        int width = in.readInt();
        int height = in.readInt();
        int wanted = in.readInt();
        byte[] bytes = in.readNBytes(in.readInt());
        if (wanted > 0) {
          narrower(mediaType, wanted, bytes, out);
        } else {
          answer(mediaType, width, height, bytes, out);
        }
        out.flush();
      }
    } catch (EOFException nothingMore) {
      // The application has ended.
    }
  }

  private static void narrower(String mediaType, int wanted, byte[] bytes, DataOutputStream out)
      throws IOException {
    byte[] file;
    try {
      file = Drawing.narrower(mediaType, wanted, bytes);
    } catch (IOException | RuntimeException | OutOfMemoryError | StackOverflowError cannot) {
      out.writeInt(0);
      return;
    }
    out.writeInt(file.length);
    out.write(file);
  }

  private static void answer(
      String mediaType, int width, int height, byte[] bytes, DataOutputStream out)
      throws IOException {
    BufferedImage image;
    try {
      image = Drawing.of(mediaType, width, height, bytes);
    } catch (IOException | RuntimeException | OutOfMemoryError | StackOverflowError cannot) {
      out.writeInt(0);
      return;
    }
    out.writeInt(image.getWidth());
    out.writeInt(image.getHeight());
    for (int pixel :
        image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth())) {
      out.writeInt(pixel);
    }
  }
}
