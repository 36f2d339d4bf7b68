package goodbones.server.pictures;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.server.ServerTest;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

@ServerTest
class OldPicturesTest {
  @Autowired private OldPictures old;
  @Autowired private Pictures pictures;
  @Autowired private JdbcTemplate database;

  private void kept(String id, String svg) {
    database.update(
        "insert into picture (id, file_name, media_type, width, height, bytes, rebuilt)"
            + " values (?, ?, 'image/svg+xml', 40, 20, ?, false)",
        id,
        id + ".svg",
        svg.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void whatWasKeptBeforeIsRebuiltOrSetAside() {
    kept(
        "before",
        "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 40 20\"><script>evil()</script>"
            + "<rect width=\"40\" height=\"20\"/></svg>");
    kept("broken", "<svg xmlns=\"http://www.w3.org/2000/svg\"><rect></svg>");
    old.afterSingletonsInstantiated();
    assertThat(new String(pictures.get("before").bytes(), StandardCharsets.UTF_8))
        .contains("<rect")
        .doesNotContain("evil");
    assertThat(pictures.get("broken").mediaType()).isEqualTo("application/octet-stream");
    assertThat(pictures.get("broken").bytes()).isNotEmpty();
    assertThat(
            database.queryForObject(
                "select count(*) from picture where not rebuilt", Integer.class))
        .isZero();
  }
}
