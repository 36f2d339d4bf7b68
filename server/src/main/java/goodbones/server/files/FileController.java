package goodbones.server.files;

import goodbones.server.problems.Upload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

@RestController
@RequestMapping("/api")
class FileController {
  private final ClientFiles files;

  FileController(ClientFiles files) {
    this.files = files;
  }

  /**
   * A file with how far it is used.
   *
   * @param kind what it is and how large, in words
   * @param uses the pages, pieces and links of menus that lead to it
   * @param menus the menus among them, one for each link
   */
  record FileCard(FileView file, String kind, int uses, List<String> menus) {}

  /** A client's files, also those that are put away. */
  @GetMapping("/sites/{id}/files")
  List<FileCard> files(@PathVariable String id) {
    Map<String, ClientFiles.Uses> uses = files.uses(id);
    return files.of(id).stream()
        .map(
            file -> {
              ClientFiles.Uses of = Objects.requireNonNull(uses.get(file.id()));
              return new FileCard(file, file.kind(), of.all(), of.menus());
            })
        .toList();
  }

  /** Brings a file in. */
  @PostMapping(path = "/sites/{id}/files", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  FileView add(@PathVariable String id, @RequestPart("file") MultipartFile file)
      throws IOException {
    Upload sent = Upload.of(file);
    return files.add(id, sent.name(), sent.content());
  }

  /** Gives a file another content wherever it is linked to. */
  @PostMapping(path = "/files/{id}/file", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  FileView replace(
      @PathVariable String id, @RequestParam String etag, @RequestPart("file") MultipartFile file)
      throws IOException {
    Upload sent = Upload.of(file);
    return files.replace(id, etag, sent.name(), sent.content());
  }

  /** What is said anew of a file; what is left out stays as it is. */
  record SaidOfFile(@Nullable String fileName, @Nullable Boolean away) {}

  /** Says something of a file; one that is linked to cannot be put away. */
  @PatchMapping("/files/{id}")
  FileView describe(
      @PathVariable String id, @RequestParam String etag, @RequestBody SaidOfFile said) {
    FileView before = files.view(id);
    return files.describe(
        id,
        etag,
        said.fileName() == null ? before.fileName() : said.fileName(),
        said.away() == null ? before.away() : said.away());
  }

  /** The file itself, to be kept and not shown: what is in it is somebody else's. */
  @GetMapping("/files/{id}/file")
  ResponseEntity<byte[]> file(@PathVariable String id) {
    FileView file = files.view(id);
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(file.mediaType()))
        .cacheControl(CacheControl.noCache())
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(file.fileName(), StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(files.bytes(id));
  }
}
