package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Edit;
import goodbones.document.Node;
import goodbones.document.Pin;
import goodbones.library.Shown;
import goodbones.library.SiteFillings;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Slots that are filled once for the whole site. The numbers are those of the rules of depth. */
class SiteSlotsTest extends FaresScene {
  private void ofSite(boolean slot) {
    release(
        new Edit.SetSlot(id("head"), "words", false),
        new Edit.SetSiteSlot(id("head"), "words", slot));
  }

  /** Case 13, and that one page fills it for all. */
  @Test
  void whatIsFilledForTheWholeSiteIsShownWhereverTheSlotStands() {
    ofSite(true);
    follow(Settlement.STAY);
    Node other =
        page.mapIds(each -> each.equals(P) ? id("q") : each.equals(id("page")) ? id("two") : each);
    Edit back = onPage(write("p/b/head", "Our fares"));
    assertThat(page)
        .as("the page itself is not written")
        .isEqualTo(editor().apply(page, new Edit.Group(List.of())).root());
    assertThat(placement().changes()).isEmpty();
    assertThat(
            Shown.of(other, adopted(), shelf).root().find(id("q/b/head")).orElseThrow().content())
        .containsValue(words("Our fares"));
    Node c = shelf.editor().apply(current("C"), write("b/head", "The piece's")).root();
    shelf.release("C", c, asked -> Optional.empty());
    follow(Settlement.STAY);
    assertThat(wordsAt("p/b/head"))
        .as("a containing piece gives its default")
        .contains("Our fares");
    SiteFillings filled = fillings;
    fillings = SiteFillings.NONE;
    assertThat(wordsAt("p/b/head")).contains("The piece's");
    fillings =
        filled.with(Map.of(SiteFillings.key(id("head"), "words"), Optional.of(words("Other"))));
    assertThatThrownBy(() -> editor().reapply(page, back))
        .hasMessageContaining("changed from another page");
    fillings = filled;
    assertThat(editor().reapply(page, back).fillings().values()).containsExactly(Optional.empty());
  }

  /** Case 11, one placement of several: its own words stay its own, or give way to the site's. */
  @Test
  void ownWordsAreAskedAboutWhereASlotBecomesTheSites() {
    onPage(write("p/b/head", "Mine"));
    ofSite(true);
    assertThat(rebase().questions()).extracting(Question::verdict).containsExactly(Verdict.BOTH);
    Node before = page;
    follow(Settlement.STAY);
    assertThat(wordsAt("p/b/head")).contains("Mine");
    assertThat(rebase().questions()).isEmpty();
    page = before;
    revision = 1;
    fillings =
        fillings.with(Map.of(SiteFillings.key(id("head"), "words"), Optional.of(words("Mine"))));
    assertThat(rebase().questions()).as("the site says the same").isEmpty();
    follow(Settlement.STAY);
    assertThat(placement().changes()).isEmpty();
    assertThat(wordsAt("p/b/head")).contains("Mine");
  }

  /** Cases 12 and 25. */
  @Test
  void theSitesWordsStayWhereTheSlotIsFixedAgainAndAHoldShowsWhatItShowed() {
    ofSite(true);
    follow(Settlement.STAY);
    onPage(write("p/b/head", "Our fares"));
    ofSite(false);
    Pin held = new Pin(revision, Pin.Reason.HELD);
    Node holding =
        page.change(P, node -> node.withPlacement(placement().withPin(Optional.of(held))));
    follow(Settlement.STAY);
    assertThat(wordsAt("p/b/head")).contains("Our fares");
    page = holding;
    assertThat(wordsAt("p/b/head")).as("held where it was the site's").contains("Our fares");
    page =
        holding.change(
            P, n -> n.withPlacement(placement().withPin(Optional.of(new Pin(1, Pin.Reason.HELD)))));
    assertThat(wordsAt("p/b/head")).as("held where it was not").contains("Fares");
  }
}
