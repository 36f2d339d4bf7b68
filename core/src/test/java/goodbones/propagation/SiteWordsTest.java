package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import goodbones.document.Edit;
import goodbones.document.Edited;
import goodbones.document.FieldValue;
import goodbones.document.LocalKey;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import goodbones.document.Placement;
import goodbones.library.Placements;
import goodbones.library.Shown;
import goodbones.library.SiteFillings;
import goodbones.style.Finishes;
import goodbones.style.SiteFinishes;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A slot that becomes the whole site's, with words of their own on three pages: case 11. */
class SiteWordsTest extends FaresScene {
  private static final SiteFinishes BARE =
      new SiteFinishes(Finishes.of(List.of(), List.of(), Map.of()), Map.of());
  private static final LocalKey SLOT = SiteFillings.key(id("head"), "words");
  private final List<Node> pages = new ArrayList<>();

  /** Three pages; an empty text leaves the slot unfilled. */
  private void pages(String... texts) {
    pages.clear();
    for (int i = 0; i < texts.length; i++) {
      int at = i;
      Node other = page.mapIds(each -> id(each.value() + at));
      if (!texts[i].isEmpty()) {
        other = editor().apply(other, write("p" + i + "/b/head", texts[i])).root();
      }
      pages.add(other);
    }
  }

  private void becomesTheSites() {
    release(
        new Edit.SetSlot(id("head"), "words", false),
        new Edit.SetSiteSlot(id("head"), "words", true));
  }

  private SiteNow now() {
    List<SiteNow.PageNow> there = new ArrayList<>();
    pages.forEach(root -> there.add(new SiteNow.PageNow(root.id().value(), 1, root)));
    return new SiteNow("site", BARE, adopted(), there);
  }

  private RolloutPlan plan(Map<String, Integer> decided) {
    Release release = Release.of("C", shelf.current("C"));
    return new RolloutPlanner(shelf).plan(release, now(), decided);
  }

  private Rollout apply(RolloutPlan plan) {
    List<Rollout.WrittenStep> written = new ArrayList<>();
    for (PlacementPlan each : plan.placements()) {
      Placement after = each.after(Map.of());
      if (!after.equals(each.placement())) {
        written.add(
            new Rollout.WrittenStep(
                "site", each.pageId(), each.placementId(), each.placement(), after));
        pages.replaceAll(root -> Placements.replaced(root, Map.of(each.placementId(), after)));
      }
    }
    List<Rollout.FilledStep> filled = new ArrayList<>();
    plan.filled()
        .forEach(
            (slot, value) ->
                filled.add(
                    new Rollout.FilledStep(
                        "site", slot, Optional.ofNullable(fillings.filled().get(slot)), value)));
    fillings = fillings.with(plan.filled());
    int before = revision;
    revision = shelf.current("C");
    return new Rollout(
        "C",
        revision,
        List.of(new Rollout.AdoptedStep("site", "C", before, revision)),
        written,
        filled);
  }

  private List<String> read() {
    List<String> read = new ArrayList<>();
    for (int i = 0; i < pages.size(); i++) {
      Node head =
          Shown.of(pages.get(i), adopted(), shelf).root().find(id("p" + i + "/b/head")).get();
      read.add(((FieldValue.Words) head.content().get("words")).text());
    }
    return read;
  }

  private void writeOn(int at, String text) {
    Edited edited = editor().apply(pages.get(at), write("p" + at + "/b/head", text));
    pages.set(at, edited.root());
    fillings = fillings.with(edited.fillings());
  }

  private SiteNow takenBack(Rollout rollout, Settlement answer) {
    TakeBacks.Outcome outcome =
        TakeBacks.of(shelf, List.of(rollout), List.of(now()), asked -> Optional.of(answer));
    SiteNow site = outcome.sites().get(0);
    pages.clear();
    site.pages().forEach(each -> pages.add(each.root()));
    fillings = site.adopted().fillings();
    revision = site.adopted().of("C");
    return site;
  }

  @Test
  void wordsThatAllPagesShowBecomeTheSitesWithoutAsking() {
    pages("Ours", "Ours", "Ours");
    becomesTheSites();
    RolloutPlan plan = plan(Map.of());
    assertThat(plan.questions()).isEmpty();
    assertThat(plan.placements()).allMatch(each -> each.questions().isEmpty());
    apply(plan);
    assertThat(read()).containsOnly("Ours");
    assertThat(pages)
        .allMatch(root -> Placements.of(root).values().iterator().next().changes().isEmpty());
    writeOn(2, "Everybody’s");
    assertThat(read()).containsOnly("Everybody’s");
  }

  @Test
  void differentWordsAreOneQuestionAndAfterwardsOneEditIsSeenOnAllPages() {
    pages("One", "Two", "Two");
    becomesTheSites();
    RolloutPlan open = plan(Map.of());
    assertThat(open.questions()).hasSize(1);
    SiteQuestion question = open.questions().get(0);
    assertThat(question.choices())
        .extracting(SiteQuestion.Choice::value)
        .containsExactly(Optional.of(words("Two")), Optional.of(words("One")));
    assertThat(open.placements())
        .allMatch(each -> each.status() == PlacementPlan.Status.TO_DECIDE)
        .allMatch(each -> each.isAskedBy(question))
        .allMatch(each -> each.questions().isEmpty());
    apply(plan(Map.of(question.id(), 1)));
    assertThat(read()).containsOnly("One");
    writeOn(0, "Three");
    assertThat(read()).containsOnly("Three");
  }

  @Test
  void aPageThatShowsTheLibrarysWordsIsNotWrittenOverUnasked() {
    pages("One", "", "One");
    becomesTheSites();
    SiteQuestion question = plan(Map.of()).questions().get(0);
    assertThat(question.choices())
        .extracting(SiteQuestion.Choice::value)
        .containsExactly(Optional.of(words("One")), Optional.empty());
    RolloutPlan library = plan(Map.of(question.id(), 1));
    assertThat(library.filled()).isEmpty();
    apply(library);
    assertThat(read()).containsOnly("Fares");
  }

  @Test
  void everyPageMayKeepItsOwn() {
    pages("One", "Two", "");
    becomesTheSites();
    SiteQuestion question = plan(Map.of()).questions().get(0);
    apply(plan(Map.of(question.id(), SiteQuestion.EACH)));
    assertThat(read()).containsExactly("One", "Two", "Fares");
    assertThat(fillings.isEmpty()).isTrue();
  }

  @Test
  void whatIsLeftOpenWaitsAndIsAskedAboutAgainWithThePagesThatWentOn() {
    pages("One", "", "");
    becomesTheSites();
    apply(plan(Map.of()));
    assertThat(read()).containsExactly("One", "Fares", "Fares");
    Placement waiting = Placements.of(pages.get(0)).get(id("p0"));
    assertThat(waiting.pin()).contains(new Pin(1, Pin.Reason.WAITING));
    RolloutPlan again = plan(Map.of());
    assertThat(again.questions()).as("the other pages are not written over").hasSize(1);
    assertThat(again.questions().get(0).choices()).hasSize(2);
    apply(plan(Map.of(again.questions().get(0).id(), 0)));
    assertThat(read()).containsOnly("One");
  }

  @Test
  void anAnswerThatIsNoneIsRefused() {
    pages("One", "Two", "");
    becomesTheSites();
    String id = plan(Map.of()).questions().get(0).id();
    assertThatThrownBy(() -> plan(Map.of(id, 3))).hasMessageContaining("things to choose from");
  }

  @Test
  void takingItBackBringsEveryPagesWordsBack() {
    pages("One", "Two", "");
    List<Node> before = List.copyOf(pages);
    becomesTheSites();
    Rollout rollout = apply(plan(Map.of(plan(Map.of()).questions().get(0).id(), 0)));
    assertThat(read()).containsOnly("One");
    takenBack(rollout, Settlement.TAKE);
    assertThat(pages).isEqualTo(before);
    assertThat(fillings.isEmpty()).isTrue();
  }

  @Test
  void wordsWrittenForTheSiteSinceAreAskedAboutWhenItIsTakenBack() {
    pages("One", "Two", "");
    becomesTheSites();
    Rollout rollout = apply(plan(Map.of(plan(Map.of()).questions().get(0).id(), 0)));
    writeOn(1, "Later");
    Map<NodeId, Question> asked = new HashMap<>();
    TakeBacks.of(
        shelf,
        List.of(rollout),
        List.of(now()),
        one -> {
          asked.put(one.placementId(), one.question());
          return Optional.of(Settlement.STAY);
        });
    assertThat(asked).containsOnlyKeys(id("p0"), id("p1"));
    takenBack(rollout, Settlement.STAY);
    assertThat(read()).containsOnly("Later");
  }
}
