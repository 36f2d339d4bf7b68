package goodbones.server.problems;

import java.io.IOException;
import org.springframework.web.multipart.MultipartFile;

/** A file that somebody sent. */
public record Upload(String name, byte[] content) {
  /**
   * @throws BadInput if there is nothing in it
   */
  public static Upload of(MultipartFile file) throws IOException {
    if (file.isEmpty()) {
      throw new BadInput("file", "The file is empty; choose another one");
    }
    String name = file.getOriginalFilename();
    return new Upload(name == null ? "file" : name, file.getBytes());
  }
}
