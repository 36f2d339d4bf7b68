package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Files that a client's visitors can keep: brought in, linked to, published, put away. */
@ServerTest
class FilesApiTest {
  private static final String SITE = "oakum-rope-museum";
  private static final String FILES = "/api/sites/" + SITE + "/files";
  private static final byte[] PDF = text("%PDF-1.7\n%%EOF\n");
  private static final JsonMapper JSON = new JsonMapper();
  @Autowired private MockMvc mvc;
  private Api api;

  @BeforeEach
  void talk() {
    api = new Api(mvc);
  }

  private static byte[] text(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private Api.Answer send(String path, String name, byte[] bytes) throws Exception {
    MockHttpServletResponse response =
        mvc.perform(
                multipart(api.seen(path))
                    .file(new MockMultipartFile("file", name, "text/html", bytes))
                    .with(csrf()))
            .andReturn()
            .getResponse();
    return new Api.Answer(
        response.getStatus(), JSON.readTree(response.getContentAsString(StandardCharsets.UTF_8)));
  }

  private String bringIn(String name, byte[] bytes) throws Exception {
    Api.Answer in = send(FILES, name, bytes);
    assertThat(in.status()).as(in.detail()).isEqualTo(200);
    return in.body().path("id").asString();
  }

  private JsonNode card(String id) {
    for (JsonNode card : api.read(FILES).body()) {
      if (card.path("file").path("id").asString().equals(id)) {
        return card;
      }
    }
    throw new AssertionError("no file " + id);
  }

  private String href(String path) {
    assertThat(api.write("/api/sites/" + SITE + "/publication", Map.of()).status()).isEqualTo(200);
    return Jsoup.parse(api.text("/hosted/" + SITE + "/" + path))
        .select("main a.button")
        .first()
        .attr("href");
  }

  @Test
  void aFileIsLinkedToPublishedGivenAnotherContentAndKeptWhileLinkedTo() throws Exception {
    String id = bringIn("Guide to the Walk (2).PDF", PDF);
    String link = "file:" + id;
    assertThat(card(id).path("file").path("fileName").asString())
        .isEqualTo("guide-to-the-walk-2.pdf");
    assertThat(card(id).path("kind").asString()).isEqualTo("PDF, 1 KB");
    assertThat(api.read("/api/sites/" + SITE + "/targets?words=guide").body().toString())
        .contains(link);
    assertThat(api.field("om-home", "om-opening/ob-button", "link", link).status()).isEqualTo(200);
    assertThat(card(id).path("uses").asInt()).isEqualTo(1);
    assertThat(api.read("/api/uses/file/" + id).body().toString()).contains("om-home");
    assertThat(href("")).isEqualTo("files/guide-to-the-walk-2.pdf");
    MockHttpServletResponse hosted =
        mvc.perform(get("/hosted/" + SITE + "/files/guide-to-the-walk-2.pdf"))
            .andReturn()
            .getResponse();
    assertThat(hosted.getContentType()).isEqualTo("application/pdf");
    assertThat(hosted.getContentAsByteArray()).isEqualTo(PDF);

    byte[] better = text("%PDF-1.7\nbetter\n%%EOF\n");
    assertThat(send("/api/files/" + id + "/file", "other.pdf", better).status()).isEqualTo(200);
    assertThat(href("")).isEqualTo("files/guide-to-the-walk-2.pdf");
    assertThat(api.text("/hosted/" + SITE + "/files/guide-to-the-walk-2.pdf")).contains("better");
    assertThat(send("/api/files/" + id + "/file", "other.txt", text("a")).detail())
        .contains("another kind of file");

    assertThat(api.patch("/api/files/" + id, Map.of("away", true)).detail())
        .contains("linked to in 1 place");
    assertThat(api.patch("/api/files/" + id, Map.of("fileName", "The walk")).status())
        .isEqualTo(200);
    assertThat(href("")).as("a link follows its file").isEqualTo("files/the-walk.pdf");
    assertThat(api.turn("om-home", "undo").status()).isEqualTo(200);
    assertThat(api.patch("/api/files/" + id, Map.of("away", true)).status()).isEqualTo(200);
    assertThat(api.read("/api/sites/" + SITE + "/targets?words=walk.pdf").body().toString())
        .doesNotContain(link);
    assertThat(api.turn("om-home", "redo").status()).isEqualTo(200);
    assertThat(href("")).as("what undo brings back leads somewhere").contains("the-walk.pdf");
  }

  @Test
  void aLinkInAMenuCountsAsAUseAndOneToAFileThatIsNotThereLeadsNowhere() throws Exception {
    String id = bringIn("prices.csv", text("a,b\n"));
    long version = api.read("/api/sites/" + SITE + "/menus").body().path("version").asLong();
    Api.Answer kept =
        api.put(
            "/api/sites/" + SITE + "/menus",
            Api.parts(
                "version",
                version,
                "menus",
                List.of(
                    Api.menu(
                        "Main",
                        Api.parts(
                            "words",
                            "Prices",
                            "link",
                            "file:" + id,
                            "newTab",
                            true,
                            "below",
                            List.of())))));
    assertThat(kept.status()).as(kept.detail()).isEqualTo(200);
    assertThat(card(id).path("uses").asInt()).isEqualTo(1);
    assertThat(card(id).path("menus").toString()).isEqualTo("[\"Main\"]");
    assertThat(api.field("om-home", "om-opening/ob-button", "link", "file:gone").status())
        .isEqualTo(200);
    assertThat(api.read("/api/sites/" + SITE + "/target?link=file:gone").body().toString())
        .contains("nowhere");
    assertThat(href("")).isEmpty();
    assertThat(api.read("/api/pages/om-home/survey").body().toString())
        .contains("It leads nowhere now");
    assertThat(
            api.read("/api/sites/tern-valley/target?link=file:" + id)
                .body()
                .path("kind")
                .asString())
        .as("another client's file")
        .isEqualTo("nowhere");
  }

  @Test
  void filesOfOneClientHaveNamesOfTheirOwn() throws Exception {
    String first = bringIn("Leaflet.pdf", PDF);
    String second = bringIn("leaflet.pdf", PDF);
    assertThat(card(second).path("file").path("fileName").asString()).isEqualTo("leaflet-2.pdf");
    assertThat(api.patch("/api/files/" + second, Map.of("fileName", "leaflet")).detail())
        .contains("Another file is called “leaflet.pdf”");
    assertThat(card(first).path("uses").asInt()).isZero();
    MockHttpServletResponse own =
        mvc.perform(get("/api/files/" + first + "/file")).andReturn().getResponse();
    assertThat(own.getHeader("Content-Disposition")).startsWith("attachment");
    assertThat(own.getHeader("X-Content-Type-Options")).isEqualTo("nosniff");
  }

  private static byte[] zipped(String... namesAndContents) throws Exception {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      for (int i = 0; i < namesAndContents.length; i += 2) {
        byte[] content = text(namesAndContents[i + 1]);
        ZipEntry entry = new ZipEntry(namesAndContents[i]);
        entry.setMethod(ZipEntry.STORED);
        entry.setSize(content.length);
        java.util.zip.CRC32 sum = new java.util.zip.CRC32();
        sum.update(content);
        entry.setCrc(sum.getValue());
        zip.putNextEntry(entry);
        zip.write(content);
      }
    }
    return bytes.toByteArray();
  }

  @Test
  void whatIsInAFileIsLookedAt() throws Exception {
    byte[] word = zipped("[Content_Types].xml", "<Types/>", "word/document.xml", "<w/>");
    byte[] open = zipped("mimetype", "application/vnd.oasis.opendocument.text", "a.xml", "<a/>");
    bringIn("letter.docx", word);
    bringIn("letter.odt", open);
    bringIn("all.zip", word);
    bringIn("dates.ics", text("BEGIN:VCALENDAR\nEND:VCALENDAR\n"));
    assertThat(send(FILES, "letter.xlsx", word).detail()).contains("named as XLSX");
    assertThat(send(FILES, "letter.odp", open).detail()).contains("named as ODP");
    assertThat(send(FILES, "raw.txt", new byte[] {(byte) 0xff, 0}).detail()).contains("as TXT");
  }

  @ParameterizedTest
  @CsvSource({
    "page.html, <script>alert(1)</script>, nothing that visitors can be given",
    "run.exe, MZ, nothing that visitors can be given",
    "no-ending, words, nothing that visitors can be given",
    "trick.pdf, <html>, named as PDF",
    "dates.ics, hello, named as ICS",
    "empty.pdf, '', is empty"
  })
  void whatIsNothingForVisitorsIsRefusedWithTheReason(String name, String content, String reason)
      throws Exception {
    Api.Answer refused = send(FILES, name, text(content));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.detail()).contains(reason);
  }
}
