package goodbones.propagation;

import static org.assertj.core.api.Assertions.assertThat;

import goodbones.document.Edit;
import goodbones.document.FieldValue;
import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Placement;
import goodbones.document.Refused;
import goodbones.library.Adopted;
import goodbones.library.AsksFirst;
import goodbones.style.Finishes;
import goodbones.style.SiteFinishes;
import goodbones.testing.Runs;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/** Several sites, several rollouts over overlapping sets of them, edits in between. */
class TakeBacksTest {
  private static final int CASES = Runs.of(150, 3_000);
  private static final SiteFinishes BARE =
      new SiteFinishes(Finishes.of(List.of(), List.of(), Map.of()), Map.of());

  private static Rollout over(int revision, String... sites) {
    return new Rollout(
        Scene.PIECE,
        revision,
        List.of(sites).stream()
            .map(site -> new Rollout.AdoptedStep(site, Scene.PIECE, revision - 1, revision))
            .toList(),
        List.of());
  }

  @Test
  void whatStandsOnARolloutIsFoundThroughOthers() {
    Rollout first = over(2, "a");
    Rollout both = over(3, "a", "b");
    Rollout last = over(4, "b");
    Rollout aside = over(4, "c");
    assertThat(TakeBacks.standingOn(first, List.of(both, aside, last), Function.identity()))
        .containsExactly(both, last);
    Rollout before = over(2, "b");
    assertThat(TakeBacks.standingOn(first, List.of(before, both), Function.identity()))
        .as("what came to b before a's went on there")
        .containsExactly(both);
  }

  /** Sites that are worked on: a generated piece, rollouts of its revisions, and edits. */
  private static final class History {
    final Scene scene;
    final Random random;
    final Map<String, Node> pages = new HashMap<>();
    final Map<String, Integer> adopted = new HashMap<>();
    final List<Rollout> rollouts = new ArrayList<>();

    History(long seed) {
      scene = new Scene(seed, 3);
      random = new Random(seed);
      for (String site : List.of("a", "b", "c")) {
        scene.editLocally(1, 1 + random.nextInt(3));
        pages.put(
            site, scene.page.change(Scene.PLACEMENT, node -> node.withId(NodeId.of("p-" + site))));
        adopted.put(site, 1);
      }
    }

    SiteNow now(String site) {
      return new SiteNow(
          site,
          BARE,
          new Adopted(Map.of(Scene.PIECE, adopted.get(site))),
          List.of(new SiteNow.PageNow("page of " + site, 1, pages.get(site))));
    }

    List<SiteNow> all() {
      return List.of(now("a"), now("b"), now("c"));
    }

    private Settlement any(Question question) {
      List<Settlement> choices = new ArrayList<>(question.choices());
      Collections.sort(choices);
      return choices.get(random.nextInt(choices.size()));
    }

    void rollOut(int revision) {
      List<Rollout.AdoptedStep> steps = new ArrayList<>();
      List<Rollout.WrittenStep> written = new ArrayList<>();
      for (String site : List.of("a", "b", "c")) {
        if (adopted.get(site) >= revision || random.nextInt(3) == 0) {
          continue;
        }
        for (PlacementPlan plan :
            new RolloutPlanner(scene.library())
                .plan(Release.of(Scene.PIECE, revision), now(site), Map.of())
                .placements()) {
          Map<String, Settlement> decisions = new HashMap<>();
          for (Question question : plan.questions()) {
            if (random.nextInt(5) > 0) {
              decisions.put(question.id(), any(question));
            }
          }
          Placement after = plan.after(decisions);
          if (!after.equals(plan.placement())) {
            written.add(
                new Rollout.WrittenStep(
                    site, plan.pageId(), plan.placementId(), plan.placement(), after));
            pages.put(
                site,
                pages.get(site).change(plan.placementId(), node -> node.withPlacement(after)));
          }
        }
        steps.add(new Rollout.AdoptedStep(site, Scene.PIECE, adopted.get(site), revision));
        adopted.put(site, revision);
      }
      if (!steps.isEmpty()) {
        rollouts.add(new Rollout(Scene.PIECE, revision, steps, written));
      }
    }

    void edit(String site) {
      Node page = pages.get(site);
      int revision =
          new Adopted(Map.of(Scene.PIECE, adopted.get(site)))
              .shownBy(page.children().get(0).placement().orElseThrow());
      try {
        Edit edit =
            scene.trees.edit(scene.shown(page, revision).root(), n -> n.id().isInside(), false);
        Node edited = scene.applied(page, revision, edit);
        if (!edited.children().isEmpty()) {
          pages.put(site, edited);
        }
      } catch (Refused | AsksFirst refused) {
        // A refused edit changes nothing.
      }
    }

    /** Everything is asked until nothing new is; the sheet is never a dead end. */
    TakeBacks.Outcome takeBack(List<Rollout> newestFirst, Map<String, Settlement> decided) {
      for (int round = 0; round < 20; round++) {
        TakeBacks.Outcome outcome =
            TakeBacks.of(
                scene.library(),
                newestFirst,
                all(),
                asked -> Optional.ofNullable(decided.get(key(asked))));
        if (!outcome.open()) {
          return outcome;
        }
        outcome.asked().forEach(one -> decided.computeIfAbsent(key(one), k -> any(one.question())));
      }
      throw new AssertionError("there is no end of questions");
    }

    private static String key(TakeBacks.Asked asked) {
      return asked.pageId() + " " + asked.question().id();
    }
  }

  private static List<Rollout> together(History history) {
    Rollout first = history.rollouts.get(0);
    List<Rollout> together = new ArrayList<>(List.of(first));
    together.addAll(
        TakeBacks.standingOn(
            first, history.rollouts.subList(1, history.rollouts.size()), Function.identity()));
    Collections.reverse(together);
    return together;
  }

  @Test
  void whereNobodyEditedAllIsAsItWas() {
    for (int seed = 0; seed < CASES; seed++) {
      History history = new History(seed);
      Map<String, Node> before = Map.copyOf(history.pages);
      for (int revision = 2; revision <= 4; revision++) {
        history.rollOut(revision);
      }
      if (history.rollouts.isEmpty()) {
        continue;
      }
      List<Rollout> together = together(history);
      TakeBacks.Outcome outcome = history.takeBack(together, new HashMap<>());
      assertThat(outcome.asked()).as("seed %s", seed).isEmpty();
      for (SiteNow site : outcome.sites()) {
        boolean reached = together.stream().anyMatch(r -> r.siteIds().contains(site.siteId()));
        boolean whole =
            history.rollouts.stream()
                .filter(r -> r.siteIds().contains(site.siteId()))
                .allMatch(together::contains);
        if (whole) {
          assertThat(site.pages().get(0).root())
              .as("seed %s, site %s", seed, site.siteId())
              .isEqualTo(before.get(site.siteId()));
          assertThat(site.adopted().of(Scene.PIECE)).isEqualTo(1);
        } else if (!reached) {
          assertThat(site).isEqualTo(history.now(site.siteId()));
        }
      }
    }
  }

  @Test
  void withEditsInBetweenEverythingIsAskedInOneSheetAndEverySiteStandsOnWhatStoodThere() {
    int asked = 0;
    for (int seed = 0; seed < CASES; seed++) {
      History history = new History(seed);
      for (int revision = 2; revision <= 4; revision++) {
        history.rollOut(revision);
        for (String site : List.of("a", "b", "c")) {
          for (int i = history.random.nextInt(3); i > 0; i--) {
            history.edit(site);
          }
        }
      }
      if (history.rollouts.isEmpty()) {
        continue;
      }
      List<Rollout> together = together(history);
      Map<String, Settlement> decided = new HashMap<>();
      TakeBacks.Outcome outcome = history.takeBack(together, decided);
      asked += outcome.asked().size();
      for (SiteNow site : outcome.sites()) {
        together.stream()
            .filter(rollout -> rollout.siteIds().contains(site.siteId()))
            .reduce((newer, older) -> older)
            .ifPresent(
                oldest ->
                    assertThat(site.adopted().of(Scene.PIECE))
                        .isEqualTo(oldest.before(site.siteId()).get(Scene.PIECE)));
      }
      history
          .takeBack(together, new HashMap<>(decided))
          .asked()
          .forEach(one -> assertThat(decided).containsKey(History.key(one)));
    }
    assertThat(asked).isGreaterThan(CASES / 25);
  }

  @Test
  void wordsWrittenSinceAreListedOrStay() {
    for (int seed = 0; seed < CASES; seed++) {
      History history = new History(seed);
      history.rollOut(2);
      history.rollOut(3);
      if (history.rollouts.isEmpty()) {
        continue;
      }
      history.edit("a");
      history.edit("a");
      List<Rollout> together = together(history);
      TakeBacks.Outcome outcome =
          TakeBacks.of(history.scene.library(), together, history.all(), a -> Optional.empty());
      boolean reached = together.stream().anyMatch(r -> r.siteIds().contains("a"));
      Placement now = history.pages.get("a").children().get(0).placement().orElseThrow();
      Placement after =
          outcome.sites().get(0).pages().get(0).root().children().get(0).placement().orElseThrow();
      String listed = outcome.asked().toString() + after.changes();
      List<Placement> stood = new ArrayList<>();
      together.forEach(r -> r.written().forEach(w -> stood.add(w.after())));
      if (reached) {
        now.layer()
            .changes()
            .forEach(
                (key, value) -> {
                  boolean since = stood.stream().noneMatch(p -> p.changes().containsKey(key));
                  if (since
                      && value instanceof goodbones.document.LocalValue.ContentIs content
                      && content.value().orElse(null) instanceof FieldValue.Words) {
                    // Where the earlier revision has it elsewhere, it is kept there.
                    boolean elsewhere =
                        after.layer().changes().entrySet().stream()
                            .anyMatch(
                                kept ->
                                    kept.getKey().node().own().equals(key.node().own())
                                        && kept.getValue().equals(value));
                    assertThat(elsewhere || listed.contains(key.node().value()))
                        .as("%s in %s", key, listed)
                        .isTrue();
                  }
                });
      }
    }
  }
}
