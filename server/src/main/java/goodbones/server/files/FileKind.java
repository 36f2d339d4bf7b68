package goodbones.server.files;

import goodbones.server.problems.BadInput;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;
import java.util.function.BiPredicate;
import java.util.stream.Collectors;

/**
 * What visitors may be given to keep. None of it is drawn as part of a page. Media types are those
 * registered with IANA.
 */
enum FileKind {
  /** ISO 32000-2, 7.5.2: readers look for the header in the first 1024 bytes. */
  PDF("application/pdf", (kind, content) -> beginning(content, 1024).contains("%PDF-")),
  /** ECMA-376: a package of parts, which the directory at the end of the ZIP file names. */
  DOCX(
      "application/vnd.openxmlformats-officedocument.wordprocessingml.document",
      (kind, content) -> isPackage(content, "word/")),
  XLSX(
      "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
      (kind, content) -> isPackage(content, "xl/")),
  PPTX(
      "application/vnd.openxmlformats-officedocument.presentationml.presentation",
      (kind, content) -> isPackage(content, "ppt/")),
  /** OpenDocument 1.3, part 2, 3.3: the media type stands uncompressed at the front. */
  ODT("application/vnd.oasis.opendocument.text", FileKind::saysSo),
  ODS("application/vnd.oasis.opendocument.spreadsheet", FileKind::saysSo),
  ODP("application/vnd.oasis.opendocument.presentation", FileKind::saysSo),
  /** EPUB Open Container Format 3.3, 4.3: likewise. */
  EPUB("application/epub+zip", FileKind::saysSo),
  ZIP("application/zip", (kind, content) -> isZip(content)),
  TXT("text/plain", (kind, content) -> isText(content)),
  CSV("text/csv", (kind, content) -> isText(content)),
  /** RFC 5545, 3.4. */
  ICS("text/calendar", (kind, content) -> isText(content) && begins(content, "BEGIN:VCALENDAR")),
  /** RFC 6350, 6.1.1. */
  VCF("text/vcard", (kind, content) -> isText(content) && begins(content, "BEGIN:VCARD"));

  private static final String ZIP_BEGINS = "PK\u0003\u0004";
  private static final int FRONT = 200;

  private final String mediaType;
  private final BiPredicate<FileKind, byte[]> fits;

  FileKind(String mediaType, BiPredicate<FileKind, byte[]> fits) {
    this.mediaType = mediaType;
    this.fits = fits;
  }

  String mediaType() {
    return mediaType;
  }

  String ending() {
    return name().toLowerCase(Locale.ROOT);
  }

  /**
   * What a file says that it is, if its content agrees.
   *
   * @throws BadInput if it is nothing that is given to visitors, or its content is something else
   */
  static FileKind of(String fileName, byte[] content) {
    String ending = fileName.substring(fileName.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
    FileKind kind =
        Arrays.stream(values())
            .filter(each -> each.ending().equals(ending))
            .findFirst()
            .orElseThrow(
                () ->
                    new BadInput(
                        "file",
                        "“"
                            + fileName
                            + "” is nothing that visitors can be given here; bring in one of "
                            + Arrays.stream(values())
                                .map(FileKind::name)
                                .collect(Collectors.joining(", "))
                            + ", and pictures under Pictures"));
    if (!kind.fits.test(kind, content)) {
      throw new BadInput(
          "file",
          "“"
              + fileName
              + "” is named as "
              + kind.name()
              + ", but that is not what is in it; save it as "
              + kind.name()
              + " again, or give it the ending of what it is");
    }
    return kind;
  }

  private static String beginning(byte[] content, int bytes) {
    return new String(content, 0, Math.min(bytes, content.length), StandardCharsets.ISO_8859_1);
  }

  private static boolean isZip(byte[] content) {
    return beginning(content, ZIP_BEGINS.length()).equals(ZIP_BEGINS);
  }

  private static boolean isPackage(byte[] content, String part) {
    String whole = beginning(content, content.length);
    return isZip(content) && whole.contains("[Content_Types].xml") && whole.contains(part);
  }

  private boolean saysSo(byte[] content) {
    return isZip(content) && beginning(content, FRONT).contains("mimetype" + mediaType);
  }

  private static boolean isText(byte[] content) {
    try {
      return StandardCharsets.UTF_8
              .newDecoder()
              .decode(ByteBuffer.wrap(content))
              .toString()
              .indexOf('\0')
          < 0;
    } catch (CharacterCodingException e) {
      return false;
    }
  }

  private static boolean begins(byte[] content, String with) {
    return new String(content, StandardCharsets.UTF_8).replace("\uFEFF", "").startsWith(with);
  }
}
