package goodbones.render;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class PageHeadTest {
  private static PageHead head(String icon, String web, String image) {
    return new PageHead(
        "../style.css",
        icon,
        "Windrush",
        "Kites & tails",
        "All of \"them\".",
        web,
        "/kites/",
        image,
        "A kite");
  }

  @Test
  void whatNeedsAnAddressWaitsForIt() {
    assertThat(head("", "", "pictures/kite.jpg").html())
        .isEqualTo(
            """
            <link rel="stylesheet" href="../style.css">
            <meta property="og:type" content="website">
            <meta property="og:site_name" content="Windrush">
            <meta property="og:title" content="Kites &amp; tails">
            <meta property="og:description" content="All of &quot;them&quot;.">""");
  }

  /** The Open Graph protocol asks for title, type, image and url, the last two absolute. */
  @Test
  void withAnAddressTheSharePictureAndThePageAreAbsolute() {
    assertThat(head("../pictures/i.svg", "https://windrush.example", "pictures/kite.jpg").html())
        .contains("<link rel=\"icon\" href=\"../pictures/i.svg\">")
        .contains("<link rel=\"canonical\" href=\"https://windrush.example/kites/\">")
        .contains("og:url\" content=\"https://windrush.example/kites/\"")
        .contains("og:image\" content=\"https://windrush.example/pictures/kite.jpg\"")
        .contains("og:image:alt\" content=\"A kite\"");
    assertThat(head("", "https://windrush.example", "").html()).doesNotContain("og:image");
  }
}
