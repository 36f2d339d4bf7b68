package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Pictures of the house and of clients: whose, in which sizes, saying what, used where. */
@ServerTest
class GalleryApiTest {
  private static final String FERRIES = "saltmarsh-ferries";

  private static final Pattern PICTURE = Pattern.compile("<img [^>]*data-node=\"([^\"]*)\"");

  private static final JsonMapper JSON = new JsonMapper();

  /** The start of a JPEG file and its first segment (JFIF 1.02): 2 and 18 bytes. */
  private static final int AFTER_JFIF = 20;

  /** Held so that what was up lies right (Exif 2.32, 4.6.4: 6). */
  private static final byte[] UPRIGHT =
      HexFormat.of()
          .parseHex(
              "ffe10022457869660000"
                  + "4d4d002a00000008"
                  + "0001"
                  + "011200030000000100060000"
                  + "00000000");

  @Autowired private MockMvc mvc;

  /** Blue with an orange spot. */
  private static byte[] file(String format, int width, int height, Color ground) {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    var graphics = image.createGraphics();
    graphics.setColor(ground);
    graphics.fillRect(0, 0, width, height);
    graphics.dispose();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, format, bytes);
    } catch (IOException e) {
      throw new AssertionError(e);
    }
    return bytes.toByteArray();
  }

  private MockHttpServletResponse send(String path, String site, String name, byte[] bytes)
      throws Exception {
    return mvc.perform(
            multipart(new Api(mvc).seen(path))
                .file(new MockMultipartFile("file", name, "image/jpeg", bytes))
                .param("site", site)
                .with(csrf()))
        .andReturn()
        .getResponse();
  }

  private JsonNode broughtIn(String site, String name, byte[] bytes) throws Exception {
    MockHttpServletResponse answer = send("/api/pictures", site, name, bytes);
    assertThat(answer.getStatus()).as(answer.getContentAsString()).isEqualTo(200);
    return JSON.readTree(answer.getContentAsByteArray()).path("picture");
  }

  private MockHttpServletResponse had(String path) throws Exception {
    return mvc.perform(get(path)).andReturn().getResponse();
  }

  private BufferedImage drawn(String path) throws Exception {
    return ImageIO.read(new ByteArrayInputStream(had(path).getContentAsByteArray()));
  }

  private JsonNode card(String id) throws Exception {
    for (JsonNode card : new Api(mvc).read("/api/pictures").body()) {
      if (card.path("picture").path("id").asString().equals(id)) {
        return card;
      }
    }
    throw new AssertionError("no picture " + id);
  }

  @Test
  void aPhotoHasAFileForEachWidthThatAPageMayNeed() throws Exception {
    JsonNode photo = broughtIn("", "Wide.jpg", file("jpg", 1400, 700, Color.BLUE));
    String path = "/api/pictures/" + photo.path("id").asString() + "/file";
    for (int width : List.of(320, 640, 960)) {
      BufferedImage narrower = drawn(path + "?width=" + width);
      assertThat(narrower.getWidth()).isEqualTo(width);
      assertThat(narrower.getHeight()).isCloseTo(width / 2, within(1));
    }
    assertThat(drawn(path + "?width=1280").getWidth())
        .as("hardly narrower than the whole")
        .isEqualTo(1400);
  }

  @Test
  void aPhotoIsTheWayUpThatItIsSeen() throws Exception {
    byte[] plain = file("jpg", 1000, 400, Color.RED);
    ByteArrayOutputStream upright = new ByteArrayOutputStream();
    upright.write(plain, 0, AFTER_JFIF);
    upright.write(UPRIGHT);
    upright.write(plain, AFTER_JFIF, plain.length - AFTER_JFIF);
    JsonNode photo = broughtIn("", "held.jpg", upright.toByteArray());
    assertThat(photo.path("width").asInt()).isEqualTo(400);
    assertThat(photo.path("height").asInt()).isEqualTo(1000);
    BufferedImage narrower =
        drawn("/api/pictures/" + photo.path("id").asString() + "/file?width=320");
    assertThat(narrower.getWidth()).isEqualTo(320);
    assertThat(narrower.getHeight()).isEqualTo(800);
  }

  @Test
  void aFileThatBreaksOffIsRefusedBeforeAnyPageHasIt() throws Exception {
    byte[] whole = file("png", 900, 900, Color.PINK);
    MockHttpServletResponse answer =
        send("/api/pictures", "", "half.png", Arrays.copyOf(whole, 60));
    assertThat(answer.getStatus()).isEqualTo(422);
    assertThat(answer.getContentAsString()).contains("half.png", "bring it in anew");
  }

  @Test
  void aClientsPicturesAreItsOwnAndTheHousesAreForAll() throws Exception {
    JsonNode own = broughtIn("tern-valley", "compost.png", file("png", 40, 40, Color.GREEN));
    Api api = new Api(mvc);
    assertThat(names(api.read("/api/pictures/at-hand?site=tern-valley").body()))
        .contains("compost.png", "plots-in-june.svg", "roof-frame.svg")
        .doesNotContain("stand-in.svg", "ferry-at-dusk.svg");
    assertThat(names(api.read("/api/pictures/at-hand?site=" + FERRIES).body()))
        .contains("ferry-at-dusk.svg")
        .doesNotContain("compost.png");
    assertThat(own.path("siteId").asString()).isEqualTo("tern-valley");
    assertThat(send("/api/pictures", "nobody", "a.png", file("png", 4, 4, Color.RED)).getStatus())
        .isEqualTo(404);
  }

  private static List<String> names(JsonNode pictures) {
    return StreamSupport.stream(pictures.spliterator(), false)
        .map(picture -> picture.path("fileName").asString())
        .toList();
  }

  @Test
  void whatIsSaidOfAPictureIsKeptAndCheckedFirst() throws Exception {
    Api api = new Api(mvc);
    JsonNode photo = broughtIn(FERRIES, "IMG_0001.jpg", file("jpg", 80, 60, Color.GRAY));
    String path = "/api/pictures/" + photo.path("id").asString();
    JsonNode now =
        api.patch(
                path,
                Api.parts(
                    "fileName",
                    "The quay, at noon.png",
                    "alt",
                    " The quay at noon ",
                    "tags",
                    List.of("Sea", "low tide", "sea"),
                    "focusX",
                    0.2))
            .body();
    assertThat(now.path("fileName").asString()).isEqualTo("the-quay-at-noon.jpg");
    assertThat(now.path("alt").asString()).isEqualTo("The quay at noon");
    assertThat(now.path("tags").toString()).isEqualTo("[\"sea\",\"low-tide\"]");
    assertThat(now.path("focusX").asDouble()).isEqualTo(0.2);
    assertThat(api.patch(path, Api.parts("alt", "a".repeat(301))).status()).isEqualTo(422);
    assertThat(api.patch(path, Api.parts("focusY", 1.2)).status()).isEqualTo(422);
    assertThat(api.read("/api/pictures/at-hand?site=" + FERRIES).body().toString())
        .as("what is left out stays")
        .contains("the-quay-at-noon.jpg");
    assertThat(api.patch("/api/pictures/stand-in", Api.parts("alt", "x")).status()).isEqualTo(404);
  }

  @Test
  void aPictureThatIsUsedIsNotPutAwayAndOneThatIsNotComesBack() throws Exception {
    Api api = new Api(mvc);
    JsonNode used = card("ferry-at-dusk");
    assertThat(used.path("uses").asInt()).isPositive();
    Api.Answer refused = api.patch("/api/pictures/ferry-at-dusk", Api.parts("away", true));
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body().toString()).contains("is used in");
    assertThat(card("saltmarsh-logo").path("uses").asInt()).as("a logo").isEqualTo(1);
    api.patch("/api/pictures/tool-shed", Api.parts("away", true));
    assertThat(names(api.read("/api/pictures/at-hand?site=tern-valley").body()))
        .doesNotContain("tool-shed.svg");
    api.patch("/api/pictures/tool-shed", Api.parts("away", false));
    assertThat(names(api.read("/api/pictures/at-hand?site=tern-valley").body()))
        .contains("tool-shed.svg");
  }

  private String published(Api api, String page) throws Exception {
    api.write("/api/sites/" + FERRIES + "/publication", Map.of());
    return had("/hosted/" + FERRIES + "/" + page).getContentAsString();
  }

  /** The file names and widths of the first srcset on a page. */
  private static Map<Integer, String> srcset(String html) {
    Map<Integer, String> files = new TreeMap<>();
    Matcher set = Pattern.compile("srcset=\"([^\"]*)\"").matcher(html);
    if (set.find()) {
      Matcher one = Pattern.compile("\\.\\./(\\S+) (\\d+)w").matcher(set.group(1));
      while (one.find()) {
        files.put(Integer.parseInt(one.group(2)), one.group(1));
      }
    }
    return files;
  }

  @Test
  void aNewFileIsEverywhereAtOnceAndTheOneBeforeCanBePutBack() throws Exception {
    Api api = new Api(mvc);
    JsonNode photo = broughtIn(FERRIES, "deck.jpg", file("jpg", 1000, 500, Color.BLUE));
    String id = photo.path("id").asString();
    Matcher onPage = PICTURE.matcher(Api.html(api.page("sf-islands")));
    assertThat(onPage.find()).isTrue();
    Api.Answer put =
        api.editPage(
            "sf-islands",
            "type",
            "FIELD",
            "node",
            onPage.group(1),
            "field",
            "picture",
            "value",
            id);
    assertThat(put.status()).as(put.body().toString()).isEqualTo(200);
    api.patch("/api/pictures/" + id, Api.parts("alt", "The upper deck", "focusY", 0));
    Map<Integer, String> files = srcset(published(api, "islands/"));
    assertThat(files.keySet()).containsExactly(320, 640, 1000);
    List<Integer> widths = new ArrayList<>();
    for (String file : files.values()) {
      widths.add(drawn("/hosted/" + FERRIES + "/" + file).getWidth());
    }
    assertThat(widths).containsExactly(320, 640, 1000);
    assertThat(published(api, "islands/")).contains("alt=\"The upper deck\"");
    assertThat(Api.html(api.page("sf-islands"))).contains("/api/pictures/" + id + "/file?v=0");

    send("/api/pictures/" + id + "/file", "", "other.png", file("png", 700, 700, Color.RED));
    assertThat(srcset(published(api, "islands/")).keySet()).containsExactly(320, 700);
    assertThat(Api.html(api.page("sf-islands"))).contains("/file?v=1");
    assertThat(card(id).path("picture").path("fileName").asString()).isEqualTo("deck.png");
    assertThat(card(id).path("picture").path("alt").asString()).isEqualTo("The upper deck");
    assertThat(card(id).path("earlier").asBoolean()).isTrue();
    api.write("/api/pictures/" + id + "/earlier", Map.of());
    assertThat(srcset(published(api, "islands/")).keySet()).containsExactly(320, 640, 1000);
    assertThat(had("/api/pictures/" + id + "/file?v=2").getHeader("Cache-Control"))
        .contains("immutable");
    assertThat(had("/api/pictures/" + id + "/file").getHeader("Cache-Control"))
        .isEqualTo("no-cache");
    api.write("/api/pages/sf-islands/undo", Map.of());
  }
}
