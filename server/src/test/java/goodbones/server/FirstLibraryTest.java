package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.server.library.Pieces;
import goodbones.server.starters.FirstLibrary;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.security.test.context.support.WithMockUser;
import org.springframework.test.web.servlet.MockMvc;

/** What a house finds that starts for real work, with nothing of its own yet. */
@SpringBootTest(properties = "spring.datasource.url=jdbc:h2:mem:${random.uuid};DB_CLOSE_DELAY=-1")
@AutoConfigureMockMvc
@WithMockUser
class FirstLibraryTest {
  @Autowired private MockMvc mvc;
  @Autowired private FirstLibrary library;
  @Autowired private Pieces pieces;

  @Test
  void aFirstClientIsSetUpAndItsPagesStartFromTheLibrary() {
    Api api = new Api(mvc);
    int before = pieces.names().size();
    assertThat(before).isGreaterThan(30);
    library.begin();
    assertThat(pieces.names()).hasSize(before);

    Api.Answer made =
        api.write(
            "/api/brands",
            Api.parts(
                "name",
                "A first client",
                "logo",
                "",
                "colours",
                List.of("#7a1f3d"),
                "headingFont",
                "Bitter, serif",
                "bodyFont",
                "Work Sans, sans-serif",
                "width",
                1120,
                "set",
                api.read("/api/brands/sets").body().get(0).path("id").asString()));
    assertThat(made.status()).as(made.detail()).isEqualTo(200);
    String site = made.body().path("siteId").asString();
    Api.Answer pages =
        api.write("/api/sites/" + site + "/pages/from-set", Api.parts("set", "whole"));
    assertThat(pages.status()).as(pages.detail()).isEqualTo(200);
    assertThat(api.read("/api/sites/" + site + "/sets").body()).as("nothing is missing").isEmpty();
    assertThat(api.text("/api/pieces/st-action/frame?site=" + site)).contains("#7a1f3d");
  }
}
