package goodbones.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class HtmlCheckerTest {
  @Test
  void theCheckerCanFail() throws Exception {
    assertThat(HtmlChecker.errors("<!DOCTYPE html><title>x</title><p><div></p>")).isNotEmpty();
  }
}
