package goodbones.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The web's types are made from the description of the API that is kept in the web module. Run with
 * {@code -Dopenapi.write=true} to bring it up to the controllers.
 */
@ServerTest
class OpenApiTest {
  private static final Path KEPT = Path.of("../web/src/api/openapi.json");

  @Test
  void theKeptDescriptionIsThatOfTheControllers(@Autowired MockMvc mvc) throws Exception {
    String json = mvc.perform(get("/v3/api-docs")).andReturn().getResponse().getContentAsString();
    JsonMapper mapper =
        JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
            .build();
    ObjectNode described = (ObjectNode) mapper.readTree(json);
    described.remove("servers");
    String now = mapper.writeValueAsString(mapper.treeToValue(described, java.util.TreeMap.class));
    if (Boolean.getBoolean("openapi.write")) {
      Files.writeString(KEPT, now + "\n");
    }
    assertThat(Files.readString(KEPT).strip())
        .as("run mvn -pl server test -Dtest=OpenApiTest -Dopenapi.write=true")
        .isEqualTo(now);
  }
}
