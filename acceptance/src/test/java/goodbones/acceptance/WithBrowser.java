package goodbones.acceptance;

import goodbones.document.Node;
import goodbones.layout.Screen;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;

/** A browser that draws pages without the application; one a class. */
abstract class WithBrowser {
  /** How near a drawn box must be to a computed one, in px. */
  static final double WITHIN = 0.5;

  private static Designer designer;

  @BeforeAll
  static void openBrowser() {
    designer = new Designer("");
  }

  @AfterAll
  static void closeBrowser() {
    designer.close();
  }

  static Drawn.Sheet sheet(Node page) {
    return Drawn.sheet(page, designer.page());
  }

  static Drawn draw(Node page, Screen screen) {
    return sheet(page).at(screen);
  }
}
