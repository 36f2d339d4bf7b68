package goodbones.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** People as a person does it: add somebody, come in with the code, rename, a refused file. */
class PeopleTest extends WithDesigner {
  private static Locator said(String words) {
    return page().getByText(words).first();
  }

  @Test
  void somebodyIsAddedAndComesInWithTheCode() {
    designer.go("/people");
    page().getByPlaceholder("Name").fill("Rowan");
    designer.button("Add and make a code").click();
    String code = page().locator("code").innerText();
    assertTrue(code.matches("[A-Z0-9]{4}(-[A-Z0-9]{4}){3}"), code);
    assertThat(said("has a code, no password yet")).isVisible();
    page().getByPlaceholder("Name").fill("rowan");
    designer.button("Add and make a code").click();
    assertThat(page().getByRole(AriaRole.ALERT)).containsText("There is a “rowan” already");

    designer.button("Sign out").click();
    designer.button("I was given a one-time code").click();
    page().getByLabel("One-time code").fill(code.toLowerCase());
    page().getByLabel("Your name").fill("Rowan");
    page().getByLabel("Password").fill("short");
    page().keyboard().press("Enter");
    assertThat(page().getByRole(AriaRole.ALERT)).containsText("10 to 72 characters");
    page().getByLabel("Password").fill("wall plate and rafter");
    page().keyboard().press("Enter");
    designer.heading("Library").waitFor();

    designer.go("/people");
    designer.button("Rename Rowan").click();
    page().getByLabel("New name of Rowan").fill("Rowan Ash");
    page().keyboard().press("Enter");
    assertThat(designer.link("Rowan Ash")).isVisible();
    page().getByLabel("Present password").fill("wall plate and rafter");
    page().getByLabel("New password").fill("tie beam and king post");
    designer.button("Change my password").click();
    assertThat(said("Your password is changed")).isVisible();
    designer.button("Sign out").click();
    // The page is loaded anew by that; another way taken meanwhile would be cut off.
    designer.button("I was given a one-time code").waitFor();
    designer.signIn();
  }

  /** Nothing that the interface shows is stopped by its own policy. */
  @Test
  void thePolicyStopsNothingThatTheInterfaceNeeds() {
    List<String> stopped = new ArrayList<>();
    page()
        .onConsoleMessage(
            message -> {
              if (message.text().contains("Content Security Policy")) {
                stopped.add(message.text().substring(0, Math.min(200, message.text().length())));
              }
            });
    for (String path :
        List.of("/library", "/library/opening-band", "/finishes", "/sites/new", "/rollouts")) {
      designer.go(path);
      page()
          .waitForLoadState(
              LoadState.NETWORKIDLE, new Page.WaitForLoadStateOptions().setTimeout(60_000));
    }
    show("/sites/saltmarsh-ferries/pages/sf-home");
    assertEquals(List.of(), stopped);
  }

  @Test
  void aFileThatIsNoPictureIsRefusedAndOneWithMoreInItIsToldOf() throws IOException {
    Path folder = Files.createTempDirectory("files");
    Path words = folder.resolve("notes.png");
    Files.writeString(words, "just some words");
    designer.go("/sites/new");
    Locator choose = page().locator("input[type=file]").first();
    choose.setInputFiles(words);
    assertThat(said("“notes.png” is not a picture that can be used here")).isVisible();
    Path svg = folder.resolve("mark.svg");
    Files.writeString(
        svg,
        "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 9 9'><script>x</script>"
            + "<rect width='9' height='9' fill='#1d3a4c'/></svg>",
        StandardCharsets.UTF_8);
    choose.setInputFiles(svg);
    assertThat(said("Taken in without <script>")).isVisible();
  }
}
