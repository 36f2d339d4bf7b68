package goodbones.site;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Icons;
import org.junit.jupiter.api.Test;

class ServiceTest {
  private static String at(String address) {
    return Service.at(address).map(Service::name).orElse("none");
  }

  @Test
  void aServiceIsKnownByItsAddress() {
    assertThat(at("https://www.youtube.com/@purlin")).isEqualTo("YouTube");
    assertThat(at(" HTTPS://M.Facebook.com/purlin ")).isEqualTo("Facebook");
    assertThat(at("instagram.com/purlin")).isEqualTo("Instagram");
    assertThat(at("https://x.com")).isEqualTo("X");
  }

  @Test
  void whatOnlyReadsLikeOneIsNone() {
    assertThat(at("https://netflix.com")).isEqualTo("none");
    assertThat(at("https://youtube.com.example.org/purlin")).isEqualTo("none");
    assertThat(at("https://example.org/youtube.com")).isEqualTo("none");
    assertThat(at("")).isEqualTo("none");
    assertThat(at("https://")).isEqualTo("none");
    assertThat(at("not an address at all")).isEqualTo("none");
  }

  @Test
  void eachHasAMarkThatThereIsOutlinedAndSolid() {
    assertThat(Service.all()).hasSizeGreaterThan(15);
    for (Service service : Service.all()) {
      assertThat(Icons.named(service.icon()))
          .as(service.name())
          .hasValueSatisfying(
              icon -> assertThat(icon.service() && !icon.solid().isEmpty()).isTrue());
    }
  }
}
