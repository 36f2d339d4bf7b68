package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.security.test.context.support.WithAnonymousUser;
import org.springframework.test.web.servlet.MockMvc;

@ServerTest
class PicturesAndPublishingTest {
  @Autowired private MockMvc mvc;

  private MockHttpServletResponse bringIn(String name, byte[] bytes) throws Exception {
    return mvc.perform(
            multipart("/api/pictures")
                .file(new MockMultipartFile("file", name, "image/png", bytes))
                .with(csrf()))
        .andReturn()
        .getResponse();
  }

  @Test
  void aPictureIsTakenInWithItsSizeAndACleanName() throws Exception {
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(12, 7, BufferedImage.TYPE_INT_RGB), "png", png);
    String view = bringIn("Quay at Noon (2).PNG", png.toByteArray()).getContentAsString();
    assertThat(view).contains("\"width\":12", "\"height\":7", "quay-at-noon-2.png");
  }

  @ParameterizedTest
  @CsvSource({
    "notes.png, just some words, is not a picture",
    "bare.svg, <svg xmlns='http://www.w3.org/2000/svg'></svg>, no viewBox",
    "cut.svg, <svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 9 9'><g>, cannot be read as SVG at line 1"
  })
  void aWrongFileIsRefusedWithTheReason(String name, String text, String reason) throws Exception {
    MockHttpServletResponse response = bringIn(name, text.getBytes(StandardCharsets.UTF_8));
    assertThat(response.getStatus()).isEqualTo(422);
    assertThat(response.getContentAsString()).contains(reason, name);
  }

  private MockHttpServletResponse hosted(String path) throws Exception {
    return mvc.perform(get("/hosted/saltmarsh-ferries/" + path)).andReturn().getResponse();
  }

  @Test
  void aSiteIsPublishedAsPlainFilesAndOnlyWhatChangedIsWrittenAgain() throws Exception {
    Api api = new Api(mvc);
    String path = "/api/sites/saltmarsh-ferries/publication";
    assertThat(hosted("").getStatus()).isEqualTo(404);
    Api.Answer first = api.write(path, Map.of());
    assertThat(first.body().path("written").asInt()).isGreaterThan(4);
    String html = hosted("").getContentAsString();
    assertThat(html)
        .contains("Three islands, one short crossing", "href=\"style.css\"")
        .doesNotContain("data-node", "/api/", "<script");
    assertThat(hosted("style.css").getContentAsString())
        .contains("pictures/ferry-at-dusk.svg", "fonts/literata.woff2")
        .doesNotContain("rokkitt");
    assertThat(hosted("pictures/ferry-at-dusk.svg").getContentType()).isEqualTo("image/svg+xml");
    assertThat(hosted("fonts/literata.woff2").getStatus()).isEqualTo(200);
    assertThat(api.write(path, Map.of()).body().path("written").asInt()).isZero();
    api.editPage(
        "sf-home", "type", "FIELD", "node", "sf-routes-h", "field", "words", "value", "Where to?");
    assertThat(api.write(path, Map.of()).body().path("written").asInt())
        .as("words change the page's file alone")
        .isEqualTo(1);
  }

  @Test
  @WithAnonymousUser
  void nobodyComesInWithoutSigningInAndNothingIsSentWithoutTheToken() throws Exception {
    assertThat(mvc.perform(get("/api/pieces")).andReturn().getResponse().getStatus())
        .isEqualTo(401);
    assertThat(mvc.perform(get("/actuator/health")).andReturn().getResponse().getStatus())
        .isEqualTo(200);
    assertThat(
            mvc.perform(multipart("/api/pictures").file("file", new byte[1]))
                .andReturn()
                .getResponse()
                .getStatus())
        .isEqualTo(403);
  }
}
